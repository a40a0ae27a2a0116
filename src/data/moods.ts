import type { Mood } from '../core/choose/search/moods/mood';
import type { Database } from './database';

/** Moods of the maker's own, by name. */
export const listMoods = (db: Database): Promise<Mood[]> => db.moods.orderBy('name').toArray();

/** Keeps moods; those kept under the same id before are replaced. */
export const keepMoods = async (db: Database, moods: readonly Mood[]): Promise<void> => {
  await db.moods.bulkPut([...moods]);
};

export const dropMood = (db: Database, id: string): Promise<void> => db.moods.delete(id);
