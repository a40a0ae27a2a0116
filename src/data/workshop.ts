import { BACKUP_TABLE_IDS, type BackupChanges, type Row, type Workshop } from '../core/files/backup';
import type { Database } from './database';
import { askForRoom } from './room';

/** Everything the maker has, as it stands at one moment. */
export const readWorkshop = (db: Database): Promise<Workshop> =>
  db.transaction('r', tablesOf(db), async () => {
    const entries = await Promise.all(
      BACKUP_TABLE_IDS.map(async (table) => [table, (await db.table(table).toArray()) as Row[]] as const),
    );
    return Object.fromEntries(entries) as unknown as Workshop;
  });

const tablesOf = (db: Database) => BACKUP_TABLE_IDS.map((table) => db.table(table));

/** Puts other contents in place of what is here: all of it, or nothing. */
export async function replaceWorkshop(db: Database, workshop: Workshop): Promise<void> {
  await askForRoom(workshop);
  await db.transaction('rw', tablesOf(db), async () => {
    for (const table of BACKUP_TABLE_IDS) {
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
  await askForRoom(changes);
  await db.transaction('rw', tablesOf(db), async () => {
    for (const table of BACKUP_TABLE_IDS) {
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
