import type { Size } from '../../base/geometry';
import { fitParams, initialParams, type Params, type ParamsOf } from '../../base/params';
import type { Run } from './definition';
import { RUN_TABLE } from './table';

export type RunId = keyof typeof RUN_TABLE;

/** The run a recipe has chosen, with its parameters. */
export type RunChoice = {
  [Id in RunId]: { readonly id: Id; readonly params: ParamsOf<(typeof RUN_TABLE)[Id]['params']> };
}[RunId];

/** The runs by their ids, as whoever needs not know which it is takes them. */
export const RUNS: Readonly<Record<RunId, Run>> = RUN_TABLE;
export const RUN_IDS = Object.keys(RUN_TABLE) as readonly RunId[];

/** A run with its parameters held to what it allows; what is missing starts where it does on the panel. */
export const chooseRun = (id: RunId, params: Params, panel: Size): RunChoice =>
  ({ id, params: fitParams(RUNS[id].params, params, panel) }) as RunChoice;

/** A run as it starts on a panel. */
export const startRun = (id: RunId, panel: Size): RunChoice =>
  ({ id, params: initialParams(RUNS[id].params, panel) }) as RunChoice;

export const STRAIGHT: RunChoice = { id: 'straight', params: {} };
