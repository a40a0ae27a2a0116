import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { type Fault, FileError } from '../../core/files/fileError';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import type { Kit, Recipe } from '../../core/recipe/recipe';
import { addRecipe, importKit, recipeOf, removeRecipe, restoreRecipe } from '../../data/recipes';
import { closed } from '../../store/draft';
import { useAppDispatch, useAppStore } from '../../store/hooks';
import { useNotify } from '../../ui/Notices';
import { download } from '../download';
import { type Shelf, useSession } from '../session';

/** Reading and checking files is loaded when a file is first read or written. */
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
      /** A new recipe of the shelf's first blendable inks, pale to dark, on the first card. */
      async create(shelf: Shelf) {
        const recipe = blankRecipe(shelf);
        if (!recipe)
          return notify({
            text: 'A recipe needs a card and two inks that are blended. Add them on the shelf.',
          });
        open((await addRecipe(db, recipe)).id);
      },
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
      async download(kit: Kit) {
        const { writeRecipeFile } = await recipeFiles();
        download(`${fileNameOf(kit.recipe.name)}.json`, 'application/json', writeRecipeFile(kit));
      },
      /** Hands the panel to the browser as a picture that carries its recipe, once it is painted. */
      async exportPicture(kit: Kit, paint: (kit: Kit) => Promise<Uint8Array>) {
        download(`${fileNameOf(kit.recipe.name)}.png`, 'image/png', await paint(kit));
      },
      /** Brings a recipe in, from its file, its picture or its code, and opens it; returns what is wrong when it cannot. */
      async bringIn(file: File): Promise<Refusal | undefined> {
        try {
          const kit = await readKit(file);
          const record = await importKit(db, kit);
          notify({ text: `“${record.recipe.name}” is brought in.` });
          open(record.id);
          return undefined;
        } catch (error) {
          if (error instanceof FileError) return { fileName: file.name, faults: error.faults };
          const problem = 'The browser could not store it. Nothing was changed.';
          return { fileName: file.name, faults: [{ place: '', problem }] };
        }
      },
    };
  }, [db, autosave, navigate, notify, dispatch, store]);
}

/** The recipe of a file: JSON, a picture that carries it, or its code as text. */
async function readKit(file: File): Promise<Kit> {
  const head = new Uint8Array(await file.slice(0, 8).arrayBuffer());
  const { looksLikePng, readRecipePicture, RECIPE_PICTURE_LIMIT } = await import(
    '../../core/files/recipePicture'
  );
  if (looksLikePng(head)) {
    if (file.size > RECIPE_PICTURE_LIMIT) await textOf(file, RECIPE_PICTURE_LIMIT);
    return readRecipePicture(new Uint8Array(await file.arrayBuffer()));
  }
  const { readRecipeFile, RECIPE_FILE_LIMIT } = await recipeFiles();
  const text = await textOf(file, RECIPE_FILE_LIMIT);
  const { looksLikeCode, readRecipeCode } = await import('../../core/files/recipeCode');
  return looksLikeCode(text) ? readRecipeCode(text) : readRecipeFile(text);
}

/** The text of a file, unless it is far too large to be a recipe; it is not read then. */
async function textOf(file: File, limit: number): Promise<string> {
  if (file.size > limit) {
    const size = (file.size / 1e6).toFixed(0);
    throw new FileError([{ place: '', problem: `The file has ${size} MB; a recipe file is under 1 MB.` }]);
  }
  return file.text();
}

export const fileNameOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '') || 'recipe';

function blankRecipe({ inks, cards }: Shelf): Recipe | undefined {
  const card = cards.find(({ id }) => id === 'smooth-white') ?? cards[0];
  const blended = inks.filter(({ kind }) => INK_KINDS[kind].blends);
  const family = blended.find(({ kind }) => kind === 'hybrid')?.family;
  const depths = ['pale', 'mid', 'deep'].flatMap(
    (depth) => blended.find((ink) => ink.family === family && ink.depth === depth) ?? [],
  );
  const rungs = depths.length >= 2 ? depths : blended.slice(0, 3);
  return card && rungs.length >= 2 ? recipeOf('New recipe', rungs, card) : undefined;
}
