import { deltaE00, MAX_LIGHTNESS_WEIGHT } from '../../materials/colour/difference';
import type { DriedInk } from '../../readings/driedShelf';

/** Two inks that dry to nearly one colour. */
export interface Twins {
  readonly pair: readonly [DriedInk, DriedInk];
  /** CIEDE2000. */
  readonly difference: number;
}

/** Two inks nearer than this are twins, unless the maker says otherwise: nobody needs both. CIEDE2000. */
export const TWINS_WITHIN = { least: 1, usual: 3, most: 15 } as const;

/** All pairs of a dried shelf that are twins, the nearest first. Exact: sorted by L*, which bounds the difference. */
export function findTwins(shelf: readonly DriedInk[], within: number = TWINS_WITHIN.usual): Twins[] {
  const sorted = shelf.toSorted((p, q) => p.lab.l - q.lab.l);
  const twins: Twins[] = [];
  for (let i = 0; i < sorted.length; i++)
    for (let j = i + 1; j < sorted.length; j++) {
      const [p, q] = [sorted[i] as DriedInk, sorted[j] as DriedInk];
      if (q.lab.l - p.lab.l >= within * MAX_LIGHTNESS_WEIGHT) break;
      const difference = deltaE00(p.lab, q.lab);
      if (difference < within) twins.push({ pair: [p, q], difference });
    }
  return twins.sort((p, q) => p.difference - q.difference);
}

/** Pairs told where none are twins. */
const NEAREST = 8;

/** The nearest pairs of a shelf, nearest first: what comes closest to twins where there are none. */
export function nearestPairs(shelf: readonly DriedInk[], count = NEAREST): Twins[] {
  const all = (shelf.length * (shelf.length - 1)) / 2;
  let within: number = TWINS_WITHIN.most;
  let pairs = findTwins(shelf, within);
  while (pairs.length < Math.min(count, all)) {
    within *= 2;
    pairs = findTwins(shelf, within);
  }
  return pairs.slice(0, count);
}
