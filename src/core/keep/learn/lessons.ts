import { quantile } from 'd3-array';
import { counted, listed } from '../../base/words';
import type { Ink } from '../../materials/ink/ink';
import type { TaughtInk } from '../../materials/ink/taught';
import type { PanelEvidence, Reading } from './evidence';
import { spreadsOf, valuesOf } from './inkParams';
import { type Learned, learn } from './learn';
import { doubtOf } from './normal';
import { missOf } from './tell';

/** What was learned of one ink. */
export interface InkLesson {
  /** As it was, without anything taught. */
  readonly ink: Ink;
  readonly taught: TaughtInk;
  /** Median ΔE00 of its readings from what was said of them, as its swatch says and as taught. */
  readonly before: number;
  readonly after: number;
  readonly readings: number;
  /** A lesson that makes its own past panels worse is not taken. */
  readonly isTaken: boolean;
}

/** How far readings lie from what is said of them, ΔE00. */
export interface Misses {
  readonly median: number;
  readonly p90: number;
}

export interface Lessons {
  readonly inks: readonly InkLesson[];
  readonly panels: number;
  readonly readings: number;
  readonly before: Misses;
  readonly after: Misses;
}

/** So much worse, ΔE00, is no worse: less than any eye sees. */
const NO_WORSE = 0.05;

/**
 * What all panels teach of the inks on them; see `learn`.
 *
 * @param strips  readings of the swatch book: of inks laid as strong as their swatches
 */
export function lessonsOf(
  panels: readonly PanelEvidence[],
  at: Date,
  onStep?: (done: number) => void,
  strips: readonly Reading[] = [],
): Lessons {
  const bare = panels.map(({ readings }) => ({ readings: readings.map((one) => withInks(one, untaught)) }));
  const learned = learn(
    bare,
    onStep,
    strips.map((strip) => withInks(strip, untaught)),
  );
  const taught = new Map(learned.inks.map(({ prior }, i) => [prior.ink.id, taughtInk(learned, i, at)]));
  const readings = bare.flatMap((panel) => panel.readings);
  const refused = new Set<string>();
  const afterwards = () =>
    readings.map((reading) =>
      missOf(
        withInks(reading, (ink) => {
          const lesson = refused.has(ink.id) ? undefined : taught.get(ink.id);
          return lesson ? { ...ink, taught: lesson } : ink;
        }),
      ),
    );
  const before = readings.map(missOf);
  const all = afterwards();
  const own = learned.inks.map(({ prior: { ink } }) => {
    const at = readings.flatMap((reading, i) => (holds(reading, ink) ? [i] : []));
    const middle = (misses: readonly number[]) => middleOf(at.map((i) => misses[i] ?? 0));
    return { ink, readings: at.length, before: middle(before), after: middle(all) };
  });
  for (const one of own) if (one.after > one.before + NO_WORSE) refused.add(one.ink.id);
  const after = refused.size > 0 ? afterwards() : all;
  // What is left has to be better as a whole, or none of it is taken.
  if (middleOf(after) > middleOf(before) + NO_WORSE) for (const { ink } of own) refused.add(ink.id);
  return {
    inks: own.map((one) => ({
      ...one,
      taught: taught.get(one.ink.id) as TaughtInk,
      isTaken: !refused.has(one.ink.id),
    })),
    panels: panels.length,
    readings: readings.length,
    before: missesOf(before),
    after: missesOf(refused.size > 0 ? afterwards() : all),
  };
}

/** An ink with what was learned of it. */
export const withLesson = (ink: Ink, lesson: InkLesson | undefined): Ink =>
  lesson?.isTaken ? { ...ink, taught: { ...lesson.taught, ...(ink.taught?.off ? { off: true } : {}) } } : ink;

const untaught = ({ taught: _, ...ink }: Ink): Ink => ink;

const withInks = (reading: Reading, as: (ink: Ink) => Ink): Reading => ({
  ...reading,
  layers: reading.layers.map((layer) => layer.map(({ ink, coats }) => ({ ink: as(ink), coats }))),
});

const holds = ({ layers }: Reading, { id }: Ink): boolean =>
  layers.some((layer) => layer.some(({ ink, coats }) => ink.id === id && coats > 0));

function taughtInk({ inks, precision }: Learned, place: number, at: Date): TaughtInk {
  const { prior, params, panels } = inks[place] as Learned['inks'][number];
  const { strength, scattering, slope, modes } = valuesOf(prior, params);
  return {
    strength: rounded(strength),
    scattering: rounded(scattering),
    slope: rounded(slope),
    modes: modes.map(rounded),
    doubt: doubtOf(precision, place).map(rounded),
    panels,
    at: at.toISOString(),
  };
}

/** Digits that files keep. */
const rounded = (value: number): number => Number(value.toPrecision(5));

const middleOf = (misses: readonly number[]): number => quantile(misses, 0.5) ?? 0;
const missesOf = (misses: readonly number[]): Misses => ({
  median: middleOf(misses),
  p90: quantile(misses, 0.9) ?? 0,
});

/** Which way a value lies from one, where it is surely off: by more than its own spread and by a tenth. */
function lean(value: number, spread: number): 'more' | 'less' | 'as said' {
  const log = Math.log(value);
  if (Math.abs(log) < Math.max(spread, 0.095)) return 'as said';
  return log > 0 ? 'more' : 'less';
}

/** "Leat Mid lays 1.3 times as strong as its swatch says (1.1 to 1.5), from four panels." */
export function tellTaught({ name, kind }: Pick<Ink, 'name' | 'kind'>, taught: TaughtInk): string {
  const spreads = spreadsOf(taught);
  const [low, high] = [-1, 1].map((way) => (taught.strength * Math.exp(way * spreads.strength)).toFixed(1));
  const strength =
    lean(taught.strength, spreads.strength) === 'as said'
      ? 'lays as strong as its swatch says'
      : `lays ${taught.strength.toFixed(1)} times as strong as its swatch says`;
  const range = low === high ? '' : ` (${low} to ${high})`;
  const hides = lean(taught.scattering, spreads.scattering);
  // What a dye scatters stays as it was thought: panels say nothing of it.
  const hiding = kind === 'dye' || hides === 'as said' ? [] : [`hides ${hides} than usual for its kind`];
  return `${name} ${listed([`${strength}${range}`, ...hiding])}, from ${counted(taught.panels, 'panel')}.`;
}
