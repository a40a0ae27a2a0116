import { BACKUP_TABLE_IDS, type Row, type Workshop } from '../core/files/backup';
import type { BackupChanges } from '../core/files/backupChanges';
import type { Database } from './database';
import { aloneWithPhotos } from './panels';
import { askForRoom } from './room';

/** Everything the maker has, as it stands at one moment; of photographs only the ids. */
export const readWorkshop = (db: Database): Promise<Workshop> =>
  db.transaction('r', [...tablesOf(db), db.photos], async () => {
    const entries = await Promise.all(
      ROWS.map(async (table) => [table, (await db.table(table).toArray()) as Row[]] as const),
    );
    const photos = (await db.photos.toCollection().primaryKeys()).map((id): Row => ({ id }));
    return { ...Object.fromEntries(entries), photos } as unknown as Workshop;
  });

/** Photographs lie beside the rest: they are never changed, and too many to be written at once. */
const ROWS = BACKUP_TABLE_IDS.filter((table) => table !== 'photos');

const tablesOf = (db: Database) => ROWS.map((table) => db.table(table));

/**
 * Puts other contents in place of what is here: all of it, or nothing. Photographs stay: those that no panel shows any
 * more are tidied at the next start.
 */
export async function replaceWorkshop(db: Database, workshop: Workshop): Promise<void> {
  await askForRoom({ ...workshop, photos: [] });
  await db.transaction('rw', tablesOf(db), async () => {
    for (const table of ROWS) {
      await db.table(table).clear();
      await db.table(table).bulkPut([...workshop[table]]);
    }
  });
}

/**
 * Brings what is new in, and of what is otherwise here and there the one that is wanted: all of it, or nothing. A recipe
 * that is replaced counts as saved, so that a tab that has it open notices.
 *
 * @param wanted  of what stands on both sides
 */
export async function mergeWorkshop(
  db: Database,
  changes: BackupChanges,
  wanted: 'mine' | 'theirs',
): Promise<void> {
  await askForRoom({ ...changes, photos: [] });
  await db.transaction('rw', tablesOf(db), async () => {
    for (const table of ROWS) {
      const { fresh, changed } = changes[table];
      const taken = wanted === 'theirs' ? changed : [];
      await db.table(table).bulkPut([...fresh, ...taken]);
      if (table !== 'recipes') continue;
      for (const row of taken)
        await db.recipes.update(String(row.id), { revision: Number(row.revision) + LEAP });
    }
  });
}

/** More saves than two copies of a recipe grow apart by. */
const LEAP = 1_000_000;

/** Where photographs come from, and what is told of the way. */
export interface PhotosComing {
  /** Photographs that are not here yet; without their bytes. */
  readonly rows: readonly Row[];
  /** The first few of some, with their bytes. */
  readonly photosIn: (rows: readonly Row[]) => Promise<readonly Row[]>;
  readonly reach?: (part: number) => void;
  readonly signal?: AbortSignal;
}

/**
 * Brings photographs in a few at a time, and then the rest, which shows them. Until then nothing does: when a part of it
 * fails, or it is stopped, they are taken away again, and what was here is as it was.
 *
 * @param rest  writes all that is no photograph, in one transaction
 * @throws what failed, or the signal's reason
 */
export const withPhotos = (db: Database, coming: PhotosComing, rest: () => Promise<void>): Promise<void> =>
  aloneWithPhotos(async () => {
    const { rows, photosIn, reach, signal } = coming;
    const added: string[] = [];
    try {
      while (added.length < rows.length) {
        signal?.throwIfAborted();
        const piece = await unlessStopped(photosIn(rows.slice(added.length)), signal);
        await askForRoom(piece);
        await db.table('photos').bulkPut([...piece]);
        added.push(...piece.map(({ id }) => String(id)));
        reach?.(added.length / rows.length);
      }
      signal?.throwIfAborted();
      await rest();
    } catch (error) {
      // Best as it can: what stays behind is tidied at the next start.
      await db.photos.bulkDelete(added).catch(() => {});
      throw error;
    }
  });

/** What work gives, or the signal's reason once it is stopped: whoever was at it may never answer. */
const unlessStopped = <T>(work: Promise<T>, signal: AbortSignal | undefined): Promise<T> =>
  signal
    ? Promise.race([
        work,
        new Promise<never>((_, reject) => {
          signal.addEventListener('abort', () => reject(signal.reason), { once: true });
        }),
      ])
    : work;
