import type { Judged, Relation, Score } from './definition';
import { RELATION_TABLE } from './table';

export type RelationId = keyof typeof RELATION_TABLE;
export const RELATIONS: Readonly<Record<RelationId, Relation>> = RELATION_TABLE;
export const RELATION_IDS = Object.keys(RELATION_TABLE) as readonly RelationId[];

/** A relation's score on the card: three of which one is lost there fit less. */
export function scorerOf(relation: RelationId, judged: Judged): Score {
  const score = RELATIONS[relation].scorer(judged);
  const { worth } = judged.dried;
  const worthOf = (ink: number): number => worth[ink] ?? 0;
  return (first, middle, last) => {
    const fit = score(first, middle, last);
    return fit > 0 ? fit * Math.min(worthOf(first), worthOf(middle), worthOf(last)) : 0;
  };
}
