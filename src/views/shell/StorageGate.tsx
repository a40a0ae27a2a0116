import { lazy, type ReactNode, Suspense, useEffect } from 'react';
import { useSession } from '../../app/session';
import { useBackupFolder } from '../../app/useBackupFolder';
import { useOffline } from '../../app/useOffline';
import { backupDue, readMark, writeMark } from '../../data/mark';
import { useAppSelector, useAppStore } from '../../store/hooks';
import { useNotify } from '../../ui/Notices';
import { WorkerFailed } from '../../workers/door';

const StoragePage = lazy(() => import('./StoragePage'));
const StorageWatch = lazy(() => import('./StorageWatch'));

/** Shows the application while its storage can be used, and what to do while it cannot. */
export function StorageGate({ children }: { readonly children: ReactNode }) {
  const { db } = useSession();
  const fault = useAppSelector(({ storage }) => storage.fault);
  useReminders();
  useWorkerWatch();
  useUnsavedWatch();
  useOffline();
  useBackupFolder();
  return (
    <>
      <Suspense fallback={null}>{db && <StorageWatch />}</Suspense>
      {fault ? (
        <Suspense fallback={null}>
          <StoragePage fault={fault} />
        </Suspense>
      ) : (
        children
      )}
    </>
  );
}

/** Tells of copies that were kept when a page was left, and when there has been no backup for long. */
function useReminders(): void {
  const notify = useNotify();
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
}

/** Tells of every worker that failed without anybody saying so. */
function useWorkerWatch(): void {
  const notify = useNotify();
  useEffect(() => {
    const onRejection = (event: PromiseRejectionEvent) => {
      if (!(event.reason instanceof WorkerFailed)) return;
      event.preventDefault();
      notify({
        text: 'A part of Tint Ladder did not come, or broke down. Do that again; if it goes on, reload the page: what you made is stored.',
      });
    };
    window.addEventListener('unhandledrejection', onRejection);
    return () => window.removeEventListener('unhandledrejection', onRejection);
  }, [notify]);
}

/** Work that is neither stored nor kept anywhere else is not left unasked. */
function useUnsavedWatch(): void {
  const store = useAppStore();
  useEffect(() => {
    const onLeave = (event: BeforeUnloadEvent) => {
      const { save, stranded } = store.getState().draft;
      if (save === 'conflict' || save === 'failed' || stranded.length > 0) event.preventDefault();
    };
    window.addEventListener('beforeunload', onLeave);
    return () => window.removeEventListener('beforeunload', onLeave);
  }, [store]);
}
