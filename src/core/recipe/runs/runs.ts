import type { Millimetres } from '../../base/length';
import type { MeasureSpec, Params } from '../../base/params';
import type { Panel } from '../panel';
import { corners } from './corners';
import { glow } from './glow';
import { scatter } from './scatter';
import { slant } from './slant';
import { straight } from './straight';

export type RunId = 'straight' | 'slant' | 'glow' | 'corners' | 'scatter';

/** The run a recipe has chosen, with its numbers. */
export interface RunChoice {
  readonly id: RunId;
  readonly params: Params;
}

/** A place on the panel in mm from its top left corner. */
export interface Point {
  readonly x: Millimetres;
  readonly y: Millimetres;
}

interface RunBase {
  readonly id: RunId;
  readonly label: string;
  /** What it is for, in a sentence. */
  readonly explains: string;
  readonly params: readonly MeasureSpec[];
  /** The numbers that a place on the panel stands for, such as a centre; absent where no handle moves the run. */
  readonly handle?: RunHandle;
}

/** A handle that moves a run as a whole. */
export interface RunHandle {
  readonly label: string;
  readonly at: (panel: Panel, params: Params) => Point;
  readonly moved: (panel: Panel, params: Params, to: Point) => Params;
}

/** A run on which the ladder lies in bands, one after another. */
export interface BandRun extends RunBase {
  readonly lies: 'bands';
  readonly on: (panel: Panel, params: Params) => Lie;
}

/** A run on which each ink has places of its own and reaches out from them until it meets another. */
export interface PatchRun extends RunBase {
  readonly lies: 'patches';
  readonly on: (panel: Panel, params: Params, rungs: number) => Patches;
}

/** How the ladder lies on the panel. Adding a run is adding one of these in a file of its own. */
export type Run = BandRun | PatchRun;

/** Bands on one panel. */
export interface Lie {
  /** How far it is from where the first rung begins to where the last one ends. */
  readonly length: Millimetres;
  /** How far along the run a point lies. */
  readonly alongAt: (x: Millimetres, y: Millimetres) => Millimetres;
  /** Whether points side by side lie equally far along, so that a picture asks once a row. */
  readonly level: boolean;
  /** Which way the ladder goes, as a unit vector; the brayer is rolled that way. */
  readonly toward: Point;
  /** A point of the panel that lies so far along: where the handle of a mark stands. */
  readonly handleAt: (along: Millimetres) => Point;
  /** All points of the panel that lie so far along, as an SVG path in mm. */
  readonly trace: (along: Millimetres) => string;
  /** A place along the run as the maker measures it, in mm. Its own inverse. */
  readonly markOf: (along: Millimetres) => Millimetres;
  /** Where the measure starts: "from the foot". */
  readonly measuredFrom: string;
  /** Where a band's border meets the panel's edges, where a rule along one edge is not enough. */
  readonly crossings?: (along: Millimetres) => readonly Crossing[];
  /** Where the first rung begins and where the last one ends, and how the brush moves toward it, in words. */
  readonly start: RunEnd;
  readonly end: RunEnd;
}

export interface RunEnd {
  readonly place: string;
  readonly toward: string;
}

/** A point of the panel's edge, measured as a maker does: up from the foot, or from the left. */
export interface Crossing {
  readonly edge: 'left edge' | 'right edge' | 'top' | 'foot';
  readonly at: Millimetres;
}

/** Places of the inks on one panel. */
export interface Patches {
  readonly places: readonly (Point & { readonly rung: number; readonly name: string })[];
  /** Over how many mm two neighbouring inks fade into each other. */
  readonly soft: Millimetres;
  /** How an unsteady hand moves the borders: the point whose ink lies here instead. Left out where it is steady. */
  readonly wander?: (x: Millimetres, y: Millimetres) => Point;
}

export const RUNS: Readonly<Record<RunId, Run>> = { straight, slant, glow, corners, scatter };
export const RUN_IDS = Object.keys(RUNS) as readonly RunId[];
export const STRAIGHT: RunChoice = { id: 'straight', params: {} };
