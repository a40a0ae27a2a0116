import { hueSector } from '../shelf/gaps';
import { bestOfEach, considerTrios } from './considerTrios';
import type { DriedInks, Joins } from './pairs/pairTable';
import { allowsKind, GREYS, type Trio, type TrioQuery } from './query';
import type { Judged } from './relations/definition';
import { RELATIONS } from './relations/relations';

export interface TrioResult {
  /** The best and the best of each ink, best first. */
  readonly best: readonly Trio[];
  /** How many of all trios fit and met the constraints. */
  readonly count: number;
  /** How many there are. */
  readonly outOf: number;
}

/** A search that goes on a little at a time, so that its caller can report, or give up. */
export interface TrioSearch {
  /** Looks at all trios whose two palest inks are the next two; false when there is none left. */
  readonly step: () => boolean;
  /** Part done, 0…1. */
  readonly progress: () => number;
  readonly result: () => TrioResult;
}

/** Gives out the next number from 0 on; several searchers that share one find every trio once between them. */
export type Turn = () => number;

const ownTurn = (): Turn => {
  let next = 0;
  return () => next++;
};

/** By an ink's place: whether a trio that is asked for may hold it. */
function usableInks({ inks, labs }: DriedInks, { constraints }: TrioQuery): readonly boolean[] {
  const { ownedOnly, mustContain, mustNotContain, hues } = constraints;
  return inks.map(
    ({ id, kind, wished = false }, i) =>
      (hues.length === 0 || hues.includes(hueSector(labs[i]) ?? GREYS)) &&
      !(ownedOnly && wished) &&
      !mustNotContain.includes(id) &&
      (allowsKind(constraints, kind) || mustContain.includes(id)),
  );
}

/** The joints that a search reads: those of inks that it may use and that its relation joins. */
export function wantedJoints(dried: DriedInks, query: TrioQuery): Joins {
  const usable = usableInks(dried, query);
  const joins = RELATIONS[query.relation].joins?.(dried);
  return (row, other) =>
    usable[row] === true && usable[other] === true && (joins === undefined || joins(row, other));
}

/**
 * An exhaustive search over every three inks of a shelf of which the wanted joints are judged. Nothing is skipped that
 * could be found.
 *
 * @param turn  gives out the palest inks of trios; shared where several search one shelf
 */
export function searchTrios(judged: Judged, query: TrioQuery, turn: Turn = ownTurn()): TrioSearch {
  const { inks, lightness } = judged.dried;
  const { palestAtLeast, spacingAtLeast } = query.constraints;
  const numbers = Uint16Array.from(usableInks(judged.dried, query).flatMap((is, i) => (is ? [i] : [])));
  const consider = considerTrios(judged, query, numbers);
  let row = turn();
  let next = row + 1;
  return {
    step: () => {
      const i = numbers[row];
      if (i === undefined) return false;
      const j = numbers[next];
      if (j === undefined || lightness[i] < palestAtLeast) {
        row = turn();
        next = row + 1;
        return row < numbers.length;
      }
      next++;
      if (lightness[i] - lightness[j] >= spacingAtLeast) consider.thirds(i, j, next);
      return true;
    },
    progress: () => {
      const left = numbers.length - row;
      return numbers.length < 3 ? 1 : 1 - choose3(left) / choose3(numbers.length);
    },
    result: () => ({ best: consider.best(), count: consider.count(), outOf: choose3(inks.length) }),
  };
}

/** What several searchers of one shelf found between them. */
export function mergeResults(results: readonly TrioResult[], keep: number): TrioResult {
  return {
    best: bestOfEach(
      results.flatMap(({ best }) => best),
      keep,
    ),
    count: results.reduce((sum, { count }) => sum + count, 0),
    outOf: results[0]?.outOf ?? 0,
  };
}

const choose3 = (n: number): number => (n < 3 ? 0 : (n * (n - 1) * (n - 2)) / 6);
