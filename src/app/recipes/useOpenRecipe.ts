import { useCallback, useEffect } from 'react';
import type { Database } from '../../data/database';
import { addRecipe } from '../../data/recipes';
import { isSoundRecord } from '../../data/sound';
import { strand } from '../../store/autosave';
import { conflicted, opened } from '../../store/draft';
import { useAppDispatch, useAppSelector, useAppStore } from '../../store/hooks';
import { useNotify } from '../../ui/Notices';
import { useSession, useStored } from '../session';

/**
 * Brings the recipe of this address onto the bench and keeps up with other tabs: while nothing here is unsaved their
 * saves are taken over, otherwise the draft is marked as in conflict.
 *
 * @returns true when there is no such recipe
 */
export function useOpenRecipe(id: string | undefined): boolean {
  const { data, autosave } = useSession();
  const store = useAppStore();
  const notify = useNotify();
  const dispatch = useAppDispatch();
  const draft = useAppSelector((state) => state.draft);
  const stored = useStored(
    useCallback(
      async (db: Database) => {
        if (!id) return undefined;
        const record = await db.recipes.get(id);
        return isSoundRecord(record) ? record : null;
      },
      [id],
    ),
  );
  const isOpen = draft.recipe?.id === id;

  useEffect(() => {
    if (!stored || stored.id !== id) return;
    if (isOpen) {
      if (stored.revision > draft.revision && draft.save === 'saved') dispatch(opened(stored));
      return;
    }
    let wanted = true;
    autosave.flush().then(async () => {
      if (!wanted) return;
      const left = store.getState().draft;
      strand(store);
      dispatch(opened(stored));
      // Changes that another tab stood in the way of are not left behind: they are kept as a copy.
      if (left.recipe && left.save === 'conflict' && left.past.length > 0) {
        const copy = await addRecipe(await data, left.recipe);
        notify({ text: `What you changed is kept as “${copy.recipe.name}”.` });
      }
    });
    return () => {
      wanted = false;
    };
  }, [stored, id, isOpen, draft.revision, draft.save, autosave, dispatch, store, data, notify]);

  useEffect(() => {
    if (stored === null && isOpen && draft.save === 'saved') dispatch(conflicted());
  }, [stored, isOpen, draft.save, dispatch]);

  return stored === null && !isOpen;
}
