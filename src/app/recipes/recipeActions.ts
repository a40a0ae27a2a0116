import Dexie from 'dexie';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { fileNameOf } from '../../core/base/names';
import { type Fault, FileError } from '../../core/files/fileError';
import type { Recipe } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { addRecipe, importRecipe, removeRecipe, restoreRecipe } from '../../data/recipes';
import { closed } from '../../store/draft';
import { useAppDispatch, useAppStore } from '../../store/hooks';
import { useNotify } from '../../ui/Notices';
import { download } from '../download';
import { useSession } from '../session';

/** Writing files is loaded when one is first written. */
const recipeFiles = () => import('../../core/files/recipeFile');

/** A file that could not be opened, and why. */
export interface Refusal {
  readonly fileName: string;
  readonly faults: readonly Fault[];
}

/** What can be done with recipes as a whole; the same from the bench and from the list. */
export function useRecipeActions() {
  const { db, autosave } = useSession();
  const navigate = useNavigate();
  const notify = useNotify();
  const dispatch = useAppDispatch();
  const store = useAppStore();

  return useMemo(() => {
    const open = (id: string) => navigate(`/bench/${id}`);
    return {
      open,
      /** Keeps a recipe as a new one and opens it. */
      async openNew(recipe: Recipe) {
        await autosave.flush();
        open((await addRecipe(db, recipe)).id);
      },
      async duplicate(recipe: Recipe) {
        await autosave.flush();
        const copy = await addRecipe(db, recipe);
        notify({ text: `“${copy.recipe.name}” is a copy of “${recipe.name}”.` });
        open(copy.id);
      },
      async remove({ id, name }: Recipe) {
        await autosave.flush();
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
      /** Brings a recipe in, from its file, its picture or its code, and opens it; returns what is wrong when it cannot. */
      async bringIn(file: File): Promise<Refusal | undefined> {
        try {
          const resolved = await readRecipe(file);
          const record = await importRecipe(db, resolved);
          notify({ text: `“${record.recipe.name}” is brought in.` });
          open(record.id);
          return undefined;
        } catch (error) {
          if (error instanceof FileError) return { fileName: file.name, faults: error.faults };
          // A fault of the program's own is no fault of the storage: it goes to the console and the error boundary.
          if (!(error instanceof Dexie.DexieError)) throw error;
          const problem = 'The browser could not store it. Nothing was changed.';
          return { fileName: file.name, faults: [{ place: '', problem }] };
        }
      },
    };
  }, [db, autosave, navigate, notify, dispatch, store]);
}

/** The recipe of a file, in whichever format it came; one that is too large is not taken into memory. */
async function readRecipe(file: File): Promise<ResolvedRecipe> {
  const [{ LARGEST_RECIPE, openRecipe }, { refuseLarger }] = await Promise.all([
    import('../../core/files/open'),
    import('../../core/files/limits'),
  ]);
  refuseLarger(file.size, LARGEST_RECIPE);
  return openRecipe(new Uint8Array(await file.arrayBuffer()));
}
