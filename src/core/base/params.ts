import type { Size } from './geometry';
import { formatBare, formatFineBare, parseLength, ruleStep, type Unit } from './length';
import { plainSigns, readNumber } from './typed';

/** What is so of every parameter. */
interface SpecFacts {
  readonly label: string;
  /** Seldom changed, or better by hand on the panel: it stands behind "More". */
  readonly seldom?: true;
}

/** A number that is measured: how far it may go, and where it starts. */
export interface MeasureSpec extends SpecFacts {
  /** Lengths are mm, angles degrees, parts per cent; counts and seeds are whole. */
  readonly unit: 'mm' | '°' | '%' | '×' | 'seed';
  readonly min: number;
  readonly max: number;
  /** What an arrow key changes it by. */
  readonly step: number;
  readonly initial: (panel: Size) => number;
  /** Told and typed up from the foot of the panel, as makers measure; it is kept from the top. */
  readonly toldFrom?: 'foot';
  /** A place on the panel, along its width or its height: it keeps its part of it on a panel of another size. */
  readonly isPlaceAlong?: 'width' | 'height';
}

/** One of a few words; each with what the interface says for it. */
export interface ChoiceSpec<Word extends string = string> extends SpecFacts {
  readonly choices: Readonly<Record<Word, string>>;
  readonly initial: Word;
}

/** What one parameter of a run or of a pass means. */
export type ParamSpec = MeasureSpec | ChoiceSpec;

/** All parameters of one kind, by their keys, in the order they are shown. */
export type ParamSpecs = Readonly<Record<string, ParamSpec>>;

export type ParamValue = number | string;

type ValueOf<Spec extends ParamSpec> = Spec extends ChoiceSpec<infer Word> ? Word : number;

/** The values that go with specs: a word for a choice, a number for a measure. */
export type ParamsOf<Specs extends ParamSpecs> = {
  readonly [Key in keyof Specs]: ValueOf<Specs[Key]>;
};

/** Values of some kind or other, by their keys. */
export type Params = Readonly<Record<string, ParamValue>>;

/** A choice between words. */
export const choice = <Word extends string>(
  label: string,
  choices: Readonly<Record<Word, string>>,
  initial: NoInfer<Word>,
): ChoiceSpec<Word> => ({ label, choices, initial });

/** The same parameter, but seldom changed. */
export const seldom = <Spec extends ParamSpec>(spec: Spec): Spec & { readonly seldom: true } => ({
  ...spec,
  seldom: true,
});

export const isChoice = (spec: ParamSpec): spec is ChoiceSpec => 'choices' in spec;

/** Whether a value is one of a choice's own words, and not what every object has. */
const isWordOf = ({ choices }: ChoiceSpec, value: ParamValue | undefined): value is string =>
  typeof value === 'string' && Object.hasOwn(choices, value);

/** Whether only whole numbers will do. */
export const isWhole = ({ unit }: MeasureSpec): boolean => unit === 'seed' || unit === '×';

/** What is set by steps smaller than that, mm, is shown finer than a rule reads. */
const SHOWN_FINER_BELOW = 0.5;

/** A measured number without its unit: lengths as a rule reads them, or finer where they are set finer. */
export function formatMeasure(spec: MeasureSpec, value: number, unit: Unit): string {
  if (spec.unit === 'mm')
    return spec.step < SHOWN_FINER_BELOW ? formatFineBare(value, unit) : formatBare(value, unit);
  return String(spec.step < 1 ? Math.round(value * 10) / 10 : Math.round(value));
}

/** By how much a key changes a value: in inches by no less than the sixteenth that is shown. */
export const keyStep = ({ step, unit: of }: MeasureSpec, unit: Unit): number =>
  of === 'mm' && step >= SHOWN_FINER_BELOW ? Math.max(step, ruleStep(unit)) : step;

