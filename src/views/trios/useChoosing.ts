import { useCallback } from 'react';
import { type Constraints, NO_CONSTRAINTS, type TrioQuery } from '../../core/choose/search/query';
import { type Choosing, choosingSet } from '../../store/choosing';
import { useAppDispatch, useAppSelector } from '../../store/hooks';

/** Best trios kept from a search; near-duplicates are folded among them. */
const KEEP = 3000;

const BEGUN: Choosing = {
  query: { relation: 'tonal', constraints: NO_CONSTRAINTS, sort: 'fit', seed: 1, keep: KEEP },
  cardId: 'smooth-white',
  notMade: false,
};

/** What is looked for, and changing parts of it. */
export function useChoosing() {
  const changed = useAppSelector(({ choosing }) => choosing);
  const dispatch = useAppDispatch();
  const choosing = { ...BEGUN, ...changed };
  const { query } = choosing;
  const set = useCallback((change: Partial<Choosing>) => dispatch(choosingSet(change)), [dispatch]);
  const ask = (change: Partial<TrioQuery>) => set({ query: { ...query, ...change } });
  const constrain = (change: Partial<Constraints>) =>
    ask({ constraints: { ...query.constraints, ...change } });
  return { ...choosing, set, ask, constrain };
}

export type ChoosingState = ReturnType<typeof useChoosing>;
