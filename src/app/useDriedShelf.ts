import { useMemo } from 'react';
import { memo } from '../core/base/memo';
import type { BlendGround } from '../core/engine/blend';
import type { Ink } from '../core/materials/ink/ink';
import type { DriedInk } from '../core/readings/driedShelf';
import { shelfWorker } from '../workers/client';
import { useAnswer } from './useAnswer';

/** Answers the views ask for again when they are opened again; one that failed is asked for anew. */
const driedOn = memo(4, (inks: readonly Ink[], on: BlendGround) => {
  let answer: Promise<readonly DriedInk[]> | undefined;
  return () => {
    answer ??= shelfWorker()
      .dryShelf([...inks], on)
      .catch((error: unknown) => {
        answer = undefined;
        throw error;
      });
    return answer;
  };
});

const AT_ONCE = Promise.resolve();
const NONE: readonly DriedInk[] = [];

/**
 * The shelf as it dries on a card, or on what a recipe is blended on, computed by the worker; the last answer stays until
 * the next is there.
 *
 * @param on  undefined as long as there is nothing to dry it on
 * @param after  what it waits for, so as not to slow it down
 */
export function useDriedShelf(
  inks: readonly Ink[],
  on: BlendGround | undefined,
  after: Promise<void> = AT_ONCE,
): readonly DriedInk[] {
  const ask = useMemo(() => on && (() => after.then(driedOn(inks, on))), [inks, on, after]);
  return useAnswer(ask) ?? NONE;
}
