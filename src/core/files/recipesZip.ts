import { strToU8, unzipSync, zipSync } from 'fflate';
import { fileNameOf, freeName } from '../base/names';
import type { ResolvedRecipe } from '../recipe/resolved';
import { FileError } from './fileError';
import { type FileLimit, megabytes, refuseLarger } from './limits';
import { LARGEST_RECIPE, openRecipe } from './open';
import { RECIPE_FILE_LIMIT, writeRecipeFile } from './recipeFile';

/** Most recipes in one zip, and most bytes of it unpacked. */
export const RECIPES_ZIP_LIMITS = { recipes: 2000, unpacked: 300_000_000 } as const;
/** A larger zip is refused. */
const RECIPES_ZIP_LIMIT: FileLimit = { what: 'a zip of recipes', bytes: 60_000_000 };

/** How far reading is, is told after so many recipes. */
const TOLD_EVERY = 20;

/** Whether a file is a zip: its first bytes say so. */
export const looksLikeZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;

/** Several recipes as one zip of recipe files, each by its name. */
export function writeRecipesZip(recipes: readonly ResolvedRecipe[]): Uint8Array {
  const taken = new Set<string>();
  const files: Record<string, Uint8Array> = {};
  for (const resolved of recipes) {
    const name = freeName(fileNameOf(resolved.recipe.name), taken);
    taken.add(name);
    files[`${name}.json`] = strToU8(writeRecipeFile(resolved));
  }
  return zipSync(files);
}

/**
 * The recipes of a zip; whatever in it is no `.json` is passed over.
 *
 * @param onProgress  told how far it is, 0…1
 * @throws FileError when one of them cannot be read, naming it; then none is
 */
export function readRecipesZip(bytes: Uint8Array, onProgress?: (part: number) => void): ResolvedRecipe[] {
  let unpacked = 0;
  let count = 0;
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!name.toLowerCase().endsWith('.json')) return false;
        count++;
        unpacked += originalSize;
        refuseMore(name, count, originalSize, unpacked);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof FileError) throw error;
    throw new FileError([
      { place: '', problem: 'The zip is damaged: it cannot be unpacked. Copy it again.' },
    ]);
  }
  const entries = Object.entries(files);
  if (entries.length === 0)
    throw new FileError([{ place: '', problem: 'The zip holds no recipe: no file in it ends in .json.' }]);
  return entries.map(([name, content], i) => {
    if (i % TOLD_EVERY === 0) onProgress?.(i / entries.length);
    try {
      return openRecipe(content);
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      throw new FileError(
        error.faults.map(({ place, problem }) => ({
          place: [name, place].filter(Boolean).join(', '),
          problem,
        })),
      );
    }
  });
}

/** A file larger than any that holds recipes is not taken into memory. */
export const LARGEST_RECIPES: FileLimit = {
  what: LARGEST_RECIPE.what,
  bytes: Math.max(LARGEST_RECIPE.bytes, RECIPES_ZIP_LIMIT.bytes),
};

/**
 * The recipes of a file, one in whichever format it came, or a zip of them.
 *
 * @throws FileError saying what is wrong, where, and what to do
 */
export function openRecipes(bytes: Uint8Array, onProgress?: (part: number) => void): ResolvedRecipe[] {
  if (!looksLikeZip(bytes)) return [openRecipe(bytes)];
  refuseLarger(bytes.length, RECIPES_ZIP_LIMIT);
  return readRecipesZip(bytes, onProgress);
}

function refuseMore(name: string, count: number, size: number, unpacked: number): void {
  const { recipes, unpacked: most } = RECIPES_ZIP_LIMITS;
  if (count > recipes)
    throw new FileError([{ place: '', problem: `The zip holds more than ${recipes} recipes. Split it.` }]);
  if (size > RECIPE_FILE_LIMIT.bytes || unpacked > most)
    throw new FileError([
      {
        place: name,
        problem: `It is too large unpacked: a recipe has at most ${megabytes(RECIPE_FILE_LIMIT.bytes)}, all together ${megabytes(most)}.`,
      },
    ]);
}
