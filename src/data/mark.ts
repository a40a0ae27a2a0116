import { keep, pageStorage, readKept } from './pageStorage';

/** That there has been data, kept outside the database: an empty database is then a loss and no first visit. */
export interface DataMark {
  /** Milliseconds since 1970. */
  readonly lastSeen: number;
  readonly recipes: number;
  /** When it was first seen; milliseconds since 1970, as the rest. */
  readonly since?: number;
  /** When a backup was last asked for. */
  readonly reminded?: number;
  /** When a backup was last written; absent where none was. */
  readonly lastBackup?: number;
}

const MARK = 'tint-ladder data';

/** What there has been; nothing of it later than now, or a clock that once ran ahead would put off reminders by as much. */
export function readMark(storage = pageStorage()): DataMark | undefined {
  const mark = readKept(MARK, storage) as Partial<DataMark> | null | undefined;
  if (typeof mark?.lastSeen !== 'number' || typeof mark.recipes !== 'number') return undefined;
  const now = Date.now();
  const { recipes, lastSeen, ...moments } = mark;
  const past = Object.entries(moments).map(([of, at]) => [of, Math.min(at, now)] as const);
  return { ...Object.fromEntries(past), recipes, lastSeen: Math.min(lastSeen, now) };
}

/** Whether there has been no data as far as this browser can tell; one that keeps nothing outside the database cannot. */
export const hasNoMark = (storage = pageStorage()): boolean =>
  storage !== undefined && readMark(storage) === undefined;

/** Without it a loss would look like a first visit; the data itself is not touched. */
export function writeMark(change: Partial<DataMark>, storage = pageStorage()): void {
  const now = Date.now();
  keep(MARK, { recipes: 0, since: now, ...readMark(storage), lastSeen: now, ...change }, storage);
}

export const clearMark = (storage = pageStorage()): void => storage?.removeItem(MARK);

const DAY = 86_400_000;
/** A backup is asked for after so many days without one, and no more than once a day. */
const DUE_AFTER = 7;

/** How many days there has been no backup, where it is time to say so; undefined where it is not. */
export function backupDue(mark: DataMark | undefined, now: number): number | undefined {
  if (!mark || now - (mark.reminded ?? 0) < DAY) return undefined;
  const days = Math.floor((now - (mark.lastBackup ?? mark.since ?? now)) / DAY);
  return days >= DUE_AFTER ? days : undefined;
}
