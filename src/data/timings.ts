import type { TimedWork } from '../core/sheet/times';
import type { Database } from './database';

/** Remembers how long one piece of work took, scaled to a piece of usual size. */
export const addTiming = async (db: Database, work: TimedWork, minutes: number): Promise<void> => {
  await db.timings.add({ work, minutes, at: Date.now() });
};

/** Forgets every timing; the usual times count again. */
export const clearTimings = (db: Database): Promise<void> => db.timings.clear();
