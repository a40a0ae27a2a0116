import { NOUNS } from '../pairs/nounLattice';

/** The number of a noun in pair tables. */
export const nounAt = (noun: string): number => NOUNS.indexOf(noun);

/** How even two gaps are: the smaller over the larger, 0…1. */
export const even = (p: number, q: number): number => {
  const larger = Math.max(p, q);
  return larger <= 0 ? 0 : Math.max(Math.min(p, q), 0) / larger;
};

/** Where a score begins to count something, and where it counts in full. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** A value from 0 at the span's `from` to 1 at its `to`, held inside. */
export const rise = (value: number, { from, to }: Span): number =>
  value <= from ? 0 : value >= to ? 1 : (value - from) / (to - from);
