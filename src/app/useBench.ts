import { useCallback, useMemo, useRef } from 'react';
import { groundOf } from '../core/engine/ground';
import { type Readings, readingsOf } from '../core/readings/readings';
import { orderLightToDark, type PaleEnd } from '../core/recipe/editLadder';
import type { Kit, Recipe } from '../core/recipe/recipe';
import { kitFrom } from '../data/recipes';
import { edited, gestureEnded } from '../store/draft';
import { useAppDispatch, useAppSelector } from '../store/hooks';
import type { Shelf } from './session';

/** The recipe in hand with all it needs; undefined while something of it is missing. */
export function useKit(shelf: Shelf | undefined): Kit | undefined {
  const recipe = useAppSelector(({ draft }) => draft.recipe);
  const found = useMemo(() => (recipe && shelf ? kitFrom(recipe, shelf) : undefined), [recipe, shelf]);
  // Card and inks stay the same objects while marks are moved, so that what depends on them alone stays too.
  const ladder = useRef<Omit<Kit, 'recipe'>>(undefined);
  return useMemo(() => {
    if (!found) return undefined;
    const known = ladder.current;
    const same =
      known?.card === found.card &&
      sameParts(known.inks, found.inks) &&
      sameParts(known.passInks, found.passInks) &&
      sameParts(known.designs, found.designs);
    if (!same) {
      const { card, inks, passInks, designs } = found;
      ladder.current = { card, inks, passInks, designs };
    }
    return { ...found, ...ladder.current };
  }, [found]);
}

const sameParts = (p: readonly unknown[], q: readonly unknown[]): boolean =>
  p.length === q.length && p.every((part, i) => part === q[i]);

/** What the blend is judged by: the inks, and what they lie on. */
export function useReadings(kit: Kit): Readings {
  const { card, inks } = kit;
  const base = JSON.stringify(kit.recipe.passes.filter(({ kind, on }) => on && kind === 'whiteBase'));
  // biome-ignore lint/correctness/useExhaustiveDependencies: of the kit only these decide the ground
  return useMemo(() => readingsOf({ card, inks }, groundOf(kit)), [card, inks, base]);
}

/** Changes the recipe by a function of core; `gesture` names a run of changes that is undone as one. */
export type Edit = (change: (recipe: Recipe) => Recipe, gesture?: string) => void;

export function useEdit(): { edit: Edit; endGesture: () => void } {
  const dispatch = useAppDispatch();
  const edit = useCallback<Edit>(
    (change, gesture) =>
      dispatch((_, getState) => {
        const { recipe } = getState().draft;
        if (recipe) dispatch(edited({ recipe: change(recipe), ...(gesture ? { gesture } : {}) }));
      }),
    [dispatch],
  );
  const endGesture = useCallback(() => dispatch(gestureEnded()), [dispatch]);
  return { edit, endGesture };
}

/** Orders the rungs by what they dry to on this card. */
export const orderedBy =
  (readings: Readings, paleEnd: PaleEnd) =>
  (recipe: Recipe): Recipe =>
    orderLightToDark(
      recipe,
      readings.rungs.map(({ lab }) => lab),
      paleEnd,
    );
