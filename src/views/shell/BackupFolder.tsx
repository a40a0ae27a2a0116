import { directoryOpen, supported } from 'browser-fs-access';
import { useLiveQuery } from 'dexie-react-hooks';
import { backUpIntoFolder } from '../../app/backups';
import { useDatabase } from '../../app/session';
import { askToWrite, chooseFolder, forgetFolder, KEPT_BACKUPS } from '../../data/backupFolder';
import type { FolderRecord } from '../../data/records';
import { Button } from '../../ui/Button';
import { tellDate } from '../../ui/dates';
import { useNotify } from '../../ui/Notices';

/** A folder of the maker's own, into which a backup is written by itself once a day of work. */
export function BackupFolder() {
  const db = useDatabase();
  const notify = useNotify();
  const record = useLiveQuery(() => db.folders.get('backups'), [db]);
  if (!supported)
    return (
      <p className="text-small text-mute">
        This browser lets no page write into a folder: save a file now and then.
      </p>
    );
  const write = async (into: FolderRecord) => {
    try {
      if (!(await askToWrite(into))) return notify({ text: 'The browser was not allowed to write there.' });
      const told = await backUpIntoFolder(db, into);
      if (told) notify({ text: told });
    } catch (error) {
      if (!(error instanceof DOMException)) throw error;
      notify({ text: `Nothing could be written into “${into.folder.name}”. Choose another folder.` });
    }
  };
  const choose = async () => {
    const folder = await pickFolder();
    if (!folder) return;
    await chooseFolder(db, folder);
    await write({ key: 'backups', folder });
  };
  if (!record)
    return (
      <p className="flex flex-wrap items-center gap-2">
        <Button onClick={() => void choose()}>Choose a backup folder …</Button>
        <span className="text-small text-mute">
          One is written there each day you work, the last {KEPT_BACKUPS} kept.
        </span>
      </p>
    );
  return (
    <p className="flex flex-wrap items-center gap-2">
      <span className="flex-1">
        Each day you work into “{record.folder.name}”
        <span className="text-mute">
          {record.lastWritten ? `, last ${tellDate(record.lastWritten)}` : ', none yet'}
        </span>
      </span>
      <Button onClick={() => void write(record)}>Write now</Button>
      <Button look="bare" onClick={() => void forgetFolder(db)}>
        Leave the folder
      </Button>
    </p>
  );
}

/** A folder the maker picks; none when they leave the choice. */
async function pickFolder(): Promise<FileSystemDirectoryHandle | undefined> {
  try {
    const [found] = await directoryOpen({ mode: 'readwrite', id: 'backups', recursive: false });
    return found instanceof FileSystemDirectoryHandle ? found : directoryOf(found);
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') return undefined;
    throw error;
  }
}

/** The folder that a file was found in. */
const directoryOf = (file: File | undefined): FileSystemDirectoryHandle | undefined =>
  file && 'directoryHandle' in file ? (file.directoryHandle as FileSystemDirectoryHandle) : undefined;
