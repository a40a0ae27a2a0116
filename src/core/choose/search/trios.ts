import type { Lab } from '../../materials/colour/lab';
import type { InkKindId } from '../../materials/ink/kinds';
import { HUE_SECTORS, hueSector } from '../shelf/gaps';
import { type PairTable, VERDICTS } from './pairTable';
import { type Judged, RELATIONS, type RelationId } from './relations';

/** What a trio must meet; what is left out asks nothing. */
export interface Constraints {
  /** Ids of inks that must be in it. */
  readonly mustContain: readonly string[];
  readonly mustNotContain: readonly string[];
  /** Whether wished-for inks are left out. */
  readonly ownedOnly: boolean;
  /** Kinds it may be made of; empty for any. */
  readonly kinds: readonly InkKindId[];
  /** L* the palest ink has at least, and the darkest at most. */
  readonly palestAtLeast: number;
  readonly darkestAtMost: number;
  /** Least step in L* between neighbours in lightness. */
  readonly spacingAtLeast: number;
  readonly noMud: boolean;
  readonly families: 'any' | 'same' | 'mixed';
  /** Hues each ink must have, as places in `HUE_SECTORS`, or `GREYS`; empty for any. */
  readonly hues: readonly number[];
  /** Trios kept, as the ids of their inks, and how far from each of them a trio must be, mean CIEDE2000. */
  readonly kept: readonly (readonly string[])[];
  readonly farFromKept: number;
  /** Trios made already, as the sorted ids of their inks joined by spaces. */
  readonly notAmong: readonly string[];
}

export const NO_CONSTRAINTS: Constraints = {
  mustContain: [],
  mustNotContain: [],
  ownedOnly: false,
  kinds: [],
  palestAtLeast: 0,
  darkestAtMost: 100,
  spacingAtLeast: 0,
  noMud: false,
  families: 'any',
  hues: [],
  kept: [],
  farFromKept: 0,
  notAmong: [],
};

/** Stands in `hues` for inks without a hue. */
export const GREYS = HUE_SECTORS.length;

export type SortId = 'fit' | 'evenness' | 'chroma' | 'contrast' | 'unlikeKept' | 'chance';

/** How found trios are ranked; each is a figure of one trio, larger first. */
export const SORTS: Readonly<Record<SortId, { readonly label: string; readonly explains: string }>> = {
  fit: { label: 'Fit', explains: 'by the relation’s own score' },
  evenness: { label: 'Evenness', explains: 'smallest step in L* over the largest' },
  chroma: { label: 'Chroma', explains: 'mean chroma of the three' },
  contrast: { label: 'Contrast with detail black', explains: 'L* of the darkest ink' },
  unlikeKept: {
    label: 'Unlike what is kept',
    explains: 'mean ΔE00 from the nearest kept trio, pale with pale, dark with dark',
  },
  chance: { label: 'Chance', explains: 'drawn at random from the seed' },
};

/** Three inks by their numbers in the dried shelf, in panel order. */
export interface Trio {
  readonly first: number;
  readonly middle: number;
  readonly last: number;
  /** The relation's score, 0…1. */
  readonly fit: number;
  /** What the trio was ranked by. */
  readonly rank: number;
}

export interface TrioQuery {
  readonly relation: RelationId;
  readonly constraints: Constraints;
  readonly sort: SortId;
  /** Decides the order of chance; the same seed on the same shelf draws the same trios. */
  readonly seed: number;
  /** How many of the best to keep. */
  readonly keep: number;
}

