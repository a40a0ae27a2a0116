import { FileError } from './fileError';

/**
 * The bytes of a file as it stands on its drive by now.
 *
 * @throws FileError where it is gone, was changed since it was chosen, is a folder, or may not be read
 */
export async function bytesOf(file: Blob): Promise<Uint8Array<ArrayBuffer>> {
  try {
    return new Uint8Array(await file.arrayBuffer());
  } catch {
    throw new FileError([
      {
        place: '',
        problem:
          'It cannot be read: it may be a folder, have been moved or changed since it was chosen, or lie on a drive that was taken out. Choose it again.',
      },
    ]);
  }
}
