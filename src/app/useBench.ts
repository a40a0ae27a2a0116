import { useCallback, useEffect, useEffectEvent } from 'react';
import { memo } from '../core/base/memo';
import type { Recipe } from '../core/recipe/recipe';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { resolveAnyway } from '../core/recipe/resolved';
import { edited, gestureEnded } from '../store/draft';
import { useAppDispatch, useAppSelector, useAppStore } from '../store/hooks';
import { type Shelf, useShelf } from './session';

/** The same value for the same recipe and shelf, so that what was made of it serves again in another view. */
const resolvedWith = memo(4, resolveAnyway);

/** The recipe in hand with all it needs, stand-ins for what is gone among it; undefined until there is one. */
export function useResolvedRecipe(shelf: Shelf | undefined): ResolvedRecipe | undefined {
  const recipe = useAppSelector(({ draft }) => draft.recipe);
  return recipe && shelf ? resolvedWith(recipe, shelf) : undefined;
}

/** Tells of the recipe in hand as soon as it is changed, before the page begins to be drawn anew. */
export function useRecipeAhead(tell: (resolved: ResolvedRecipe) => void): void {
  const store = useAppStore();
  const shelf = useShelf();
  const told = useEffectEvent(tell);
  useEffect(() => {
    if (!shelf) return;
    let known = store.getState().draft.recipe;
    return store.subscribe(() => {
      const { recipe } = store.getState().draft;
      if (recipe === known) return;
      known = recipe;
      if (recipe) told(resolvedWith(recipe, shelf));
    });
  }, [store, shelf]);
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
