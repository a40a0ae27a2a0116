import type { Trio } from './query';
import type { Judged } from './relations/definition';

/** A found trio with the ones so like it that they are told as one. */
export interface FoldedTrio extends Trio {
  readonly alike: readonly Trio[];
}

/** Two inks nearer than this are taken for each other when trios are folded. CIEDE2000. */
const FOLD_WITHIN = 9;

/** Folds each trio under the best one of which every ink is near its own; best first. */
export function foldTrios(trios: readonly Trio[], { pairs }: Judged): FoldedTrio[] {
  const near = (p: number, q: number): boolean =>
    p === q || pairs.difference[p * pairs.count + q] < FOLD_WITHIN;
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
