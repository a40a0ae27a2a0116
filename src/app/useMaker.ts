import { useLiveQuery } from 'dexie-react-hooks';
import type { Maker } from '../core/sheet/compile';
import { paceFrom } from '../core/sheet/times';
import { readOwned } from '../data/owned';
import { useSession } from './session';

/** How long work takes this maker, and with which brushes; undefined until it has been read. */
export function useKnownMaker(): Maker | undefined {
  const { db } = useSession();
  return useLiveQuery(
    async (): Promise<Maker> => ({
      pace: paceFrom(await db.timings.toArray()),
      owned: await readOwned(db),
    }),
    [db],
  );
}

const ANY_MAKER: Maker = {};

/** The maker as known so far: the usual times, and as many brushes as it takes, until read. */
export const useMaker = (): Maker => useKnownMaker() ?? ANY_MAKER;
