import { useLiveQuery } from 'dexie-react-hooks';
import { type Pace, paceFrom, USUAL_PACE } from '../core/sheet/times';
import { useSession } from './session';

/** How long work takes this maker; the usual times until some are timed. */
export function usePace(): Pace {
  const { db } = useSession();
  return useLiveQuery(async () => paceFrom(await db.timings.toArray()), [db]) ?? USUAL_PACE;
}
