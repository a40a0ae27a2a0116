import { isSameDay } from 'date-fns';
import { dayOf } from '../core/base/day';
import type { Database } from './database';
import type { FolderRecord } from './records';

/** So many backups are kept in the folder; older ones are taken away. */
export const KEPT_BACKUPS = 10;

const NAME = /^tint-ladder-\d{4}-\d\d-\d\d\.zip$/;

/** What a backup of a day is called; one of the same day stands in its place. */
export const backupName = (made: Date): string => `tint-ladder-${dayOf(made)}.zip`;

/** Whether a backup is due there: one a day of work. */
export const isFolderDue = ({ lastWritten }: FolderRecord, now: Date): boolean =>
  lastWritten === undefined || !isSameDay(lastWritten, now);

/** Remembers the folder that backups are written to from now on. */
export const chooseFolder = async (db: Database, folder: FileSystemDirectoryHandle): Promise<void> => {
  await db.folders.put({ key: 'backups', folder });
};

export const forgetFolder = (db: Database): Promise<void> => db.folders.delete('backups');

/**
 * Writes a backup into the folder, takes the oldest beyond `KEPT_BACKUPS` away, and remembers when. Files that are no backups
 * of ours are not touched.
 *
 * @throws DOMException when the folder is gone, full, or no longer open to us
 */
export async function writeToFolder(
  db: Database,
  { folder }: FolderRecord,
  backup: Blob,
  made: Date,
): Promise<void> {
  const file = await folder.getFileHandle(backupName(made), { create: true });
  const writing = await file.createWritable();
  try {
    await writing.write(backup);
  } catch (error) {
    // What stood there before stays as it was.
    await writing.abort().catch(() => {});
    throw error;
  }
  await writing.close();
  const names: string[] = [];
  for await (const name of folder.keys()) if (NAME.test(name)) names.push(name);
  for (const name of names.toSorted().slice(0, -KEPT_BACKUPS)) await folder.removeEntry(name);
  await db.folders.update('backups', { lastWritten: made.getTime() });
}

/** Whether the browser lets us write there now, without asking the maker. */
export const mayWrite = async ({ folder }: FolderRecord): Promise<boolean> =>
  (await folder.queryPermission({ mode: 'readwrite' })) === 'granted';

/** Asks the maker whether we may write there; only in answer to a press. */
export const askToWrite = async ({ folder }: FolderRecord): Promise<boolean> =>
  (await folder.requestPermission({ mode: 'readwrite' })) === 'granted';