/** A kept value as it is told on a panel, or a told one as it is kept. Its own inverse. */
export const toldOn = ({ toldFrom }: MeasureSpec, value: number, { height }: Size): number =>
  toldFrom === 'foot' ? height - value : value;

/** Values on a panel of another size: places keep their part of the panel, everything else stays as it is. */
export const movedWith = (specs: ParamSpecs, params: Params, from: Size, to: Size): Params =>
  Object.fromEntries(
    Object.entries(params).map(([key, value]) => {
      const spec = specs[key];
      const along = spec && !isChoice(spec) ? spec.isPlaceAlong : undefined;
      return [key, along && typeof value === 'number' ? (value * to[along]) / from[along] : value];
    }),
  );

/** What a number may be as it is told on a panel. What may not lie above it may not lie below it either. */
export const toldSpec = (spec: MeasureSpec, panel: Size): MeasureSpec => {
  const lowest = spec.toldFrom === 'foot' && spec.min >= 0 ? Math.min(spec.max, panel.height) : spec.max;
  const [one, other] = [toldOn(spec, spec.min, panel), toldOn(spec, lowest, panel)];
  return { ...spec, min: Math.min(one, other), max: Math.max(one, other) };
};

/** A value in words, with its unit; "none" where there is none. */
export function describeParam(
  spec: ParamSpec,
  kept: ParamValue | undefined,
  unit: Unit,
  panel: Size,
): string {
  if (isChoice(spec)) return (isWordOf(spec, kept) ? spec.choices[kept] : undefined) ?? 'none';
  if (typeof kept !== 'number') return 'none';
  const value = toldOn(spec, kept, panel);
  const suffix = { mm: ` ${unit}`, '°': ' °', '%': ' %', '×': '', seed: '' }[spec.unit];
  return `${formatMeasure(spec, value, unit)}${suffix}`;
}

/**
 * Reads a measured number as a maker types it, with or without its unit; a bare length is in `unit`.
 *
 * @returns the number, inside its range; undefined where it is none, or lies beyond. A limit may be typed as it is shown,
 * which rounding may put a hair beyond it
 */
export function readMeasure(spec: MeasureSpec, text: string, unit: Unit): number | undefined {
  const value =
    spec.unit === 'mm' ? parseLength(text, unit) : readNumber(plainSigns(text).replace(/[°%]/g, ''));
  if (value === undefined) return undefined;
  const shown = (number: number) => formatMeasure(spec, number, unit);
  const { min, max } = spec;
  const fits = value >= min && value <= max;
  return fits || shown(value) === shown(min) || shown(value) === shown(max)
    ? clampMeasure(spec, value)
    : undefined;
}

/** A number inside its range, whole where it must be; never the negative nought, which no file can hold. */
export function clampMeasure(spec: MeasureSpec, value: number): number {
  const inside = Math.min(Math.max(value, spec.min), spec.max);
  return (isWhole(spec) ? Math.round(inside) : inside) + 0;
}

/** A value as its spec allows it: what does not fit at all is where it starts on the panel. */
function fitted(spec: ParamSpec, value: ParamValue | undefined, panel: Size): ParamValue {
  if (isChoice(spec)) return isWordOf(spec, value) ? value : spec.initial;
  return clampMeasure(spec, typeof value === 'number' ? value : spec.initial(panel));
}

/** Values as their specs allow them; one that is missing starts where it does on the panel. */
export const fitParams = <Specs extends ParamSpecs>(
  specs: Specs,
  params: Params,
  panel: Size,
): ParamsOf<Specs> =>
  Object.fromEntries(
    Object.entries(specs).map(([key, spec]) => [key, fitted(spec, params[key], panel)]),
  ) as ParamsOf<Specs>;

/** The values a run or a pass starts with on a panel. */
export const initialParams = <Specs extends ParamSpecs>(specs: Specs, panel: Size): ParamsOf<Specs> =>
  fitParams(specs, {}, panel);
