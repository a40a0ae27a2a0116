import type { Card } from '../../materials/card/card';
import type { Ink } from '../../materials/ink/ink';
import { type Readings, readingsOf } from '../../readings/readings';
import type { FoldedTrio } from './foldTrios';
import type { TopCoats } from './pairs/topCoats';
import type { Trio } from './query';
import type { Judged } from './relations/definition';

/** A found trio as a view shows it. */
export interface FoundTrio {
  /** In panel order, from the top. */
  readonly inks: readonly Ink[];
  readonly fit: number;
  readonly rank: number;
  readonly readings: Readings;
  /** The dark that a resist over these three reads best through, and its contrast at the worst of them. */
  readonly topCoat?: { readonly ink: Ink; readonly reads: number };
  /** Trios so like this one that they are told under it. */
  readonly alike: readonly (readonly Ink[])[];
}

/** A folded trio with its inks and the full judgement of its joints. */
export function describeTrio({ dried }: Judged, card: Card, trio: FoldedTrio, coats?: TopCoats): FoundTrio {
  const inksOf = ({ first, middle, last }: Trio): Ink[] =>
    [first, middle, last].map((i) => dried.inks[i] as Ink);
  const inks = inksOf(trio);
  const over = coats?.best(trio.first, trio.middle, trio.last);
  const coat = over && dried.inks[over.dark];
  return {
    inks,
    fit: trio.fit,
    rank: trio.rank,
    readings: readingsOf({ card, inks }),
    ...(over && coat ? { topCoat: { ink: coat, reads: over.reads } } : {}),
    alike: trio.alike.map(inksOf),
  };
}
