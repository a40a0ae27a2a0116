import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { fileNameOf } from '../../core/base/names';
import type { Recipe } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { addRecipe, removeRecipe, removeRecipes, restoreRecipe, restoreRecipes } from '../../data/recipes';
import type { RecipeRecord } from '../../data/records';
import { closed } from '../../store/draft';
import { useAppDispatch, useAppStore } from '../../store/hooks';
import { useNotify } from '../../ui/Notices';
import { download } from '../download';
import { once } from '../once';
import { useSession } from '../session';
import type { Refusal } from './refusal';

/** Writing files is loaded when one is first written. */
const recipeFiles = () => import('../../core/files/recipeFile');

/** Comes with the way to a recipe that was just begun: its name is there to be typed over. */
export const TO_BE_NAMED = 'to be named';

/** What can be done with recipes as a whole; the same from the bench and from the list. */
export function useRecipeActions() {
  const { data, autosave } = useSession();
  const navigate = useNavigate();
  const notify = useNotify();
  const dispatch = useAppDispatch();
  const store = useAppStore();

  return useMemo(() => {
    const open = (id: string) => navigate(`/bench/${id}`);
    return {
      open,
      /** Keeps a recipe as a new one and opens it. */
      openNew: once(async (recipe: Recipe) => {
        await autosave.flush();
        const { id } = await addRecipe(await data, recipe);
        navigate(`/bench/${id}`, { state: TO_BE_NAMED });
      }),
      duplicate: once(async (recipe: Recipe) => {
        await autosave.flush();
        const copy = await addRecipe(await data, recipe);
        notify({ text: `“${copy.recipe.name}” is a copy of “${recipe.name}”.` });
        open(copy.id);
      }),
      async remove({ id, name }: Recipe) {
        await autosave.flush();
        const db = await data;
        const record = await removeRecipe(db, id);
        if (store.getState().draft.recipe?.id === id) dispatch(closed());
        navigate('/recipes');
        if (record) notify({ text: `“${name}” is deleted.`, undo: () => void restoreRecipe(db, record) });
      },
      /** Hands the recipe to the browser as a file that carries its inks and card. */
      async download(resolved: ResolvedRecipe) {
        const { writeRecipeFile } = await recipeFiles();
        download(`${fileNameOf(resolved.recipe.name)}.json`, 'application/json', writeRecipeFile(resolved));
      },
      /** Hands the panel to the browser as a picture that carries its recipe, once it is painted. */
      async exportPicture(
        resolved: ResolvedRecipe,
        paint: (resolved: ResolvedRecipe) => Promise<Uint8Array>,
      ) {
        download(`${fileNameOf(resolved.recipe.name)}.png`, 'image/png', await paint(resolved));
      },
      /** Hands several recipes to the browser as one zip of their files. */
      async downloadAll(many: readonly ResolvedRecipe[]) {
        const { writeRecipesZip } = await import('../../core/files/recipesZip');
        download('recipes.zip', 'application/zip', writeRecipesZip(many));
      },
      async removeAll(records: readonly RecipeRecord[]) {
        await autosave.flush();
        const db = await data;
        const gone = await removeRecipes(
          db,
          records.map(({ id }) => id),
        );
        // Pressed twice: the other press took them away.
        if (gone.length === 0) return;
        const inHand = store.getState().draft.recipe?.id;
        if (gone.some(({ id }) => id === inHand)) dispatch(closed());
        notify({
          text: `${gone.length} ${gone.length === 1 ? 'recipe is' : 'recipes are'} deleted.`,
          undo: () => void restoreRecipes(db, gone),
        });
      },
      /**
       * Brings recipes in, from files, pictures, codes or zips of files, and opens the one there is; returns what is wrong
       * when one file cannot be brought in, and then none is. What takes a while shows how far it is, and can be stopped.
       */
      async bringIn(files: readonly File[]): Promise<Refusal | undefined> {
        const { bringRecipesIn } = await import('./bringRecipesIn');
        return bringRecipesIn(files, { db: await data, notify, open });
      },
    };
  }, [data, autosave, navigate, notify, dispatch, store]);
}
