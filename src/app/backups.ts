import { askToWrite, isFolderDue, mayWrite, writeToFolder } from '../data/backupFolder';
import type { Database } from '../data/database';
import { writeMark } from '../data/mark';
import type { FolderRecord } from '../data/records';
import { readWorkshop } from '../data/workshop';
import type { Notice } from '../ui/notice';
import { filesWorker } from '../workers/client';

/** Packs everything that is stored. */
export async function packWorkshop(db: Database, made: Date): Promise<Uint8Array> {
  return filesWorker().writeBackup(await readWorkshop(db), made);
}

/** Packs everything into the folder, and remembers that there is a backup. */
export async function backUpIntoFolder(db: Database, record: FolderRecord): Promise<void> {
  const made = new Date();
  await writeToFolder(db, record, await packWorkshop(db, made), made);
  writeMark({ lastBackup: made.getTime() });
}

/** Writes the day's backup into the folder, where there is one and it is due; where the browser wants to be asked first, asks. */
export async function backUpToday(db: Database, notify: (notice: Notice) => void): Promise<void> {
  const record = await db.folders.get('backups');
  if (!record || !isFolderDue(record, new Date())) return;
  const failed = () =>
    notify({
      text: `The day’s backup could not be written into “${record.folder.name}”. Desk settings can choose another folder.`,
    });
  const write = () => backUpIntoFolder(db, record).catch(failed);
  if (await mayWrite(record)) return write();
  notify({
    text: `The browser asks anew whether backups may be written into “${record.folder.name}”.`,
    action: {
      label: 'Allow and write',
      run: () => void askToWrite(record).then((may) => (may ? write() : failed())),
    },
  });
}
