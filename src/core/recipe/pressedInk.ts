import type { Lab } from '../materials/colour/lab';
import { addRung, nearestRung, placeForNew, setInk } from './editLadder';
import { type Recipe, RUNG_LIMITS } from './recipe';

/** Where an ink that is pressed goes: on the rung nearest in lightness, on a new one, or on one by its id. */
export type Aim = 'nearest' | 'new' | { readonly rung: string };

/** An aim that the recipe has room for: a full ladder takes no new rung, and a rung may be gone. */
export function fittingAim(aim: Aim, { rungs }: Recipe): Aim {
  if (aim === 'nearest') return aim;
  const fits = aim === 'new' ? rungs.length < RUNG_LIMITS.max : rungs.some(({ id }) => id === aim.rung);
  return fits ? aim : 'nearest';
}

/**
 * Lays an ink that was pressed, which dries to `lab`, where it was aimed.
 *
 * @param dried  what the rungs dry to, in their order
 */
export function takePressedInk(
  recipe: Recipe,
  aim: Aim,
  dried: readonly Lab[],
  ink: { readonly id: string; readonly lab: Lab },
): Recipe {
  const fitting = fittingAim(aim, recipe);
  if (fitting === 'new') return addRung(recipe, placeForNew(dried, ink.lab.l), ink.id);
  const rung =
    fitting === 'nearest'
      ? nearestRung(dried, ink.lab.l)
      : recipe.rungs.findIndex(({ id }) => id === fitting.rung);
  return setInk(recipe, rung, ink.id);
}
