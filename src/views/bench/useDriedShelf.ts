import { useCallback } from 'react';
import type { Card } from '../../core/card/card';
import type { Ink } from '../../core/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { useAnswer } from '../useAnswer';
import { shelfWorker } from '../workers';

const AT_ONCE = Promise.resolve();
const NONE: readonly DriedInk[] = [];

/**
 * The shelf as it dries on the card, computed by the worker; the last answer stays until the next is there.
 *
 * @param after  what it waits for, so as not to slow it down
 */
export function useDriedShelf(
  inks: readonly Ink[],
  card: Card,
  after: Promise<void> = AT_ONCE,
): readonly DriedInk[] {
  const ask = useCallback(
    () => after.then(() => shelfWorker().dryShelf([...inks], card)),
    [inks, card, after],
  );
  return useAnswer(ask) ?? NONE;
}
