import { FileError } from './fileError';

/** Bytes before the first chunk, and around the data of each. Source: PNG specification, W3C, 5.2 and 5.3. */
export const SIGNATURE = 8;
export const AROUND = 12;

/**
 * Holds every chunk's length against what is left of the file, before anybody sets aside room for it: a few bytes can claim
 * to be a gigabyte.
 *
 * @throws FileError where the picture ends before it says it does
 */
export function refuseBrokenChunks(bytes: Uint8Array): void {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = SIGNATURE; at < bytes.length; ) {
    const length = at + AROUND <= bytes.length ? view.getUint32(at) : Number.POSITIVE_INFINITY;
    if (at + AROUND + length > bytes.length)
      throw new FileError([
        {
          place: '',
          problem: 'The picture is damaged: it ends before it says it does. Export or copy it again.',
        },
      ]);
    at += AROUND + length;
  }
}
