import type { Panel } from '../panel/panel';

/** Numbers of a run or of what lies over it, by their keys. Lengths are mm, angles degrees, parts per cent. */
export type Params = Readonly<Record<string, number>>;

/** What one of these numbers means, how far it may go, and where it starts. */
export interface ParamSpec {
  readonly key: string;
  readonly label: string;
  readonly unit: 'mm' | '°' | '%' | 'seed';
  readonly least: number;
  readonly most: number;
  /** What an arrow key changes it by. */
  readonly step: number;
  readonly initial: (panel: Panel) => number;
}

/** The numbers a run starts with on a panel. */
export const initialParams = (specs: readonly ParamSpec[], panel: Panel): Params =>
  Object.fromEntries(specs.map((spec) => [spec.key, holdParam(spec, spec.initial(panel))]));

/** A number held inside its range; a seed is whole. */
export function holdParam({ least, most, unit }: ParamSpec, value: number): number {
  const held = Math.min(Math.max(value, least), most);
  return unit === 'seed' ? Math.round(held) : held;
}

/** A number of a run, or where it starts when it has none. */
export const param = (params: Params, key: string, otherwise: number): number => params[key] ?? otherwise;
