import { useNavigate } from 'react-router';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { useDatabase, useSession } from '../../app/session';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { addRecipe } from '../../data/recipes';
import { closed, opened } from '../../store/draft';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';

/** Told when another tab saved or deleted the recipe while it was changed here: nothing is overwritten unasked. */
export function Conflict({ resolved }: { readonly resolved: ResolvedRecipe }) {
  const actions = useRecipeActions();
  const { recipe, save } = useAppSelector(({ draft }) => draft);
  const db = useDatabase();
  const { autosave } = useSession();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  if (!recipe || (save !== 'conflict' && save !== 'failed')) return null;

  const keepMine = async () => {
    const copy = await addRecipe(db, recipe);
    dispatch(opened(copy));
    navigate(`/bench/${copy.id}`, { replace: true });
  };
  const takeTheirs = async () => {
    const theirs = await db.recipes.get(recipe.id);
    if (theirs) dispatch(opened(theirs));
    else {
      dispatch(closed());
      navigate('/recipes');
    }
  };
  return (
    <div
      role="alert"
      className="mx-4 mt-2 flex flex-wrap items-center gap-3 border-l-4 border-text bg-field px-3 py-2"
    >
      {save === 'failed' ? (
        <>
          <p className="min-w-56 flex-1">
            <strong>Not saved.</strong> The browser could not store this recipe, and tries again by itself.
            Keep it as a file meanwhile, and free some room on the disk.
          </p>
          <Button look="strong" onClick={() => void actions.download(resolved)}>
            Keep it as a file
          </Button>
          <Button onClick={() => void autosave.flush()}>Try now</Button>
        </>
      ) : (
        <>
          <p className="min-w-56 flex-1">
            <strong>Changed in another tab.</strong> What you changed here is not saved yet.
          </p>
          <Button look="strong" onClick={keepMine}>
            Keep mine as a copy
          </Button>
          <Button onClick={takeTheirs}>Take the other</Button>
        </>
      )}
    </div>
  );
}
