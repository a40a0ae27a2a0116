import { trioKey } from '../core/choose/search/query';
import type { Ink } from '../core/materials/ink/ink';
import type { Database } from './database';
import type { KeptTrio } from './records';

/** Trios put by, the last one first. */
export const listKept = (db: Database): Promise<KeptTrio[]> => db.kept.orderBy('keptAt').reverse().toArray();

/** Puts a trio by; one that is there already in any order stays as it is. */
export const keepTrio = (db: Database, inks: readonly Ink[], cardId: string): Promise<KeptTrio> =>
  db.transaction('rw', db.kept, async () => {
    const inkIds = inks.map(({ id }) => id);
    const id = trioKey(inkIds);
    const there = await db.kept.get(id);
    if (there) return there;
    const kept = { id, inkIds, cardId, keptAt: Date.now() };
    await db.kept.add(kept);
    return kept;
  });

export const dropTrio = (db: Database, id: string): Promise<void> => db.kept.delete(id);

/** Takes back `dropTrio`. */
export const restoreTrio = async (db: Database, kept: KeptTrio): Promise<void> => {
  await db.kept.put(kept);
};
