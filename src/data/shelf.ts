import type { Ink } from '../core/ink/ink';
import type { Database } from './database';

/** Keeps an ink, new or changed. */
export const saveInk = async (db: Database, ink: Ink): Promise<void> => {
  await db.inks.put(ink);
};

/** Names of the recipes in which an ink is a rung. */
export const recipesWith = async (db: Database, inkId: string): Promise<string[]> =>
  (await db.recipes.toArray())
    .filter(({ recipe }) => recipe.rungs.some((rung) => rung.inkId === inkId))
    .map(({ recipe }) => recipe.name);

/** An ink stays on the shelf while recipes are made of it. Nothing was deleted. */
export class InkInUse extends Error {
  override readonly name = 'InkInUse';
  constructor(readonly recipes: readonly string[]) {
    super(`The ink is a rung of ${recipes.join(', ')}`);
  }
}

/**
 * Takes an ink off the shelf.
 *
 * @throws InkInUse when a recipe has it
 */
export const removeInk = (db: Database, inkId: string): Promise<void> =>
  db.transaction('rw', db.inks, db.recipes, async () => {
    const recipes = await recipesWith(db, inkId);
    if (recipes.length > 0) throw new InkInUse(recipes);
    await db.inks.delete(inkId);
  });
