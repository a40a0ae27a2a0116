import type { Relation } from './definition';
import { RELATION_TABLE } from './table';

export type RelationId = keyof typeof RELATION_TABLE;
export const RELATIONS: Readonly<Record<RelationId, Relation>> = RELATION_TABLE;
export const RELATION_IDS = Object.keys(RELATION_TABLE) as readonly RelationId[];
