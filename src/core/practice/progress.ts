import { median } from 'd3-array';
import { HUE_SECTORS } from '../choose/shelf/gaps';
import { EXERCISE_IDS, type Exercise, type ExerciseId } from './exercises/definition';
import { EXERCISES } from './exercises/exercises';
import { thresholdOf } from './threshold';
import type { Trial } from './trial';

/** Answers of an exercise that say how it stands; fewer say nothing. */
const LATEST = 40;
export const FEWEST = 6;
/** Days that are looked back on: years of them are more than a curve can show. */
const MOST_DAYS = 60;

/** How an exercise stood at the end of a day. */
export interface DayPoint {
  readonly day: string;
  /** The difference told apart, how far off at the median, or the part that was known in per cent: in the exercise's unit. */
  readonly value: number;
}

export interface Progress {
  readonly exercise: Exercise;
  readonly trials: number;
  readonly right: number;
  /** From the first day to the last, no more than a curve can show. */
  readonly days: readonly DayPoint[];
  /** How it stands now; undefined with too few answers. */
  readonly now: number | undefined;
}

/** How one exercise stands after these trials; smaller is better, but for what is known. */
function standingOf(exercise: Exercise, trials: readonly Trial[]): number | undefined {
  const own = trials.slice(-LATEST);
  if (own.length < FEWEST) return undefined;
  if (exercise.follows === 'difference') return thresholdOf(own, exercise).at;
  if (exercise.follows === 'setting') return median(own, ({ off = 0 }) => off);
  return (100 * own.filter(({ isRight }) => isRight).length) / own.length;
}

/** @param dayOf  the day of the maker's calendar a moment falls on */
export function progressOf(trials: readonly Trial[], dayOf: (at: number) => string): Progress[] {
  return EXERCISE_IDS.map((id) => {
    const exercise = EXERCISES[id];
    const own = trials.filter((trial) => trial.exercise === id).toSorted((p, q) => p.at - q.at);
    /** How many answers there were by the end of each day. */
    const until = new Map(own.map(({ at }, i) => [dayOf(at), i + 1]));
    return {
      exercise,
      trials: own.length,
      right: own.filter(({ isRight }) => isRight).length,
      days: evenlyOf([...until], MOST_DAYS).flatMap(([day, count]): DayPoint[] => {
        const value = standingOf(exercise, own.slice(Math.max(0, count - LATEST), count));
        return value === undefined ? [] : [{ day, value }];
      }),
      now: standingOf(exercise, own),
    };
  });
}

/** So many of them, evenly from the first to the last; all where there are no more. */
function evenlyOf<T>(all: readonly T[], most: number): readonly T[] {
  if (all.length <= most) return all;
  const place = (i: number): number => Math.floor((i * (most - 1)) / (all.length - 1));
  return all.filter((_, i) => place(i) > place(i - 1));
}

/** How an eye does in one hue region. */
export interface Region {
  readonly hue: string;
  readonly value: number;
  readonly trials: number;
}

/** In which hues an exercise's differences are told well, and in which not: the best first. */
export function regionsOf(id: ExerciseId, trials: readonly Trial[]): Region[] {
  const exercise = EXERCISES[id];
  if (exercise.follows !== 'difference') return [];
  return HUE_SECTORS.flatMap((hue, sector): Region[] => {
    const own = trials.filter((trial) => trial.exercise === id && trial.hues.includes(sector));
    const value = standingOf(exercise, own);
    return value === undefined ? [] : [{ hue, value, trials: own.length }];
  }).toSorted((p, q) => p.value - q.value);
}

/** "You tell 4 L* apart in green, 9 in violet." Undefined where too little was asked. */
export function tellRegions(id: ExerciseId, trials: readonly Trial[]): string | undefined {
  const regions = regionsOf(id, trials);
  const [best, worst] = [regions[0], regions.at(-1)];
  if (!best || !worst || best === worst) return undefined;
  const { unit } = EXERCISES[id];
  return `You can tell ${best.value.toFixed(1)} ${unit} apart in ${best.hue}, ${worst.value.toFixed(1)} in ${worst.hue}.`;
}

/** What to practise next: what stands worst against a beginner, or has hardly been tried. */
export function practiseNext(progress: readonly Progress[]): Progress | undefined {
  const badness = ({ exercise, now }: Progress): number => {
    if (now === undefined) return 1.2;
    return exercise.follows === 'knowledge' ? (100 - now) / 50 : now / exercise.start;
  };
  return progress.toSorted((p, q) => badness(q) - badness(p))[0];
}

/** Inks that were mistaken for each other, or whose join was, with how often. */
export interface WeakPair {
  readonly inks: readonly string[];
  readonly missed: number;
  readonly of: number;
}

/** Pairs that are missed more often than known, the most missed first: to be blended on paper. */
export function weakPairs(trials: readonly Trial[], most = 8): WeakPair[] {
  const pairs = new Map<string, { inks: readonly string[]; missed: number; of: number }>();
  for (const { inks, isRight } of trials) {
    if (inks.length !== 2) continue;
    const key = inks.toSorted().join('\n');
    const before = pairs.get(key) ?? { inks, missed: 0, of: 0 };
    pairs.set(key, { inks, missed: before.missed + (isRight ? 0 : 1), of: before.of + 1 });
  }
  return [...pairs.values()]
    .filter(({ missed, of }) => missed > 0 && missed * 2 >= of)
    .toSorted((p, q) => q.missed - p.missed || p.of - q.of)
    .slice(0, most);
}
