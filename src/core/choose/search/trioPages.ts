import { type FoldedTrio, foldTrios } from './foldTrios';
import type { Trio, TrioQuery } from './query';
import type { Judged } from './relations/definition';
import { RELATIONS } from './relations/relations';

/** How many trios are told at a time. */
export const PAGE = 20;
/** One ink stands in so many trios of a page at most, and counts for so much less each time. */
const USES = 3;
const USED = 0.85;
/** How much a trio loses that is just like one told before it, and the mean CIEDE2000 from which two are unlike. */
const LIKENESS = 0.6;
const UNLIKE = 25;
/** A trio with less than this part of the best score is not worth showing. */
const WORTH = 0.25;

/** What a search found, a page at a time. */
export interface TrioPages {
  /** The next page; empty when all is told. A page may be short: nothing is shown only to fill it. */
  readonly next: () => readonly FoldedTrio[];
  /** How many are left to tell. */
  readonly left: () => number;
}

/**
 * By fit, a page is a choice: the best first, but unlike each other and of many inks, for the twenty best by score
 * alone are one trio twenty times over. By any other figure they come as they rank.
 */
export function pagesOf(best: readonly Trio[], judged: Judged, query: TrioQuery): TrioPages {
  const folded = foldTrios(best, judged);
  const least = query.sort === 'fit' ? WORTH * (folded[0]?.fit ?? 0) : 0;
  const varied = query.sort === 'fit' ? variedPages(judged, query) : undefined;
  let rest = folded.filter(({ fit }) => fit >= least);
  return {
    next: () => {
      const page = varied?.(rest) ?? rest.slice(0, PAGE);
      const told = new Set(page);
      rest = rest.filter((trio) => !told.has(trio));
      return page;
    },
    left: () => rest.length,
  };
}

/** A function that chooses a page of trios that are unlike each other from those that are left, best first. */
function variedPages({ dried, pairs }: Judged, { constraints, relation }: TrioQuery) {
  const { count, difference } = pairs;
  const asked = new Set(constraints.mustContain);
  /** Inks that may stand in all of them. */
  const free = dried.inks.map(({ id }) => asked.has(id));
  const middleAtMost = RELATIONS[relation].middleAtMost ?? USES;

  return (trios: readonly FoldedTrio[]): FoldedTrio[] => {
    const order = paleToDark(trios);
    const likeness = new Float64Array(trios.length);
    const taken = new Uint8Array(trios.length);
    const uses = new Uint8Array(count);
    const asMiddle = new Uint8Array(count);
    const page: FoldedTrio[] = [];
    const isWornOut = (ink: number, middle: number): boolean =>
      !free[ink] &&
      uses[ink] >= USES &&
      !(ink === middle && asMiddle[ink] === uses[ink] && uses[ink] < middleAtMost);
    const used = (ink: number): number => (free[ink] ? 0 : uses[ink]);

    while (page.length < PAGE) {
      let best = -1;
      let most = 0;
      for (let at = 0; at < trios.length; at++) {
        const { first, middle, last, fit } = trios[at] as FoldedTrio;
        // They come best first, and nothing is worth more than its fit.
        if (fit <= most) break;
        if (taken[at] === 1) continue;
        if (isWornOut(first, middle) || isWornOut(middle, middle) || isWornOut(last, middle)) continue;
        const again = used(first) + used(middle) + used(last);
        const worth = fit * (1 - LIKENESS * likeness[at]) * USED ** again;
        if (worth <= most) continue;
        most = worth;
        best = at;
      }
      const chosen = trios[best];
      if (!chosen) break;
      page.push(chosen);
      taken[best] = 1;
      for (const ink of [chosen.first, chosen.middle, chosen.last]) uses[ink]++;
      asMiddle[chosen.middle]++;
      for (let at = 0; at < trios.length; at++) {
        let apart = 0;
        for (let i = 0; i < 3; i++) apart += difference[order[3 * at + i] * count + order[3 * best + i]] / 3;
        likeness[at] = Math.max(likeness[at], 1 - apart / UNLIKE);
      }
    }
    return page;
  };
}

/** The inks of each trio from pale to dark, as they are numbered, three to a trio. */
function paleToDark(trios: readonly Trio[]): Uint16Array {
  const order = new Uint16Array(3 * trios.length);
  trios.forEach(({ first, middle, last }, at) => {
    order.set([first, middle, last], 3 * at);
    order.subarray(3 * at, 3 * at + 3).sort();
  });
  return order;
}
