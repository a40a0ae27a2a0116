import 'fake-indexeddb/auto';
import { describe, expect, test } from 'vitest';
import {
  askToWrite,
  backupName,
  chooseFolder,
  forgetFolder,
  isFolderDue,
  KEPT_BACKUPS,
  mayWrite,
  writeToFolder,
} from './backupFolder';
import { Database } from './database';
import type { FolderRecord } from './records';

/** A folder in memory; where it is full every write fails, and what was begun is told. */
function memoryFolder(files: Record<string, string> = {}, isFull = false) {
  const done: string[] = [];
  const handle = {
    getFileHandle: async (name: string) => ({
      createWritable: async () => {
        let text = '';
        return {
          write: async (blob: Blob) => {
            if (isFull) throw new DOMException('no room', 'QuotaExceededError');
            text += await blob.text();
          },
          close: async () => {
            files[name] = text;
          },
          abort: async () => {
            done.push(`abort ${name}`);
          },
        };
      },
    }),
    async *keys() {
      yield* Object.keys(files);
    },
    removeEntry: async (name: string) => {
      delete files[name];
    },
    queryPermission: async () => 'prompt',
    requestPermission: async () => 'granted',
  };
  return {
    files,
    done,
    record: { key: 'backups' as const, folder: handle as unknown as FileSystemDirectoryHandle },
  };
}
const day = (n: number): Date => new Date(2026, 9, n, 12);
const backup = (text: string): Blob => new Blob([text]);

let count = 0;
const freshDb = () => new Database(`folder-${count++}`);

describe('a folder of one’s own for backups', () => {
  test('keeps one a day, the last ten of them, and leaves every other file alone', async () => {
    const db = freshDb();
    const { files, record } = memoryFolder({
      'holiday.zip': 'mine',
      'tint-ladder-notes.txt': 'mine, too',
      'tint-ladder-2026-09-30.zip.part': 'somebody’s',
    });
    for (let n = 1; n <= KEPT_BACKUPS + 3; n++) await writeToFolder(db, record, backup(`day ${n}`), day(n));
    await writeToFolder(db, record, backup('day 13, later'), day(13));
    const backups = Object.keys(files).filter((name) => /^tint-ladder-.*\.zip$/.test(name));
    expect(backups).toEqual(Array.from({ length: KEPT_BACKUPS }, (_, i) => backupName(day(i + 4))));
    expect(files[backupName(day(13))]).toBe('day 13, later');
    expect(Object.keys(files)).toHaveLength(KEPT_BACKUPS + 3);
  });

  test('a write that fails is given up, is told, and takes nothing away', async () => {
    const before = { [backupName(day(1))]: 'yesterday’s' };
    const { files, done, record } = memoryFolder({ ...before }, true);
    await expect(writeToFolder(freshDb(), record, backup('today'), day(2))).rejects.toMatchObject({
      name: 'QuotaExceededError',
    });
    expect(done).toEqual([`abort ${backupName(day(2))}`]);
    expect(files).toEqual(before);
  });

  test('is due once a day of work, from the moment it is chosen, and no more once it is forgotten', async () => {
    const db = freshDb();
    const { record } = memoryFolder();
    // A handle of a real browser is cloned into the database; ours stands in as a plain thing.
    await chooseFolder(db, {} as FileSystemDirectoryHandle);
    const kept = (await db.folders.get('backups')) as FolderRecord;
    expect(isFolderDue(kept, day(5))).toBe(true);
    await writeToFolder(db, record, backup('x'), day(5));
    const written = (await db.folders.get('backups')) as FolderRecord;
    expect(isFolderDue(written, new Date(2026, 9, 5, 23, 59))).toBe(false);
    expect(isFolderDue(written, new Date(2026, 9, 6, 0, 1))).toBe(true);
    await forgetFolder(db);
    expect(await db.folders.get('backups')).toBeUndefined();
    await writeToFolder(db, record, backup('x'), day(6));
    expect(await db.folders.get('backups')).toBeUndefined();
  });

  test('may only be written to once the browser says so, or the maker does', async () => {
    const { record } = memoryFolder();
    expect(await mayWrite(record)).toBe(false);
    expect(await askToWrite(record)).toBe(true);
  });
});
