import {
  BlobReader,
  BlobWriter,
  type FileEntry,
  Uint8ArrayReader,
  ZipReader,
  ZipWriter,
} from '@zip.js/zip.js/lib/zip-core-native.js';
import { FileError } from './fileError';
import { megabytes } from './limits';

/** Whoever packs much is a worker already. */
const HERE = { useWebWorkers: false } as const;

/** More files than this are in no zip of ours. */
const MOST_FILES = 120_000;

/** A zip that is written piece by piece, so that a large one is never held in memory whole. */
export interface ZipInHand {
  readonly add: (name: string, bytes: Uint8Array, packed?: 'as it is') => Promise<void>;
  readonly close: () => Promise<Blob>;
}

/** @param made  what its files are dated by */
export function zipOf(made: Date): ZipInHand {
  const writer = new ZipWriter(new BlobWriter('application/zip'), { ...HERE, lastModDate: made });
  return {
    add: async (name, bytes, packed) => {
      await writer.add(name, new Uint8ArrayReader(bytes), { level: packed ? 0 : 6 });
    },
    close: () => writer.close(),
  };
}

/** A zip whose files are read one at a time. */
export interface OpenedZip {
  /** Bytes of a file unpacked, as the zip says; undefined where there is none of the name. */
  readonly sizeOf: (name: string) => number | undefined;
  /**
   * A file, checked by its checksum.
   *
   * @param most  a file of more bytes is not taken into memory, whatever the zip says of its size
   * @throws FileError naming it
   */
  readonly read: (name: string, most: number) => Promise<Uint8Array<ArrayBuffer>>;
}

/**
 * Opens a zip, of which only the list of its files is read.
 *
 * @throws FileError where it is none, or a damaged one
 */
export async function openZip(file: Blob): Promise<OpenedZip> {
  const entries = new Map<string, FileEntry>();
  const reader = new ZipReader(new BlobReader(file), HERE);
  try {
    for await (const entry of reader.getEntriesGenerator()) {
      if (entries.size > MOST_FILES) throw new Error('too many files');
      if (!entry.directory) entries.set(entry.filename, entry);
    }
  } catch {
    throw damaged('');
  }
  return {
    sizeOf: (name) => entries.get(name)?.uncompressedSize,
    read: async (name, most) => {
      const entry = entries.get(name);
      if (!entry || entry.encrypted) throw damaged(name);
      const chunks: Uint8Array<ArrayBuffer>[] = [];
      let size = 0;
      const taking = new WritableStream<Uint8Array<ArrayBuffer>>({
        write: (chunk) => {
          size += chunk.length;
          if (size > most) throw new Error('too large');
          chunks.push(chunk);
        },
      });
      await entry.getData(taking, { checkSignature: true }).catch(() => {
        throw size > most ? tooLarge(name, most) : damaged(name);
      });
      return new Uint8Array(await new Blob(chunks).arrayBuffer());
    },
  };
}

const tooLarge = (place: string, most: number): FileError =>
  new FileError([{ place, problem: `It is too large: at most ${megabytes(most)} are read.` }]);

const damaged = (place: string): FileError =>
  new FileError([
    {
      place,
      problem: `${place ? 'It' : 'The file is not a zip, or is damaged: it'} cannot be unpacked. Copy it again.`,
    },
  ]);
