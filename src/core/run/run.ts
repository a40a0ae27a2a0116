import type { Millimetres } from '../panel/measure';
import type { Panel } from '../panel/panel';
import { straight } from './straight';

export type RunId = 'straight';

/** How the ladder lies on the panel. Adding a run is adding one of these in a file of its own. */
export interface Run {
  readonly id: RunId;
  readonly label: string;
  /** How far it is from where the first rung begins to where the last one ends, in mm. */
  readonly length: (panel: Panel) => Millimetres;
  /** How far along the run a point lies; x from the panel's left edge, y from its top, all in mm. */
  readonly alongAt: (panel: Panel, x: Millimetres, y: Millimetres) => Millimetres;
  /** Whether points side by side lie equally far along, so that a picture asks once a row. */
  readonly level: boolean;
  /** A place along the run as the maker measures it on the panel, in mm. Its own inverse. */
  readonly markOf: (panel: Panel, along: Millimetres) => Millimetres;
  /** Where the measure starts: "from the foot". */
  readonly measuredFrom: string;
  /** Where the first rung begins and where the last one ends, and how the brush moves toward it, in words. */
  readonly start: RunEnd;
  readonly end: RunEnd;
}

export interface RunEnd {
  readonly place: string;
  readonly toward: string;
}

export const RUNS: Readonly<Record<RunId, Run>> = { straight };
