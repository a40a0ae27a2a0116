import type { Ink } from '../core/ink/ink';
import type { Database } from './database';

/** Keeps an ink, new or changed. */
export const saveInk = async (db: Database, ink: Ink): Promise<void> => {
  await db.inks.put(ink);
};

/** Names of the recipes in which an ink is a rung, or is laid in a pass. */
export const recipesWith = async (db: Database, inkId: string): Promise<string[]> =>
  (await db.recipes.toArray())
    .filter(({ recipe: { rungs, passes } }) =>
      [...rungs, ...passes.flatMap(({ placements }) => placements)].some((laid) => laid.inkId === inkId),
    )
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

/** Keeps many inks, all of them or none; returns what stood there before under the same ids. */
export const saveInks = (db: Database, inks: readonly Ink[]): Promise<Ink[]> =>
  db.transaction('rw', db.inks, async () => {
    const before = (await db.inks.bulkGet(inks.map(({ id }) => id))).filter((ink) => ink !== undefined);
    await db.inks.bulkPut([...inks]);
    return before;
  });

/** Takes back `saveInks`: what was there before stands again, what was new is gone. */
export const restoreInks = (db: Database, kept: readonly Ink[], before: readonly Ink[]): Promise<void> =>
  db.transaction('rw', db.inks, async () => {
    await db.inks.bulkDelete(kept.map(({ id }) => id));
    await db.inks.bulkPut([...before]);
  });
