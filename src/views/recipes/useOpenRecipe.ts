import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { conflicted, opened } from '../../store/draft';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { useSession } from '../session';

/**
 * Brings the recipe of this address onto the bench and keeps up with other tabs: while nothing here is unsaved their
 * saves are taken over, otherwise the draft is marked as in conflict.
 *
 * @returns true when there is no such recipe
 */
export function useOpenRecipe(id: string | undefined): boolean {
  const { db, autosave } = useSession();
  const dispatch = useAppDispatch();
  const draft = useAppSelector((state) => state.draft);
  const stored = useLiveQuery(async () => (id ? ((await db.recipes.get(id)) ?? null) : undefined), [db, id]);
  const isOpen = draft.recipe?.id === id;

  useEffect(() => {
    if (!stored || stored.id !== id) return;
    if (!isOpen) autosave.flush().then(() => dispatch(opened(stored)));
    else if (stored.revision > draft.revision && draft.save === 'saved') dispatch(opened(stored));
  }, [stored, id, isOpen, draft.revision, draft.save, autosave, dispatch]);

  useEffect(() => {
    if (stored === null && isOpen && draft.save === 'saved') dispatch(conflicted());
  }, [stored, isOpen, draft.save, dispatch]);

  return stored === null && !isOpen;
}
