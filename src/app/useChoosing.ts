import { useCallback } from 'react';
import { memoOf } from '../core/base/memo';
import { type Constraints, NO_CONSTRAINTS, type TrioQuery } from '../core/choose/search/query';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import { INK_KINDS } from '../core/materials/ink/kinds';
import { type Choosing, choosingSet } from '../store/choosing';
import { useAppDispatch, useAppSelector } from '../store/hooks';

/** Best trios kept from a search; near-duplicates are folded among them. */
const KEEP = 3000;

const BEGUN: Choosing = {
  query: { relation: 'tonal', constraints: NO_CONSTRAINTS, sort: 'fit', seed: 1, keep: KEEP },
  cardId: 'smooth-white',
  notMade: false,
};

/** The inks that trios are made of: the same list as long as the shelf is the same. */
export const searchedInks = memoOf((inks: readonly Ink[]): readonly Ink[] =>
  inks.filter(({ kind }) => INK_KINDS[kind].blends),
);

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
  /** The card that trios are looked for on. */
  const cardIn = (cards: readonly Card[]): Card | undefined =>
    cards.find(({ id }) => id === choosing.cardId) ?? cards[0];
  return { ...choosing, cardIn, set, ask, constrain };
}

export type ChoosingState = ReturnType<typeof useChoosing>;
