import Dexie from 'dexie';
import type { Database } from './database';
import { type DataMark, readMark } from './mark';
import { SCHEMA } from './schema';

/** Why the storage cannot be used, as the maker is told it. */
export type StorageFault =
  /** There is none, or the browser refuses it. */
  | { readonly kind: 'refused'; readonly reason: string }
  /** Another tab holds an older version open. */
  | { readonly kind: 'blocked' }
  /** A newer Tint Ladder made it; or it has been opened by one meanwhile. */
  | { readonly kind: 'newer' }
  /** The disk, or the browser's share of it, is full. */
  | { readonly kind: 'full' }
  /** There was data here before, and it is gone. */
  | { readonly kind: 'lost'; readonly mark: DataMark };

/** Newest version of the database this program knows. */
const NEWEST = Math.max(...SCHEMA.map(({ version }) => version));

/** Whether an error is the storage's and not a fault of the program. */
export const isStorageError = (error: unknown): boolean =>
  error instanceof Dexie.DexieError || (error instanceof DOMException && error.name === 'QuotaExceededError');

/** Whether the storage said that there is no room, whatever it wrapped that in. */
export function isFull(error: unknown): boolean {
  if (!(error instanceof Error || error instanceof DOMException)) return false;
  const { inner } = error as { inner?: unknown };
  return (
    error.name === 'QuotaExceededError' ||
    /quota|no space|disk.*full/i.test(error.message) ||
    (inner !== undefined && inner !== error && isFull(inner))
  );
}

/** So long an opening may wait, ms, before it is told that another tab stands in the way. */
const BLOCKED_AFTER = 2000;

/**
 * Opens the database and looks whether it can be used.
 *
 * @param tell  told at once what stands in the way, and later where something comes to: another tab opens a newer version
 */
export async function openStorage(db: Database, tell: (fault: StorageFault) => void): Promise<boolean> {
  const mark = readMark();
  if (typeof indexedDB === 'undefined') {
    tell({ kind: 'refused', reason: 'this browser has no storage for pages' });
    return false;
  }
  db.on('versionchange', ({ newVersion }) => {
    db.close({ disableAutoOpen: true });
    tell(
      newVersion === null && mark !== undefined
        ? { kind: 'lost', mark: readMark() ?? mark }
        : { kind: 'newer' },
    );
    // Dexie's own answer, which comes after this one, would open it again at the next access.
    return false;
  });
  // On a first visit nothing stands in the way, and the bench is there already: a slow browser is given its time.
  const waiting = db.coming ? undefined : setTimeout(() => tell({ kind: 'blocked' }), BLOCKED_AFTER);
  db.on('blocked', () => tell({ kind: 'blocked' }));
  try {
    await db.open();
  } catch (error) {
    tell(
      isFull(error)
        ? { kind: 'full' }
        : error instanceof Dexie.VersionError
          ? { kind: 'newer' }
          : { kind: 'refused', reason: error instanceof Error ? error.message : String(error) },
    );
    return false;
  } finally {
    clearTimeout(waiting);
  }
  // Dexie opens what a newer version has made without a word; a tenth of the browser's number is Dexie's.
  if (db.backendDB().version / 10 > NEWEST) {
    db.close({ disableAutoOpen: true });
    tell({ kind: 'newer' });
    return false;
  }
  if (db.isFresh && mark) {
    // An empty database in its place would be taken for an opened one the next time.
    await db.delete({ disableAutoOpen: true });
    tell({ kind: 'lost', mark });
    return false;
  }
  return true;
}

/** Whether the database still stands after a write failed: a browser short of room has been seen to drop it whole. */
export async function stillStands(db: Database): Promise<boolean> {
  try {
    const names = (await indexedDB.databases?.())?.map(({ name }) => name);
    if (names && !names.includes(db.name)) return false;
    return (await db.inks.count()) + (await db.recipes.count()) > 0;
  } catch {
    return false;
  }
}
