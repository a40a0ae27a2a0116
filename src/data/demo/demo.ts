import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { hasNoMark } from '../mark';
import { firstRecord, type RecipeRecord } from '../records';
import { DEMO_CARDS } from './cards';
import { DEMO_INKS } from './inks';
import { DEMO_RECIPES } from './recipes';

/** What a new database starts with: the Tollgate Kiln's shelf, cards and recipes. Inks and cards by id, as they are read. */
export interface Demo {
  readonly inks: readonly Ink[];
  readonly cards: readonly Card[];
  /** The first is the one changed last, which a first visit opens. */
  readonly recipes: readonly [RecipeRecord, ...RecipeRecord[]];
}

/** Ids differ. */
const byId = (p: { readonly id: string }, q: { readonly id: string }): number => (p.id < q.id ? -1 : 1);

/** @param now  milliseconds since 1970 */
export function demoAt(now: number): Demo {
  const [first, ...others] = DEMO_RECIPES;
  return {
    inks: DEMO_INKS.toSorted(byId),
    cards: DEMO_CARDS.toSorted(byId),
    recipes: [
      firstRecord(first, now),
      ...others.map((recipe, i) => firstRecord(recipe, now - (i + 1) * 60_000)),
    ],
  };
}

/**
 * On what looks like a first visit, what will be stored: it is shown before the database is there, which takes longer than all
 * else. Undefined where there has been data.
 */
export const comingDemo = (): Demo | undefined => (hasNoMark() ? demoAt(Date.now()) : undefined);
