import type { Recipe } from '../core/recipe/recipe';
import type { Database } from './database';
import type { VersionRecord } from './records';

/** Named states of a recipe, the last one first. */
export const listVersions = async (db: Database, recipeId: string): Promise<VersionRecord[]> =>
  (await db.versions.where('recipeId').equals(recipeId).toArray()).sort((p, q) => q.savedAt - p.savedAt);

/** Gives the recipe as it stands a name. */
export const nameVersion = async (db: Database, recipe: Recipe, name: string): Promise<VersionRecord> => {
  const record = { id: crypto.randomUUID(), recipeId: recipe.id, name, recipe, savedAt: Date.now() };
  await db.versions.add(record);
  return record;
};

export const removeVersion = (db: Database, id: string): Promise<void> => db.versions.delete(id);

/** Takes back `removeVersion`. */
export const restoreVersion = async (db: Database, record: VersionRecord): Promise<void> => {
  await db.versions.put(record);
};
