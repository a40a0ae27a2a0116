import { deflateSync, Inflate, strFromU8, strToU8 } from 'fflate';
import type { ResolvedRecipe } from '../recipe/resolved';
import { FileError } from './fileError';
import { RECIPE_FILE_LIMIT, readRecipeFile, writeRecipeFile } from './recipeFile';

/** What a recipe's code begins with. */
export const CODE_PREFIX = 'TINT-LADDER:';

/** A recipe with its inks and card as one line of text, short enough for a QR code. */
export function writeRecipeCode(resolved: ResolvedRecipe): string {
  const compact = JSON.stringify(JSON.parse(writeRecipeFile(resolved), shorter));
  const bytes = deflateSync(strToU8(compact), { level: 9 });
  const text = btoa(String.fromCharCode(...bytes));
  return CODE_PREFIX + text.replaceAll('+', '-').replaceAll('/', '_').replace(/=+$/, '');
}

/** Shares and lengths to the ten-thousandth: finer than any ruler. */
const shorter = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toFixed(4)) : value;

/** Whether a text is meant as a recipe's code. */
export const looksLikeCode = (text: string): boolean => text.trimStart().startsWith(CODE_PREFIX);

/**
 * The recipe of a code.
 *
 * @throws FileError when it is none, or holds no recipe
 */
export function readRecipeCode(text: string): ResolvedRecipe {
  const coded = text.trim().slice(CODE_PREFIX.length);
  const broken = new FileError([
    { place: '', problem: 'The code is damaged: a part of it is missing or changed. Scan or copy it again.' },
  ]);
  if (!looksLikeCode(text) || !/^[\w-]+$/.test(coded)) throw broken;
  let json: string;
  try {
    const bytes = Uint8Array.from(atob(coded.replaceAll('-', '+').replaceAll('_', '/')), (letter) =>
      letter.charCodeAt(0),
    );
    json = strFromU8(inflated(bytes, RECIPE_FILE_LIMIT.bytes));
  } catch {
    throw broken;
  }
  return readRecipeFile(json);
}

/** Inflates at most so many bytes: a few can be made to stand for gigabytes. */
function inflated(bytes: Uint8Array, most: number): Uint8Array {
  const parts: Uint8Array[] = [];
  let size = 0;
  const stream = new Inflate((part) => {
    size += part.length;
    if (size > most) throw new RangeError('too much');
    parts.push(part);
  });
  // A little at a time, so that it stops soon after it is too much.
  for (let at = 0; at < bytes.length; at += CHUNK)
    stream.push(bytes.subarray(at, at + CHUNK), at + CHUNK >= bytes.length);
  const whole = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
const CHUNK = 512;
