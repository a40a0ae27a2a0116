import { useCallback, useState } from 'react';
import { useInkTaker } from '../../app/commands';
import type { Edit } from '../../app/useBench';
import type { DriedInk } from '../../core/readings/driedShelf';
import type { Readings } from '../../core/readings/readings';
import { type Aim, fittingAim, takePressedInk } from '../../core/recipe/pressedInk';
import type { Recipe } from '../../core/recipe/recipe';

/**
 * What an ink that is pressed on the rail, or found by its name, takes the place of: the rung that is aimed at, a new one,
 * or the nearest.
 */
export function useAim(recipe: Recipe, readings: Readings, dried: readonly DriedInk[], edit: Edit) {
  const [chosen, setChosen] = useState<Aim>('nearest');
  const aim = fittingAim(chosen, recipe);
  const pick = useCallback(
    ({ ink, lab }: DriedInk) => {
      const rungs = readings.rungs.map((rung) => rung.lab);
      edit((now) => takePressedInk(now, aim, rungs, { id: ink.id, lab }));
      setChosen('nearest');
    },
    [readings, aim, edit],
  );
  useInkTaker((inkId) => {
    const found = dried.find(({ ink }) => ink.id === inkId);
    if (found) pick(found);
  });
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
  return { aim, setChosen, aimAt, addRung, pick };
}
