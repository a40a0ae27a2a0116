import type { Database } from '../data/database';
import { clearJournal, writeJournal } from '../data/journal';
import { addRecipe, ChangedElsewhere, saveRecipe } from '../data/recipes';
import { conflicted, type Draft, leftBehind, retrieved, saved, saveFailed } from './draft';
import type { AppStore } from './store';

/** How long the maker's hand must rest before the draft is saved, in ms. */
const SAVE_AFTER = 250;
/** How long a save that failed waits until it is tried again, in ms: longer each time, up to the last. */
const RETRY_AFTER = [2000, 4000, 8000] as const;

/** Joins the draft to the database. */
export interface Autosave {
  /** Saves at once what is unsaved; resolves when it is stored, or known to be in conflict or to have failed. */
  readonly flush: () => Promise<void>;
  /** Writes down what is unsaved where a page that is being left still can. */
  readonly writeDown: () => void;
  readonly stop: () => void;
}

/**
 * Saves the draft whenever it has rested for a moment, one save after another, and never over what another tab has
 * saved in between: then the draft is marked as in conflict and stays as it is. A save that failed is tried again by
 * itself, also of recipes that were left meanwhile.
 */
export function autosave(store: AppStore, data: Promise<Database>, after = SAVE_AFTER): Autosave {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let failures = 0;
  let saving: Promise<void> | undefined;
  let seen = store.getState().draft.recipe;

  const isUnsaved = ({ save }: Draft): boolean => save === 'unsaved' || save === 'failed';
  const saveAll = async (): Promise<void> => {
    try {
      const db = await data;
      for (
        let { draft } = store.getState();
        isUnsaved(draft) && draft.recipe;
        draft = store.getState().draft
      ) {
        const record = await saveRecipe(db, draft.recipe, draft.revision);
        store.dispatch(saved(record));
        clearJournal(record.id);
      }
      for (const { recipe, revision } of store.getState().draft.stranded) {
        await saveRecipe(db, recipe, revision).catch((error) => {
          if (error instanceof ChangedElsewhere) return addRecipe(db, recipe);
          throw error;
        });
        store.dispatch(retrieved(recipe.id));
        clearJournal(recipe.id);
      }
      failures = 0;
    } catch (error) {
      store.dispatch(error instanceof ChangedElsewhere ? conflicted() : saveFailed());
      if (error instanceof ChangedElsewhere) return;
      clearTimeout(retry);
      retry = setTimeout(flush, RETRY_AFTER[Math.min(failures, RETRY_AFTER.length - 1)]);
      failures++;
    }
  };
  const flush = (): Promise<void> => {
    clearTimeout(timer);
    saving ??= saveAll().finally(() => {
      saving = undefined;
    });
    return saving;
  };
  const unsubscribe = store.subscribe(() => {
    const { recipe, save } = store.getState().draft;
    if (recipe === seen) return;
    seen = recipe;
    clearTimeout(timer);
    if (save === 'unsaved') timer = setTimeout(flush, after);
  });
  return {
    flush,
    writeDown: () => {
      const { draft } = store.getState();
      if (draft.recipe && draft.save !== 'saved')
        writeJournal({ recipe: draft.recipe, revision: draft.revision });
      for (const left of draft.stranded) writeJournal(left);
    },
    stop: () => {
      clearTimeout(timer);
      clearTimeout(retry);
      unsubscribe();
    },
  };
}

/** The draft is left while it could not be saved: it is kept in memory, and tried again. */
export function strand(store: AppStore): void {
  const { recipe, revision, save } = store.getState().draft;
  if (recipe && save === 'failed') store.dispatch(leftBehind({ recipe, revision }));
}
