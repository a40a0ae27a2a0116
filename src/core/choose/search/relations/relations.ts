import { MUD } from '../pairs/pairTable';
import type { Judged, Relation, Score } from './definition';
import { RELATION_TABLE } from './table';

export type RelationId = keyof typeof RELATION_TABLE;
export const RELATIONS: Readonly<Record<RelationId, Relation>> = RELATION_TABLE;
export const RELATION_IDS = Object.keys(RELATION_TABLE) as readonly RelationId[];

/** A relation's score on the card: three of which one is lost there fit less, and with mud in a joint none do. */
export function scorerOf(relation: RelationId, judged: Judged): Score {
  const score = RELATIONS[relation].scorer(judged);
  const { worth } = judged.dried;
  const { verdict, count } = judged.pairs;
  const worthOf = (ink: number): number => worth[ink] ?? 0;
  return (first, middle, last) => {
    const fit = score(first, middle, last);
    if (fit <= 0 || verdict[first * count + middle] === MUD || verdict[middle * count + last] === MUD)
      return 0;
    return fit * Math.min(worthOf(first), worthOf(middle), worthOf(last));
  };
}
