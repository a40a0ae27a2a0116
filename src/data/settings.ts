import type { Database } from './database';

/** The value remembered under a key, or undefined. */
export const readSetting = async (db: Database, key: string): Promise<unknown> =>
  (await db.settings.get(key))?.value;

export const writeSetting = async (db: Database, key: string, value: unknown): Promise<void> => {
  await db.settings.put({ key, value });
};
