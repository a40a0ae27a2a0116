import type { Database } from '../data/database';
import { ChangedElsewhere, saveRecipe } from '../data/recipes';
import { conflicted, saved, saveFailed } from './draft';
import type { AppStore } from './store';

/** How long the maker's hand must rest before the draft is saved, in ms. */
const SAVE_AFTER = 250;

/** Joins the draft to the database. */
export interface Autosave {
  /** Saves at once what is unsaved; resolves when it is stored, or known to be in conflict. */
  readonly flush: () => Promise<void>;
  readonly stop: () => void;
}

/**
 * Saves the draft whenever it has rested for a moment, one save after another, and never over what another tab has
 * saved in between: then the draft is marked as in conflict and stays as it is.
 */
export function autosave(store: AppStore, db: Database, after = SAVE_AFTER): Autosave {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let saving: Promise<void> | undefined;
  let seen = store.getState().draft.recipe;

  const saveAll = async (): Promise<void> => {
    try {
      for (let draft = store.getState().draft; draft.save === 'unsaved' && draft.recipe; ) {
        store.dispatch(saved(await saveRecipe(db, draft.recipe, draft.revision)));
        draft = store.getState().draft;
      }
    } catch (error) {
      store.dispatch(error instanceof ChangedElsewhere ? conflicted() : saveFailed());
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
    stop: () => {
      clearTimeout(timer);
      unsubscribe();
    },
  };
}
