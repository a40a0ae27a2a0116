import type { ResolvedRecipe } from '../core/recipe/resolved';
import { type Database, doWithout } from './database';
import type { Thumbnail } from './records';
import { isFull } from './storage';

/**
 * Changes with whatever is seen in a recipe's picture; its name, its notes and its tags are not.
 *
 * @param isPlain  painted without the grain of card and ink
 */
export async function pictureSign(resolved: ResolvedRecipe, isPlain: boolean): Promise<string> {
  const { recipe, ...materials } = resolved;
  const { name: _, notes: __, ...seen } = recipe;
  const text = new TextEncoder().encode(JSON.stringify([PAINTED_AS, isPlain, seen, materials]));
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-1', text));
  return Array.from(digest, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** One more when panels come to be painted otherwise, so that no old picture is shown for a new one. */
const PAINTED_AS = 5;

/** What a thumbnail is of: so many pixels high, of what has this sign. */
export const thumbnailOf = (sign: string, pixels: number): string => `${sign} ${pixels}`;

/** Whether a thumbnail shows what has this sign, in whatever size. */
export const isOfSign = ({ of }: Thumbnail, sign: string): boolean => of.startsWith(`${sign} `);

export const readThumbnail = (db: Database, id: string): Promise<Thumbnail | undefined> =>
  db.thumbnails.get(id);

/** Keeps a picture that can be made anew: where there is no room it is not kept, and nobody is told. */
export const writeThumbnail = async (db: Database, thumbnail: Thumbnail): Promise<void> => {
  try {
    await db.thumbnails.put(thumbnail);
  } catch (error) {
    if (!isFull(error)) throw error;
    doWithout(error);
  }
};
