import type { Recipe } from '../core/recipe/recipe';
import type { Database } from './database';
import { pageStorage } from './pageStorage';
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

/** Writes down what is unsaved; where even that is refused there is nothing more to be done. */
export function writeJournal(entry: Entry, storage = pageStorage()): void {
  try {
    storage?.setItem(PREFIX + entry.recipe.id, JSON.stringify(entry));
  } catch {
    // Full or forbidden: the page asks before it is left.
  }
}

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
    const entry = readEntry(storage?.getItem(key) ?? null);
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

function readEntry(text: string | null): Entry | undefined {
  try {
    const entry = JSON.parse(text ?? '') as Partial<Entry> | null;
    return typeof entry?.revision === 'number' && entry.recipe ? (entry as Entry) : undefined;
  } catch {
    return undefined;
  }
}
