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

const NONE: readonly DriedInk[] = [];

/**
 * The shelf as it dries on a card, or on what a recipe is blended on, computed by the worker; the last answer stays until
 * the next is there.
 *
 * @param on  undefined as long as there is nothing to dry it on
 */
export function useDriedShelf(inks: readonly Ink[], on: BlendGround | undefined): readonly DriedInk[] {
  const ask = useMemo(() => on && driedOn(inks, on), [inks, on]);
  return useAnswer(ask) ?? NONE;
}
