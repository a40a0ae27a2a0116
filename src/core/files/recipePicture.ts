import { encode } from 'fast-png';
import encodeChunks from 'png-chunks-encode';
import extractChunks from 'png-chunks-extract';
import { MM_AN_INCH } from '../base/length';
import type { Picture } from '../picture/paint';
import type { ResolvedRecipe } from '../recipe/resolved';
import { FileError } from './fileError';
import { type FileLimit, refuseLarger } from './limits';
import { AROUND, refuseBrokenChunks, SIGNATURE } from './pngChunks';
import { readRecipeFile, writeRecipeFile } from './recipeFile';

/** Under this keyword the recipe stands in a tEXt chunk of the picture. Source: PNG specification, W3C, 11.3.3. */
export const RECIPE_KEYWORD = 'tint-ladder-recipe';
/** A larger picture is not read. */
export const RECIPE_PICTURE_LIMIT: FileLimit = { what: 'a recipe’s picture', bytes: 60_000_000 };

/** The panel as a PNG that says how large it is and carries its recipe. */
export function writeRecipePicture(resolved: ResolvedRecipe, picture: Picture, dpi: number): Uint8Array {
  const { width, height } = picture;
  const text = { [RECIPE_KEYWORD]: ascii(writeRecipeFile(resolved)), Software: 'Tint Ladder' };
  const png = encode({ width, height, data: rgbOf(picture), channels: 3, depth: 8, text });
  // One chunk is put in by its bytes: to part and join all of them takes longer than to pack the pixels.
  const size = encodeChunks([pixelSize(dpi)]).subarray(SIGNATURE);
  const whole = new Uint8Array(png.length + size.length);
  whole.set(png.subarray(0, AFTER_HEADER));
  whole.set(size, AFTER_HEADER);
  whole.set(png.subarray(AFTER_HEADER), AFTER_HEADER + size.length);
  return whole;
}

/** Where the chunks after the first begin, bytes: that one is always 13 long. Source: PNG specification, W3C, 11.2.2. */
const AFTER_HEADER = SIGNATURE + AROUND + 13;

/** The pixels of a picture, three bytes each: it is opaque. */
export function rgbOf({ pixels }: Picture): Uint8Array<ArrayBuffer> {
  const rgb = new Uint8Array((pixels.length / 4) * 3);
  for (let from = 0, to = 0; from < pixels.length; from += 4, to += 3) {
    rgb[to] = pixels[from] as number;
    rgb[to + 1] = pixels[from + 1] as number;
    rgb[to + 2] = pixels[from + 2] as number;
  }
  return rgb;
}

type PngChunk = ReturnType<typeof extractChunks>[number];

/** A pHYs chunk: pixels a metre, both ways. Source: PNG specification, W3C, 11.3.4.3. */
function pixelSize(dpi: number): PngChunk {
  const data = new Uint8Array(9);
  const perMetre = Math.round((dpi * 1000) / MM_AN_INCH);
  const view = new DataView(data.buffer);
  view.setUint32(0, perMetre);
  view.setUint32(4, perMetre);
  data[8] = 1;
  return { name: 'pHYs', data };
}

/** JSON in letters that a tEXt chunk may hold. */
const ascii = (json: string): string =>
  json.replace(/[^\n -~]/g, (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`);

/** Whether bytes begin as a PNG does. */
export const looksLikePng = (bytes: Uint8Array): boolean =>
  [0x89, 0x50, 0x4e, 0x47].every((byte, i) => bytes[i] === byte);

/**
 * The recipe a picture carries. Its pixels are not looked at.
 *
 * @throws FileError when the picture is damaged or carries none
 */
export function readRecipePicture(bytes: Uint8Array): ResolvedRecipe {
  const refuse = (problem: string) => new FileError([{ place: '', problem }]);
  refuseLarger(bytes.length, RECIPE_PICTURE_LIMIT);
  refuseBrokenChunks(bytes);
  let chunks: PngChunk[];
  try {
    chunks = extractChunks(bytes);
  } catch {
    throw refuse('The picture is damaged. Export it again, or open the recipe’s own file.');
  }
  for (const { name, data } of chunks) {
    if (name !== 'tEXt') continue;
    const text = new TextDecoder('latin1').decode(data);
    if (text.startsWith(`${RECIPE_KEYWORD}\0`)) return readRecipeFile(text.slice(RECIPE_KEYWORD.length + 1));
  }
  throw refuse(
    'There is no recipe in this picture. Only pictures exported by Tint Ladder carry one, and a program that saved it again may have dropped it.',
  );
}
