import { useEffect, useState } from 'react';
import { useRaise } from '../../../app/useRaise';
import type { Ink } from '../../../core/materials/ink/ink';
import type { PassReading } from '../../../core/readings/passReadings';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { shelfWorker } from '../../../workers/client';

/** Passes are read once the hand has rested so long, ms: while it moves, the painters need the cores. */
const REST = 900;

const NONE: readonly PassReading[] = [];

/**
 * What each pass does to the panel, as last read; a moment behind the hand. Empty until then.
 *
 * @param inks  the shelf's
 */
export function usePassReadings(resolved: ResolvedRecipe, inks: readonly Ink[]): readonly PassReading[] {
  const [readings, setReadings] = useState<readonly PassReading[]>(NONE);
  const raise = useRaise();
  const any = resolved.recipe.passes.some(({ enabled }) => enabled);
  useEffect(() => {
    if (!any) {
      setReadings(NONE);
      return;
    }
    let wanted = true;
    const timer = setTimeout(() => {
      shelfWorker()
        .passReadings(resolved, inks)
        .then((read) => {
          if (wanted) setReadings(read);
        })
        .catch((error: unknown) => {
          if (wanted) raise(error);
        });
    }, REST);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [resolved, inks, any, raise]);
  return readings;
}