export interface TrioResult {
  /** The best, best first. */
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

const MUD = VERDICTS.indexOf('mud');

/** The sorted ids of a trio's inks, joined by spaces: the same for the same three inks in any order. */
export const trioKey = (ids: readonly string[]): string => [...ids].sort().join(' ');

/**
 * An exhaustive search over every three inks of a judged shelf. Nothing is skipped that could be found.
 *
 * @param turn  gives out the palest inks of trios; shared where several search one shelf
 */
export function searchTrios(judged: Judged, query: TrioQuery, turn: Turn = ownTurn()): TrioSearch {
  const { inks, lightness } = judged.dried;
  const { ownedOnly, mustNotContain, kinds, hues, palestAtLeast, spacingAtLeast } = query.constraints;
  const { labs } = judged.dried;
  const usable = inks.map(
    ({ id, kind, wished = false }, i) =>
      (hues.length === 0 || hues.includes(hueSector(labs[i] as Lab) ?? GREYS)) &&
      !(ownedOnly && wished) &&
      !mustNotContain.includes(id) &&
      (kinds.length === 0 || kinds.includes(kind)),
  );
  const numbers = Uint16Array.from(inks.flatMap((_, i) => (usable[i] ? [i] : [])));
  const consider = considerTrios(judged, query, numbers);
  let row = turn();
  let next = row + 1;
  return {
    step: () => {
      const i = numbers[row];
      if (i === undefined) return false;
      const j = numbers[next];
      if (j === undefined || (lightness[i] as number) < palestAtLeast) {
        row = turn();
        next = row + 1;
        return row < numbers.length;
      }
      next++;
      if ((lightness[i] as number) - (lightness[j] as number) >= spacingAtLeast) consider.thirds(i, j, next);
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
    best: results
      .flatMap(({ best }) => best)
      .sort(byRank)
      .slice(0, keep),
    count: results.reduce((sum, { count }) => sum + count, 0),
    outOf: results[0]?.outOf ?? 0,
  };
}

const choose3 = (n: number): number => (n < 3 ? 0 : (n * (n - 1) * (n - 2)) / 6);

/** Weighs one trio after another, given pale to dark, and keeps the best. */
function considerTrios(judged: Judged, query: TrioQuery, numbers: Uint16Array) {
  const { relation, constraints, sort, seed, keep } = query;
  const { dried, pairs } = judged;
  const { scorer, anyMiddle } = RELATIONS[relation];
  const score = scorer(judged);
  const { lightness, inks } = dried;
  const must = constraints.mustContain.map((id) => inks.findIndex((ink) => ink.id === id));
  const family = familyNumbers(inks.map((ink) => ink.family));
  const made = new Set(constraints.notAmong);
  const { darkestAtMost, spacingAtLeast, noMud, families, farFromKept } = constraints;
  const fromKept = distanceFromKept(judged, constraints.kept);
  const free =
    darkestAtMost >= 100 &&
    spacingAtLeast <= 0 &&
    farFromKept <= 0 &&
    must.length + made.size === 0 &&
    families === 'any';
  const byFit = sort === 'fit';
  const best = keepBest(keep);
  let found = 0;

  const allowed = (i: number, j: number, k: number): boolean => {
    const q = lightness[k] as number;
    if (q > darkestAtMost || (lightness[j] as number) - q < spacingAtLeast) return false;
    if (must.length > 0 && must.some((wanted) => wanted !== i && wanted !== j && wanted !== k)) return false;
    if (families !== 'any') {
      const same = family[i] === family[j] && family[j] === family[k];
      if (same !== (families === 'same')) return false;
    }
    if (farFromKept > 0 && fromKept(i, j, k) < farFromKept) return false;
    if (made.size === 0) return true;
    return !made.has(trioKey([i, j, k].map((n) => inks[n]?.id ?? '')));
  };
  const fitOf = (first: number, middle: number, last: number): number =>
    noMud && hasMud(pairs, first, middle, last) ? 0 : score(first, middle, last);
  const keepIt = (i: number, j: number, k: number, middle: number, fit: number): void => {
    const rank = byFit
      ? fit
      : sort === 'unlikeKept'
        ? fromKept(i, j, k)
        : rankBy(sort, judged, seed, i, j, k);
    if (rank < best.least()) return;
    const [first, last] = middle === j ? [i, k] : middle === i ? [j, k] : [i, j];
    best.add({ first: first as number, middle, last: last as number, fit, rank });
  };
  return {
    /**
     * Weighs two inks with every third that is darker, from this place of `numbers` on. Where the relation allows
     * any middle, the best of the three is taken.
     */
    thirds: (i: number, j: number, from: number): void => {
      for (let c = from; c < numbers.length; c++) {
        const k = numbers[c] as number;
        if (!free && !allowed(i, j, k)) continue;
        let fit = fitOf(i, j, k);
        let middle = j;
        if (anyMiddle) {
          const palest = fitOf(j, i, k);
          const darkest = fitOf(i, k, j);
          if (palest > fit) {
            fit = palest;
            middle = i;
          }
          if (darkest > fit) {
            fit = darkest;
            middle = k;
          }
        }
        if (fit <= 0) continue;
        found++;
        keepIt(i, j, k, middle, fit);
      }
    },
    best: best.sorted,
    count: () => found,
  };
}

const hasMud = ({ verdict, count }: PairTable, first: number, middle: number, last: number): boolean =>
  verdict[first * count + middle] === MUD || verdict[middle * count + last] === MUD;

/** Distance told where nothing is kept: farther than any two trios can be. */
const NOTHING_KEPT = 200;

/**
 * How far a trio is from the nearest kept one: the mean CIEDE2000 of their inks, the palest with the palest and the
 * darkest with the darkest. Kept trios with an ink that is not searched are passed over.
 */
function distanceFromKept({ dried, pairs }: Judged, kept: Constraints['kept']) {
  const placeOf = new Map(dried.inks.map(({ id }, place) => [id, place]));
  const rows = kept
    .map((ids) => ids.flatMap((id) => placeOf.get(id) ?? []).sort((p, q) => p - q))
    .filter((places) => places.length === 3);
  const { count, difference } = pairs;
  return (i: number, j: number, k: number): number => {
    let least = NOTHING_KEPT;
    for (const [p = 0, q = 0, r = 0] of rows) {
      const sum =
        (difference[i * count + p] as number) +
        (difference[j * count + q] as number) +
        (difference[k * count + r] as number);
      if (sum / 3 < least) least = sum / 3;
    }
    return least;
  };
}

/** A trio's figure other than its fit; inks pale to dark. */
function rankBy(
  sort: Exclude<SortId, 'fit' | 'unlikeKept'>,
  { dried }: Judged,
  seed: number,
  i: number,
  j: number,
  k: number,
): number {
  if (sort === 'chance') return drawn(seed, i, j, k);
  const { lightness, chroma } = dried;
  const [p, m, q] = [lightness[i] as number, lightness[j] as number, lightness[k] as number];
  if (sort === 'evenness') return Math.min(p - m, m - q) / Math.max(p - m, m - q, 1e-9);
  if (sort === 'chroma') return ((chroma[i] as number) + (chroma[j] as number) + (chroma[k] as number)) / 3;
  return q;
}

/** A number in 0…1 for three inks and a seed, as good as random: multiply, shift and mix. */
function drawn(seed: number, i: number, j: number, k: number): number {
  let h = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b);
  for (const part of [i, j, k]) {
    h = Math.imul(h ^ (part + 0x27d4eb2f), 0xc2b2ae35);
    h ^= h >>> 15;
  }
  return (h >>> 0) / 2 ** 32;
}

function familyNumbers(families: readonly string[]): Uint16Array {
  const numbers = new Map<string, number>();
  return Uint16Array.from(families, (name) => {
    const number = numbers.get(name) ?? numbers.size;
    numbers.set(name, number);
    return number;
  });
}

/** Higher ranks first, then better fits; of equals the one of paler inks, so that the order is always the same. */
const byRank = (p: Trio, q: Trio): number =>
  q.rank - p.rank || q.fit - p.fit || p.first - q.first || p.middle - q.middle || p.last - q.last;

/** Keeps the first `most` by rank. Collects twice as many, then cuts. */
function keepBest(most: number) {
  let kept: Trio[] = [];
  let least = Number.NEGATIVE_INFINITY;
  const cut = (): void => {
    kept = kept.sort(byRank).slice(0, most);
    if (kept.length === most) least = kept[most - 1]?.rank ?? least;
  };
  return {
    /** Nothing ranked below this can be among them. */
    least: () => least,
    add: (trio: Trio): void => {
      kept.push(trio);
      if (kept.length >= 2 * most) cut();
    },
    sorted: (): readonly Trio[] => {
      cut();
      return kept;
    },
  };
}

/** A found trio with the ones so like it that they are told as one. */
export interface FoldedTrio extends Trio {
  readonly alike: readonly Trio[];
}

/** Two inks nearer than this are taken for each other when trios are folded. CIEDE2000. */
const FOLD_WITHIN = 9;

/** Folds each trio under the best one of which every ink is near its own; best first. */
export function foldTrios(trios: readonly Trio[], { pairs }: Judged): FoldedTrio[] {
  const near = (p: number, q: number): boolean =>
    p === q || (pairs.difference[p * pairs.count + q] as number) < FOLD_WITHIN;
  const folded: (Trio & { alike: Trio[] })[] = [];
  for (const trio of trios) {
    const under = folded.find(
      ({ first, middle, last }) =>
        near(middle, trio.middle) &&
        ((near(first, trio.first) && near(last, trio.last)) ||
          (near(first, trio.last) && near(last, trio.first))),
    );
    if (under) under.alike.push(trio);
    else folded.push({ ...trio, alike: [] });
  }
  return folded;
}
