import { proxy } from 'comlink';
import Dexie from 'dexie';
import { FileError } from '../../core/files/fileError';
import { LARGEST_RECIPES } from '../../core/files/recipesZip';
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
export async function bringRecipesIn(file: File, { db, notify, open }: Around): Promise<Refusal | undefined> {
  const work = startWork();
  const slow = setTimeout(() => notify({ text: 'Recipes come in …', work }), SHOWN_AFTER);
  try {
    const records = await importRecipes(db, await read(file, work), {
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
    if (error instanceof FileError) return { fileName: file.name, faults: error.faults };
    // A fault of the program's own is no fault of the storage: it goes to the console and the error boundary.
    if (!(error instanceof Dexie.DexieError)) throw error;
    const problem = 'The browser could not store it. Nothing was changed.';
    return { fileName: file.name, faults: [{ place: '', problem }] };
  } finally {
    clearTimeout(slow);
    work.end();
  }
}

/** The recipes of a file, in whichever format they came. */
function read(file: File, work: WorkInHand) {
  const reach = proxy((part: number) => work.reach(READING * part));
  return readFile(file, LARGEST_RECIPES, (door, bytes) => door.readRecipes(bytes, reach), work.signal);
}
