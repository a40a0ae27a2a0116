import { useCallback, useMemo, useRef } from 'react';
import type { Ink } from '../../core/ink/ink';
import { orderLightToDark, type PaleEnd } from '../../core/ladder/edit';
import type { Kit, Recipe } from '../../core/ladder/recipe';
import { type Readings, readingsOf } from '../../core/readings/readings';
import { kitFrom } from '../../data/recipes';
import { edited, gestureEnded } from '../../store/draft';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import type { Shelf } from '../session';

/** The recipe in hand with all it needs; undefined while something of it is missing. */
export function useKit(shelf: Shelf | undefined): Kit | undefined {
  const recipe = useAppSelector(({ draft }) => draft.recipe);
  const found = useMemo(
    () => (recipe && shelf ? kitFrom(recipe, shelf.inks, shelf.cards) : undefined),
    [recipe, shelf],
  );
  // Card and inks stay the same objects while marks are moved, so that what depends on them alone stays too.
  const ladder = useRef<Omit<Kit, 'recipe'>>(undefined);
  return useMemo(() => {
    if (!found) return undefined;
    const known = ladder.current;
    const same =
      known?.card === found.card &&
      sameInks(known.inks, found.inks) &&
      sameInks(known.overInks, found.overInks);
    if (!same) ladder.current = { card: found.card, inks: found.inks, overInks: found.overInks };
    return { ...found, ...ladder.current };
  }, [found]);
}

const sameInks = (p: readonly Ink[], q: readonly Ink[]): boolean =>
  p.length === q.length && p.every((ink, i) => ink === q[i]);

export const useReadings = ({ card, inks }: Kit): Readings =>
  useMemo(() => readingsOf({ card, inks }), [card, inks]);

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
