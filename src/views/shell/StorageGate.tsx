import { lazy, type ReactNode, Suspense, useEffect } from 'react';
import { useSession } from '../../app/session';
import { useBackupFolder } from '../../app/useBackupFolder';
import { useOffline } from '../../app/useOffline';
import { backupDue, readMark, writeMark } from '../../data/mark';
import { isFull, isStorageError, stillStands } from '../../data/storage';
import { useAppDispatch, useAppSelector, useAppStore } from '../../store/hooks';
import { faultFound } from '../../store/storage';
import { useNotify } from '../../ui/Notices';
import { WorkerFailed } from '../../workers/door';

const StoragePage = lazy(() => import('./StoragePage'));

/** Shows the application while its storage can be used, and what to do while it cannot. */
export function StorageGate({ children }: { readonly children: ReactNode }) {
  const fault = useAppSelector(({ storage }) => storage.fault);
  useStorageWatch();
  useOffline();
  useBackupFolder();
  if (!fault) return children;
  return (
    <Suspense fallback={null}>
      <StoragePage fault={fault} />
    </Suspense>
  );
}

/** Tells of every write and every worker that failed without anybody saying so, and looks whether the database still stands. */
function useStorageWatch(): void {
  const { db } = useSession();
  const notify = useNotify();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const copies = useAppSelector(({ storage }) => storage.copies);
  useEffect(() => {
    if (copies)
      notify({ text: `What was not saved when the page was left is kept as ${copies.join(', ')}.` });
  }, [copies, notify]);
  useEffect(() => {
    const now = Date.now();
    const days = backupDue(readMark(), now);
    if (days === undefined) return;
    writeMark({ reminded: now });
    notify({ text: `${days} days without a backup: Desk settings save everything as one file.` });
  }, [notify]);
  useEffect(() => {
    const onRejection = async (event: PromiseRejectionEvent) => {
      if (event.reason instanceof WorkerFailed) {
        event.preventDefault();
        return notify({
          text: 'A part of Tint Ladder did not come, or broke down. Do that again; if it goes on, reload the page: what you made is stored.',
        });
      }
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
    // Work that is neither stored nor kept anywhere else is not left unasked.
    const onLeave = (event: BeforeUnloadEvent) => {
      const { save, stranded } = store.getState().draft;
      if (save === 'conflict' || save === 'failed' || stranded.length > 0) event.preventDefault();
    };
    window.addEventListener('unhandledrejection', onRejection);
    window.addEventListener('beforeunload', onLeave);
    return () => {
      window.removeEventListener('unhandledrejection', onRejection);
      window.removeEventListener('beforeunload', onLeave);
    };
  }, [db, notify, dispatch, store]);
}
