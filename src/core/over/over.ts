import type { Millimetres, Unit } from '../panel/measure';
import type { Panel } from '../panel/panel';
import type { ParamSpec, Params } from '../run/params';
import type { Point } from '../run/run';
import { coat } from './coat';
import { darkCorners } from './darkCorners';
import { edge } from './edge';
import { horizon } from './horizon';

export type OverId = 'edge' | 'darkCorners' | 'horizon' | 'coat';

/** One ink laid over the ladder, with the numbers of how. */
export interface Over {
  readonly id: OverId;
  readonly inkId: string;
  readonly params: Params;
}

/** A run of one ink over the whole ladder. Adding one is adding one of these in a file of its own. */
export interface OverRun {
  readonly id: OverId;
  readonly label: string;
  readonly explains: string;
  readonly params: readonly ParamSpec[];
  /** Laid into the wet ladder, or over it once it has dried. */
  readonly onto: 'wet' | 'dried';
  /** Whether its border is masked: one line, with no fade. */
  readonly sharp: boolean;
  readonly on: (panel: Panel, params: Params) => OverLie;
}

/** Such a run on one panel. */
export interface OverLie {
  /** How much of the ink lies at a point, 0…1 coats. */
  readonly coverAt: (x: Millimetres, y: Millimetres) => number;
  /** Over how many mm it fades; absent where it does not. */
  readonly blend?: Millimetres;
  /** Whether points side by side are covered alike, so that a picture asks once a row. */
  readonly level: boolean;
  /** Its borders as SVG paths in mm. */
  readonly traces: readonly string[];
  /** Where its number is taken hold of on the panel, and what number a place there stands for. */
  readonly handle?: {
    readonly param: string;
    readonly at: Point;
    readonly valueAt: (to: Point) => number;
  };
  /** The work, measured. */
  readonly work: (unit: Unit) => string;
  readonly care: readonly string[];
}

export const OVERS: Readonly<Record<OverId, OverRun>> = { edge, darkCorners, horizon, coat };
export const OVER_IDS = Object.keys(OVERS) as readonly OverId[];
