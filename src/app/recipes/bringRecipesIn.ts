import { proxy } from 'comlink';
import Dexie from 'dexie';
import { FileError } from '../../core/files/fileError';
import { LARGEST_RECIPES } from '../../core/files/recipesZip';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { Database } from '../../data/database';
import { importRecipes } from '../../data/recipes';
import type { Notice } from '../../ui/notice';
import { startWork, type WorkInHand } from '../../ui/work';
import { readFile } from '../readFile';
import type { Refusal } from './refusal';

/** It shows how far it is when it takes longer than this, ms. */
const SHOWN_AFTER = 400;
/** Part of the time that reading takes; the rest is storing. */
const READING = 0.6;

interface Around {
  readonly db: Database;
  readonly notify: (notice: Notice) => void;
  readonly open: (id: string) => void;
}

/** Brings recipes in; `useRecipeActions` says how. */
export async function bringRecipesIn(
  files: readonly File[],
  { db, notify, open }: Around,
): Promise<Refusal | undefined> {
  const work = startWork();
  const slow = setTimeout(() => notify({ text: 'Recipes come in …', work }), SHOWN_AFTER);
  try {
    const { recipes, refused } = await readAll(files, work);
    const refusal = oneOf(refused, files.length);
    if (refusal) return refusal;
    const records = await importRecipes(db, recipes, {
      signal: work.signal,
      reach: (part) => work.reach(READING + (1 - READING) * part),
    });
    const [only] = records;
    notify({
      text:
        records.length === 1 && only
          ? `“${only.recipe.name}” is brought in.`
          : `${records.length} recipes are brought in.`,
    });
    if (records.length === 1 && only) open(only.id);
    return undefined;
  } catch (error) {
    if (work.signal.aborted) {
      notify({ text: 'Stopped: no recipe was brought in.' });
      return undefined;
    }
    // A fault of the program's own is no fault of the storage: it goes to the console and the error boundary.
    if (!(error instanceof Dexie.DexieError)) throw error;
    const problem = 'The browser could not store it. Nothing was changed.';
    return { fileName: namedOf(files), faults: [{ place: '', problem }] };
  } finally {
    clearTimeout(slow);
    work.end();
  }
}

/** The recipes of all files, in whichever formats they came, and which files hold none. */
async function readAll(files: readonly File[], { reach, signal }: WorkInHand) {
  const recipes: ResolvedRecipe[] = [];
  const refused: Refusal[] = [];
  for (const [i, file] of files.entries()) {
    const reached = proxy((part: number) => reach((READING * (i + part)) / files.length));
    try {
      recipes.push(
        ...(await readFile(file, LARGEST_RECIPES, (door, bytes) => door.readRecipes(bytes, reached), signal)),
      );
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      refused.push({ fileName: file.name, faults: error.faults });
    }
  }
  return { recipes, refused };
}

const namedOf = (files: readonly File[]): string =>
  files.length === 1 ? (files[0]?.name ?? '') : `${files.length} files`;

/** Several files refused are told as one, each fault with its file's name. */
function oneOf(refused: readonly Refusal[], files: number): Refusal | undefined {
  if (refused.length < 2) return refused[0];
  return {
    fileName: `${refused.length} of ${files} files`,
    faults: refused.flatMap(({ fileName, faults }) =>
      faults.map(({ place, problem }) => ({ place: [fileName, place].filter(Boolean).join(': '), problem })),
    ),
  };
}
