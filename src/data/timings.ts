import { LATEST_TIMINGS, type Pace, paceFrom, type TimedWork, USUAL_PACE } from '../core/sheet/times';
import type { Database } from './database';

/** Remembers how long one piece of work took, scaled to a piece of usual size. */
export const addTiming = async (db: Database, work: TimedWork, minutes: number): Promise<void> => {
  await db.timings.add({ work, minutes, at: Date.now() });
};

/** A maker's own pace, of the latest timings alone: years of them are not read for it. */
export const readPace = async (db: Database): Promise<Pace> => {
  const latest = (Object.keys(USUAL_PACE) as TimedWork[]).map((work) =>
    db.timings.where('work').equals(work).reverse().limit(LATEST_TIMINGS).toArray(),
  );
  return paceFrom((await Promise.all(latest)).flat());
};

/** Forgets every timing; the usual times count again. */
export const clearTimings = (db: Database): Promise<void> => db.timings.clear();
