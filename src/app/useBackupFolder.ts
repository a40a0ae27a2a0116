import { useEffect } from 'react';
import { useAppSelector } from '../store/hooks';
import { useNotify } from '../ui/Notices';
import { useSession } from './session';

/** So long after something was saved the day's backup is written, ms. */
const REST = 4000;

/** Writes a backup into the folder by itself, once a day on which something is saved. */
export function useBackupFolder(): void {
  const { data } = useSession();
  const notify = useNotify();
  const isSaved = useAppSelector(({ draft, storage }) => draft.save === 'saved' && !storage.fault);
  useEffect(() => {
    if (!isSaved) return;
    const timer = setTimeout(async () => {
      const { backUpToday } = await import('./backups');
      await backUpToday(await data, notify);
    }, REST);
    return () => clearTimeout(timer);
  }, [data, notify, isSaved]);
}
