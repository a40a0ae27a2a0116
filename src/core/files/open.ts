import type { ResolvedRecipe } from '../recipe/resolved';
import type { FileLimit } from './limits';
import { megabytes, refuseLarger } from './limits';
import { CODE_PREFIX, looksLikeCode, readRecipeCode } from './recipeCode';
import { RECIPE_FILE_LIMIT, readRecipeFile } from './recipeFile';
import { looksLikePng, RECIPE_PICTURE_LIMIT, readRecipePicture } from './recipePicture';
import { textOf } from './textOf';

/** A format a recipe may come in. */
interface RecipeFormat {
  readonly label: string;
  readonly looksLike: (bytes: Uint8Array, text: () => string) => boolean;
  readonly limit: FileLimit;
  /** @throws FileError when it holds no recipe */
  readonly read: (bytes: Uint8Array, text: () => string) => ResolvedRecipe;
}

/** Every format a recipe may come in, in the order they are tried; what looks like none is taken for the last. */
const RECIPE_FORMATS: readonly RecipeFormat[] = [
  {
    label: 'a picture that carries its recipe',
    looksLike: looksLikePng,
    limit: RECIPE_PICTURE_LIMIT,
    read: readRecipePicture,
  },
  {
    label: `a code that begins ${CODE_PREFIX}`,
    looksLike: (_, text) => looksLikeCode(text()),
    limit: RECIPE_FILE_LIMIT,
    read: (_, text) => readRecipeCode(text()),
  },
  {
    label: 'a recipe exported as JSON',
    looksLike: () => true,
    limit: RECIPE_FILE_LIMIT,
    read: (_, text) => readRecipeFile(text()),
  },
];

/** The largest file that may hold a recipe, bytes: a larger one need not be taken into memory. */
export const LARGEST_RECIPE: FileLimit = {
  what: `a recipe (JSON up to ${megabytes(RECIPE_FILE_LIMIT.bytes)}, a picture up to ${megabytes(RECIPE_PICTURE_LIMIT.bytes)})`,
  bytes: Math.max(...RECIPE_FORMATS.map(({ limit }) => limit.bytes)),
};

/**
 * The recipe of a file, whatever format it came in; for the application and the command line alike.
 *
 * @throws FileError saying what is wrong, where, and what to do
 */
export function openRecipe(bytes: Uint8Array): ResolvedRecipe {
  let decoded: string | undefined;
  const text = (): string => {
    decoded ??= textOf(bytes).text;
    return decoded;
  };
  const format = RECIPE_FORMATS.find(({ looksLike }) => looksLike(bytes, text));
  if (!format) throw new Error('no format is left to be tried');
  refuseLarger(bytes.length, format.limit);
  return format.read(bytes, text);
}
