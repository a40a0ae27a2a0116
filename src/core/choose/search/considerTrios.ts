import { moodTest } from './moods/mood';
import type { PairTable } from './pairs/pairTable';
import { DULLS } from './pairs/pairTable';
import { byRank, type Constraints, type SortId, type Trio, type TrioQuery, trioKey } from './query';
import type { Judged } from './relations/definition';
import { RELATIONS, type RelationId, scorerOf } from './relations/relations';

/** Weighs one trio after another, given pale to dark, and keeps the best. */
export function considerTrios(judged: Judged, query: TrioQuery, numbers: Uint16Array) {
  const { relation, constraints, sort, seed, keep } = query;
  const { dried, pairs } = judged;
  const { count } = pairs;
  const { anyMiddle } = RELATIONS[relation];
  const score = scorerOf(relation, judged);
  const { lightness, inks } = dried;
  const joined = joinedInks(judged, relation);
  const must = constraints.mustContain.map((id) => inks.findIndex((ink) => ink.id === id));
  const family = familyNumbers(inks.map((ink) => ink.family));
  const made = new Set(constraints.notAmong);
  const { darkestAtMost, spacingAtLeast, noDull, families, farFromKept } = constraints;
  const fromKept = distanceFromKept(judged, constraints.kept);
  const free =
    darkestAtMost >= 100 &&
    spacingAtLeast <= 0 &&
    farFromKept <= 0 &&
    !constraints.mood &&
    must.length + made.size === 0 &&
    families === 'any';
  const ofMood = constraints.mood && moodTest(constraints.mood, dried);
  const byFit = sort === 'fit';
  const best = keepBest(keep, inks.length);
  let found = 0;

  const allowed = (i: number, j: number, k: number): boolean => {
    const q = lightness[k];
    if (q > darkestAtMost || lightness[j] - q < spacingAtLeast) return false;
    if (must.length > 0 && must.some((wanted) => wanted !== i && wanted !== j && wanted !== k)) return false;
    if (families !== 'any') {
      const same = family[i] === family[j] && family[j] === family[k];
      if (same !== (families === 'same')) return false;
    }
    if (ofMood && !ofMood(i, j, k)) return false;
    if (farFromKept > 0 && fromKept(i, j, k) < farFromKept) return false;
    if (made.size === 0) return true;
    return !made.has(trioKey([i, j, k].map((n) => inks[n]?.id ?? '')));
  };
  const fitOf = (first: number, middle: number, last: number): number =>
    noDull && hasDull(pairs, first, middle, last) ? 0 : score(first, middle, last);
  const keepIt = (i: number, j: number, k: number, middle: number, fit: number): void => {
    const rank = byFit
      ? fit
      : sort === 'unlikeKept'
        ? fromKept(i, j, k)
        : rankBy(sort, judged, seed, i, j, k);
    if (!best.wants(rank, i, j, k)) return;
    const [first, last] = middle === j ? [i, k] : middle === i ? [j, k] : [i, j];
    best.add({ first, middle, last, fit, rank });
  };
  return {
    /**
     * Weighs two inks with every third that is darker, from this place of `numbers` on. Where the relation allows
     * any middle, the best of the three is taken.
     */
    thirds: (i: number, j: number, from: number): void => {
      if (joined[i * count + j] === 0) return;
      for (let c = from; c < numbers.length; c++) {
        const k = numbers[c];
        if (joined[j * count + k] === 0) continue;
        if (anyMiddle && joined[i * count + k] === 0) continue;
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

/** By two inks, as in the table: 1 where they can have a joint in three that fit. */
function joinedInks({ dried, pairs: { count } }: Judged, relation: RelationId): Uint8Array {
  const joins = RELATIONS[relation].joins?.(dried);
  const joined = new Uint8Array(count * count).fill(joins ? 0 : 1);
  if (joins)
    for (let i = 0; i < count; i++)
      for (let j = i + 1; j < count; j++) joined[i * count + j] = joins(i, j) ? 1 : 0;
  return joined;
}

const hasDull = ({ verdict, count }: PairTable, first: number, middle: number, last: number): boolean =>
  verdict[first * count + middle] === DULLS || verdict[middle * count + last] === DULLS;

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
      const sum = difference[i * count + p] + difference[j * count + q] + difference[k * count + r];
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
  const [p, m, q] = [lightness[i], lightness[j], lightness[k]];
  if (sort === 'evenness') return Math.min(p - m, m - q) / Math.max(p - m, m - q, 1e-9);
  if (sort === 'chroma') return (chroma[i] + chroma[j] + chroma[k]) / 3;
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

/** Besides the best of all, so many of each ink are kept: a page is to show more than a few inks. */
const OF_EACH = 30;

/** The first `max` by rank, and the first few of each ink. */
export function bestOfEach(trios: readonly Trio[], max: number): Trio[] {
  const of = new Map<number, number>();
  return trios.toSorted(byRank).filter(({ first, middle, last }, place) => {
    let wanted = place < max;
    for (const ink of [first, middle, last]) {
      const before = of.get(ink) ?? 0;
      if (before < OF_EACH) wanted = true;
      of.set(ink, before + 1);
    }
    return wanted;
  });
}

/** Keeps the best as they come. Collects twice as many, then cuts. */
function keepBest(max: number, inks: number) {
  let kept: Trio[] = [];
  let cutAt = 2 * (max + OF_EACH);
  let least = Number.NEGATIVE_INFINITY;
  /** What an ink's last kept trio ranks, once it has enough. */
  const leastOf = new Float64Array(inks).fill(Number.NEGATIVE_INFINITY);
  const cut = (): void => {
    kept = bestOfEach(kept, max);
    cutAt = Math.max(cutAt, 2 * kept.length);
    if (kept.length >= max) least = kept[max - 1]?.rank ?? least;
    const of = new Uint16Array(inks);
    for (const { first, middle, last, rank } of kept)
      for (const ink of [first, middle, last]) if (++of[ink] === OF_EACH) leastOf[ink] = rank;
  };
  return {
    /** Whether a trio of these inks could be among them. */
    wants: (rank: number, i: number, j: number, k: number): boolean =>
      rank >= least || rank >= leastOf[i] || rank >= leastOf[j] || rank >= leastOf[k],
    add: (trio: Trio): void => {
      kept.push(trio);
      if (kept.length >= cutAt) cut();
    },
    sorted: (): readonly Trio[] => {
      cut();
      return kept;
    },
  };
}
