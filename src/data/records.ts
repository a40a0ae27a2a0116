import type { Recipe } from '../core/ladder/recipe';

/** A recipe as it is kept: with the count of its saves, by which two tabs notice each other. */
export interface RecipeRecord {
  readonly id: string;
  readonly recipe: Recipe;
  /** 1 when made, one more with every save. */
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly updatedAt: number;
}

export const firstRecord = (recipe: Recipe, now: number): RecipeRecord => ({
  id: recipe.id,
  recipe,
  revision: 1,
  createdAt: now,
  updatedAt: now,
});

/** One remembered choice of the interface. */
export interface Setting {
  readonly key: string;
  readonly value: unknown;
}
