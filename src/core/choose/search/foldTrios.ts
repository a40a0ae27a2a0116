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
  const { count, difference } = pairs;
  const near = (p: number, q: number): boolean => p === q || difference[p * count + q] < FOLD_WITHIN;
  const folded: (Trio & { alike: Trio[] })[] = [];
  // Most trios differ in the middle already: only those with a middle near to its own are looked at.
  const byMiddle = new Map<number, number[]>();
  const nearTo = new Map<number, number[]>();
  const middlesNear = (middle: number): number[] => {
    const known =
      nearTo.get(middle) ?? Array.from({ length: count }, (_, i) => i).filter((i) => near(i, middle));
    nearTo.set(middle, known);
    return known;
  };
  for (const trio of trios) {
    let under = folded.length;
    for (const middle of middlesNear(trio.middle))
      for (const place of byMiddle.get(middle) ?? []) {
        if (place >= under) break;
        const { first, last } = folded[place] as FoldedTrio;
        const alike =
          (near(first, trio.first) && near(last, trio.last)) ||
          (near(first, trio.last) && near(last, trio.first));
        if (alike) under = place;
      }
    if (under < folded.length) folded[under]?.alike.push(trio);
    else {
      const places = byMiddle.get(trio.middle) ?? [];
      places.push(folded.length);
      byMiddle.set(trio.middle, places);
      folded.push({ ...trio, alike: [] });
    }
  }
  return folded;
}
