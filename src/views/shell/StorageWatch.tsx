import { useEffect } from 'react';
import { useDatabase } from '../../app/session';
import { readMark } from '../../data/mark';
import { isFull, isStorageError, stillStands } from '../../data/storage';
import { useAppDispatch, useAppStore } from '../../store/hooks';
import { faultFound } from '../../store/storage';
import { useNotify } from '../../ui/Notices';

/** Tells of every write that failed without anybody saying so, and looks whether the database still stands. */
export default function StorageWatch() {
  const db = useDatabase();
  const notify = useNotify();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  useEffect(() => {
    const onRejection = async (event: PromiseRejectionEvent) => {
      if (!isStorageError(event.reason)) return;
      event.preventDefault();
      // Once it is closed, every write that was under way fails: what closed it has been told.
      if (store.getState().storage.fault) return;
      notify({
        text: isFull(event.reason)
          ? 'There is no room: the browser stored nothing of it. Free some room on the disk, then do it again.'
          : 'The browser could not store that. Nothing was changed; do it again, or reload the page.',
      });
      if ((await stillStands(db)) || store.getState().storage.fault) return;
      dispatch(faultFound({ kind: 'lost', mark: readMark() ?? { lastSeen: Date.now(), recipes: 0 } }));
    };
    window.addEventListener('unhandledrejection', onRejection);
    return () => window.removeEventListener('unhandledrejection', onRejection);
  }, [db, notify, dispatch, store]);
  return null;
}
