import type { Recipe } from '../core/recipe/recipe';
import type { Database } from './database';
import { keep, pageStorage, readKept } from './pageStorage';
import { addRecipe, ChangedElsewhere, saveRecipe } from './recipes';

/**
 * What is not stored yet, written where a page that is being left can still write: `localStorage` answers at once, a
 * database may not be done before the page is gone. Each recipe has an entry of its own, so that tabs do not meet.
 */
const PREFIX = 'tint-ladder unsaved ';

interface Entry {
  readonly recipe: Recipe;
  /** The stored revision it was changed from. */
  readonly revision: number;
}

/** Writes down what is unsaved; where it is full or forbidden the page asks before it is left. */
export const writeJournal = (entry: Entry, storage = pageStorage()): void =>
  keep(PREFIX + entry.recipe.id, entry, storage);

export const clearJournal = (recipeId: string, storage = pageStorage()): void =>
  storage?.removeItem(PREFIX + recipeId);

/**
 * Stores what a page left behind when it went: over the revision it was changed from, or beside it as a copy where that has
 * moved on.
 *
 * @returns the names of recipes that came beside their later selves
 */
export async function takeJournal(
  db: Database,
  isSound: (recipe: unknown) => recipe is Recipe,
  storage = pageStorage(),
): Promise<readonly string[]> {
  const copies: string[] = [];
  const keys = Array.from({ length: storage?.length ?? 0 }, (_, i) => storage?.key(i) ?? '').filter((key) =>
    key.startsWith(PREFIX),
  );
  for (const key of keys) {
    const entry = entryOf(readKept(key, storage));
    if (entry && isSound(entry.recipe))
      try {
        await saveRecipe(db, entry.recipe, entry.revision);
      } catch (error) {
        if (!(error instanceof ChangedElsewhere)) throw error;
        // Nothing was lost where the stored one says the same.
        if (JSON.stringify(error.theirs?.recipe) !== JSON.stringify(entry.recipe))
          copies.push((await addRecipe(db, entry.recipe)).recipe.name);
      }
    storage?.removeItem(key);
  }
  return copies;
}

function entryOf(kept: unknown): Entry | undefined {
  const entry = kept as Partial<Entry> | null | undefined;
  return typeof entry?.revision === 'number' && entry.recipe ? (entry as Entry) : undefined;
}
