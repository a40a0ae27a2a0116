import { pageStorage } from './pageStorage';

/** That there has been data, kept outside the database: an empty database is then a loss and no first visit. */
export interface DataMark {
  /** Milliseconds since 1970. */
  readonly lastSeen: number;
  readonly recipes: number;
  /** When a backup was last written; absent where none was. */
  readonly lastBackup?: number;
}

const MARK = 'tint-ladder data';

export function readMark(storage = pageStorage()): DataMark | undefined {
  try {
    const mark = JSON.parse(storage?.getItem(MARK) ?? '') as Partial<DataMark> | null;
    return typeof mark?.lastSeen === 'number' && typeof mark.recipes === 'number'
      ? (mark as DataMark)
      : undefined;
  } catch {
    return undefined;
  }
}

export function writeMark(change: Partial<DataMark>, storage = pageStorage()): void {
  try {
    const mark = { recipes: 0, ...readMark(storage), lastSeen: Date.now(), ...change };
    storage?.setItem(MARK, JSON.stringify(mark));
  } catch {
    // Without it a loss would look like a first visit; the data itself is not touched.
  }
}

export const clearMark = (storage = pageStorage()): void => storage?.removeItem(MARK);
