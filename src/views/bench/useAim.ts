import { useCallback, useState } from 'react';
import { type Aim, fittingAim } from '../../core/recipe/pressedInk';
import type { Recipe } from '../../core/recipe/recipe';

/**
 * What an ink that is pressed on the rail, or found by its name, takes the place of: the rung that is aimed at, a new one,
 * or the nearest.
 */
export function useAim(recipe: Recipe) {
  const [chosen, setChosen] = useState<Aim>('nearest');
  const aim = fittingAim(chosen, recipe);
  const addRung = useCallback(() => {
    setChosen('new');
    document.querySelector<HTMLElement>('[data-tour=rail] [role=option][tabindex="0"]')?.focus();
  }, []);
  /** Aims at a rung, or no longer where it was aimed at already. */
  const aimAt = useCallback(
    (rung: string) =>
      setChosen((now) => (typeof now === 'object' && now.rung === rung ? 'nearest' : { rung })),
    [],
  );
  return { aim, setChosen, aimAt, addRung };
}
