import { imageDimensionsFromData } from 'image-dimensions';
import { bytesOf } from '../core/files/bytesOf';
import type { FileError } from '../core/files/fileError';

const MOST_BYTES = 80_000_000;
const FORMATS: readonly string[] = ['png', 'jpeg', 'webp'];

/**
 * The size of a picture that may be decoded, or why it may not: told by its first bytes, before anything is unpacked.
 *
 * @param megapixels  more are refused
 */
export async function openable(
  file: Blob,
  megapixels: number,
): Promise<{ readonly width: number; readonly height: number } | { readonly refused: string }> {
  if (file.size > MOST_BYTES)
    return { refused: `The picture has ${Math.round(file.size / 1e6)} MB; at most 80 MB are read.` };
  const bytes = await bytesOf(file).catch(({ message }: FileError) => message);
  if (typeof bytes === 'string') return { refused: bytes };
  const size = imageDimensionsFromData(bytes);
  if (!size || !FORMATS.includes(size.type))
    return {
      refused: 'This is not a PNG, JPEG or WebP picture. Save it as one of these, and open it again.',
    };
  if (size.width * size.height > megapixels * 1e6)
    return {
      refused: `The picture has ${size.width} × ${size.height} pixels; at most ${megapixels} megapixels are read. Make it smaller first.`,
    };
  return size;
}
