import type { Swatch } from '../core/keep/swatches/book';
import type { Database } from './database';

/** Writes lines of the swatch book; returns the way back. */
export const putSwatches = (
  db: Database,
  swatches: readonly Swatch[],
): Promise<{ readonly undo: () => Promise<void> }> =>
  db.transaction('rw', db.swatches, async () => {
    const ids = swatches.map(({ id }) => id);
    const before = (await db.swatches.bulkGet(ids)).filter((one) => one !== undefined);
    await db.swatches.bulkPut([...swatches]);
    return {
      undo: () =>
        db.transaction('rw', db.swatches, async () => {
          await db.swatches.bulkDelete(ids);
          await db.swatches.bulkPut(before);
        }),
    };
  });
