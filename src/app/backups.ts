import { proxy, transfer } from 'comlink';
import { BACKUP_LIMIT, type Packed, type Reach, type Row, type Workshop } from '../core/files/backup';
import type { BackupChanges } from '../core/files/backupChanges';
import { FileError } from '../core/files/fileError';
import { refuseLarger } from '../core/files/limits';
import { askToWrite, isFolderDue, mayWrite, writeToFolder } from '../data/backupFolder';
import type { Database } from '../data/database';
import { writeMark } from '../data/mark';
import type { FolderRecord } from '../data/records';
import {
  mergeWorkshop,
  type PhotosComing,
  readWorkshop,
  replaceWorkshop,
  withPhotos,
} from '../data/workshop';
import type { Notice } from '../ui/notice';
import { filesWorker } from '../workers/client';
import type { Read } from '../workers/orFaults';

/**
 * Packs everything that is stored; photographs go through memory one at a time.
 *
 * @param reach  takes how far it is, 0…1
 */
export async function packWorkshop(db: Database, made: Date, reach: Reach = () => {}): Promise<Packed> {
  const photoOf = async (id: string) => {
    const photo = await db.photos.get(id);
    return photo && transfer(photo as unknown as Row, [photo.bytes.buffer]);
  };
  return filesWorker().writeBackup(await readWorkshop(db), proxy(photoOf), made, proxy(reach));
}

/** What was read of a backup, and how it stands to what is here. */
export interface Incoming {
  readonly file: Blob;
  readonly made: string;
  readonly here: Workshop;
  readonly workshop: Workshop;
  readonly changes: BackupChanges;
}

/**
 * Reads a backup and compares it with what is here.
 *
 * @throws FileError saying what is wrong with it, where, and what to do
 */
export async function openBackup(db: Database, file: Blob, reach: Reach = () => {}): Promise<Incoming> {
  refuseLarger(file.size, BACKUP_LIMIT);
  const here = await readWorkshop(db);
  const { head, ...read } = readOf(await filesWorker().readBackup(file, here, proxy(reach)));
  return { file, made: head.made, here, ...read };
}

/**
 * Brings a backup in: all of it or, where it fails or is stopped, nothing.
 *
 * @param way  of what stands on both sides, or everything in place of what is here
 * @returns the way back
 */
export async function bringBackupIn(
  db: Database,
  { file, here, workshop, changes }: Incoming,
  way: 'mine' | 'theirs' | 'replace',
  told: Pick<PhotosComing, 'reach' | 'signal'> = {},
): Promise<() => Promise<void>> {
  const coming: PhotosComing = {
    ...told,
    rows: changes.photos.fresh,
    photosIn: async (rows) => readOf(await filesWorker().photosIn(file, rows)),
  };
  await withPhotos(db, coming, () =>
    way === 'replace' ? replaceWorkshop(db, workshop) : mergeWorkshop(db, changes, way),
  );
  return () => replaceWorkshop(db, here);
}

/** What a worker read; @throws FileError where it found faults. */
function readOf<T>(answer: Read<T>): T {
  if ('faults' in answer) throw new FileError(answer.faults);
  return answer.read;
}

/** What is told of records that a backup holds apart; undefined where it holds none. */
export const tellApart = ({ apart }: Pick<Packed, 'apart'>): string | undefined => {
  const [first] = apart;
  if (!first) return undefined;
  const { what, name, place, problem } = first;
  const why = `(${place}: ${problem})`;
  const which = `${name === undefined ? 'One record' : `“${name}”`} under ${what}`;
  return apart.length === 1
    ? `${which} would not be read again ${why}. It stays here, and lies in the backup apart, in apart.json.`
    : `${apart.length} records would not be read again: ${which} ${why} and others. They stay here, and lie in the backup apart, in apart.json.`;
};

/** Packs everything into the folder, and remembers that there is a backup. @returns what is to be told of it, if anything is */
export async function backUpIntoFolder(db: Database, record: FolderRecord): Promise<string | undefined> {
  const made = new Date();
  const packed = await packWorkshop(db, made);
  await writeToFolder(db, record, packed.file, made);
  writeMark({ lastBackup: made.getTime() });
  return tellApart(packed);
}

/** Writes the day's backup into the folder, where there is one and it is due; where the browser wants to be asked first, asks. */
export async function backUpToday(db: Database, notify: (notice: Notice) => void): Promise<void> {
  const record = await db.folders.get('backups');
  if (!record || !isFolderDue(record, new Date())) return;
  const failed = () =>
    notify({
      text: `The day’s backup could not be written into “${record.folder.name}”. Desk settings can choose another folder.`,
    });
  const write = () =>
    backUpIntoFolder(db, record).then((told) => {
      if (told) notify({ text: told });
    }, failed);
  if (await mayWrite(record)) return write();
  notify({
    text: `The browser asks anew whether backups may be written into “${record.folder.name}”.`,
    action: {
      label: 'Allow and write',
      run: () => void askToWrite(record).then((may) => (may ? write() : failed())),
    },
  });
}
