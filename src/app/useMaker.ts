import { useLiveQuery } from 'dexie-react-hooks';
import { memoByKey } from '../core/base/memo';
import type { Maker } from '../core/sheet/compile';
import { paceFrom } from '../core/sheet/times';
import { readOwned, rememberedOwned } from '../data/owned';
import { readPace } from '../data/timings';
import { useDatabase } from './session';

/** How long work takes this maker, and with which brushes; undefined until it has been read. */
export function useKnownMaker(): Maker | undefined {
  const db = useDatabase();
  return useLiveQuery(
    async (): Promise<Maker> => sameMaker({ pace: await readPace(db), owned: await readOwned(db) }),
    [db],
  );
}

const keepMaker = memoByKey(4, (_sign: string, maker: Maker): Maker => maker);
/** The same value for the same times and brushes, so that parts of a view compile one sheet together. */
const sameMaker = (maker: Maker): Maker => keepMaker(JSON.stringify(maker), maker);

const ANY_MAKER = sameMaker({ pace: paceFrom([]), owned: rememberedOwned(undefined) });

/** The maker as known so far: the usual times, and as many brushes as it takes, until read. */
export const useMaker = (): Maker => useKnownMaker() ?? ANY_MAKER;
