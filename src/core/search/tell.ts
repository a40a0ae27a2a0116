import type { Card } from '../card/card';
import type { Ink } from '../ink/ink';
import { type Readings, readingsOf } from '../readings/readings';
import type { Judged } from './relations';
import type { FoldedTrio, Trio } from './trios';

/** A found trio as a view shows it. */
export interface FoundTrio {
  /** In panel order, from the top. */
  readonly inks: readonly Ink[];
  readonly fit: number;
  readonly rank: number;
  readonly readings: Readings;
  /** Trios so like this one that they are told under it. */
  readonly alike: readonly (readonly Ink[])[];
}

/** A folded trio with its inks and the full judgement of its joints. */
export function tellTrio({ dried }: Judged, card: Card, trio: FoldedTrio): FoundTrio {
  const inksOf = ({ first, middle, last }: Trio): Ink[] =>
    [first, middle, last].map((i) => dried.inks[i] as Ink);
  const inks = inksOf(trio);
  return {
    inks,
    fit: trio.fit,
    rank: trio.rank,
    readings: readingsOf({ card, inks }),
    alike: trio.alike.map(inksOf),
  };
}
