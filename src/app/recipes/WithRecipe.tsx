import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppSelector } from '../../store/hooks';
import { type Shelf, useShelf } from '../session';
import { useResolvedRecipe } from '../useBench';
import { NotHere } from './NotHere';
import { useOpenRecipe } from './useOpenRecipe';

interface Props {
  /** What is being done until the recipe is there. */
  readonly waiting: string;
  readonly children: (resolved: ResolvedRecipe, shelf: Shelf) => ReactNode;
}

/** Shows something of the recipe in the address, or says why it cannot be shown. */
export function WithRecipe({ waiting, children }: Props) {
  const { recipeId } = useParams();
  const shelf = useShelf();
  const missing = useOpenRecipe(recipeId);
  const recipe = useAppSelector(({ draft }) => draft.recipe);
  const resolved = useResolvedRecipe(shelf);
  if (missing)
    return (
      <NotHere title="This recipe is not here">
        It may have been deleted, or saved in another browser.
      </NotHere>
    );
  if (!recipe || recipe.id !== recipeId || !shelf || !resolved)
    return <p className="p-6 text-mute">{waiting}</p>;
  return children(resolved, shelf);
}
