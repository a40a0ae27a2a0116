import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Kit } from '../../core/ladder/recipe';
import { useKit } from '../bench/useBench';
import { useShelf } from '../session';
import { useOpenRecipe } from './useOpenRecipe';

interface Props {
  /** What is being done until the recipe is there. */
  readonly waiting: string;
  readonly children: (kit: Kit) => ReactNode;
}

/** Shows something of the recipe in the address, or says that it is not here. */
export function WithKit({ waiting, children }: Props) {
  const { recipeId } = useParams();
  const shelf = useShelf();
  const missing = useOpenRecipe(recipeId);
  const kit = useKit(shelf);
  if (missing)
    return (
      <main className="p-8">
        <h1 className="heading text-xl">This recipe is not here</h1>
        <Link to="/recipes" className="font-semibold underline underline-offset-4">
          Go to all recipes
        </Link>
      </main>
    );
  if (!kit || kit.recipe.id !== recipeId) return <p className="p-6 text-mute">{waiting}</p>;
  return children(kit);
}
