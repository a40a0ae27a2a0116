import { bareGround } from '../../engine/blend';
import type { Card } from '../../materials/card/card';
import type { Ink } from '../../materials/ink/ink';
import { type TopCoat, topCoatsOver } from '../../readings/legibility/topCoat';
import { type Readings, readingsOf } from '../../readings/readings';
import type { FoldedTrio } from './foldTrios';
import type { Trio } from './query';
import type { Judged } from './relations/definition';
import { RELATIONS, type RelationId } from './relations/relations';

/** A found trio as a view shows it. */
export interface FoundTrio {
  /** In panel order, from the top. */
  readonly inks: readonly Ink[];
  /** Against the best of the search, 0…1. */
  readonly fit: number;
  readonly rank: number;
  readonly readings: Readings;
  /** Why they belong together, in a sentence. */
  readonly reason: string;
  /** The dark that a resist over these three reads best under, and its contrast at the ladder's worst place. */
  readonly topCoat?: TopCoat;
  /** Trios so like this one that they are told under it. */
  readonly alike: readonly (readonly Ink[])[];
}

/**
 * A folded trio with its inks and the full judgement of its joints.
 *
 * @param most  the best fit of the search
 */
export function describeTrio(
  judged: Judged,
  card: Card,
  trio: FoldedTrio,
  relationId: RelationId,
  most: number,
): FoundTrio {
  const { dried } = judged;
  const { tell, underTopCoat } = RELATIONS[relationId];
  const inksOf = ({ first, middle, last }: Trio): Ink[] =>
    [first, middle, last].map((i) => dried.inks[i] as Ink);
  const inks = inksOf(trio);
  // The same ranking that the bench shows once it is opened, joints and all.
  const [topCoat] = underTopCoat ? topCoatsOver(inks, bareGround(card), dried.inks) : [];
  return {
    inks,
    fit: trio.fit / most,
    rank: trio.rank,
    readings: readingsOf({ card, inks }),
    reason: tell(judged, trio.first, trio.middle, trio.last),
    ...(topCoat ? { topCoat } : {}),
    alike: trio.alike.map(inksOf),
  };
}
