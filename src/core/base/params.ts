import type { Panel } from '../recipe/panel';
import { formatBare, formatFineBare, parseLength, type Unit } from './length';

/** Numbers of a run or of a pass, by their keys. Lengths are mm, angles degrees, parts per cent, choices counted from 0. */
export type Params = Readonly<Record<string, number>>;

interface SpecBase {
  readonly key: string;
  readonly label: string;
  readonly initial: (panel: Panel) => number;
}

/** A number that is measured: how far it may go, and where it starts. */
export interface MeasureSpec extends SpecBase {
  readonly unit: 'mm' | '°' | '%' | '×' | 'seed';
  readonly least: number;
  readonly most: number;
  /** What an arrow key changes it by. */
  readonly step: number;
}

/** One of a few, in words; the number is its place among them. */
export interface ChoiceSpec extends SpecBase {
  readonly choices: readonly string[];
}

/** What one of these numbers means. */
export type ParamSpec = MeasureSpec | ChoiceSpec;

export const isChoice = (spec: ParamSpec): spec is ChoiceSpec => 'choices' in spec;

/** The least and the most such a number may be. */
export const rangeOf = (spec: ParamSpec): readonly [least: number, most: number] =>
  isChoice(spec) ? [0, spec.choices.length - 1] : [spec.least, spec.most];

/** A measured number without its unit: lengths as a rule reads them, or finer where they are set finer. */
export function formatMeasure(spec: MeasureSpec, value: number, unit: Unit): string {
  if (spec.unit === 'mm') return spec.step < 0.5 ? formatFineBare(value, unit) : formatBare(value, unit);
  return String(spec.step < 1 ? Math.round(value * 10) / 10 : Math.round(value));
}

/**
 * Reads a measured number as a maker types it, with or without its unit; a bare length is in `unit`.
 *
 * @returns the number, inside its range; undefined where it is none, or lies beyond. A limit may be typed as it is told,
 * which rounding may put a hair beyond it
 */
export function readMeasure(spec: MeasureSpec, text: string, unit: Unit): number | undefined {
  const bare = text.replace(/[°%]/g, '').replace(',', '.').trim();
  const value = spec.unit === 'mm' ? parseLength(text, unit) : bare === '' ? undefined : Number(bare);
  if (value === undefined || !Number.isFinite(value)) return undefined;
  const told = (number: number) => formatMeasure(spec, number, unit);
  const { least, most } = spec;
  const fits = value >= least && value <= most;
  return fits || told(value) === told(least) || told(value) === told(most)
    ? holdParam(spec, value)
    : undefined;
}

/** The numbers a run or a pass starts with on a panel. */
export const initialParams = (specs: readonly ParamSpec[], panel: Panel): Params =>
  Object.fromEntries(specs.map((spec) => [spec.key, holdParam(spec, spec.initial(panel))]));

/** A number held inside its range; seeds, counts and choices are whole. */
export function holdParam(spec: ParamSpec, value: number): number {
  const [least, most] = rangeOf(spec);
  const held = Math.min(Math.max(value, least), most);
  return isWhole(spec) ? Math.round(held) : held;
}

export const isWhole = (spec: ParamSpec): boolean =>
  isChoice(spec) || spec.unit === 'seed' || spec.unit === '×';

/** Numbers as their specs allow them; one that is missing starts where it does on the panel. */
export const heldParams = (specs: readonly ParamSpec[], params: Params, panel: Panel): Params =>
  Object.fromEntries(
    specs.map((spec) => [spec.key, holdParam(spec, params[spec.key] ?? spec.initial(panel))]),
  );

/** A number of a run, or where it starts when it has none. */
export const param = (params: Params, key: string, otherwise: number): number => params[key] ?? otherwise;
