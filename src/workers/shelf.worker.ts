import { expose } from 'comlink';
import { FileError } from '../core/formats/fileError';
import { type InkImport, readInksCsv } from '../core/formats/inksCsv';
import type { Ink } from '../core/ink/ink';
import { dryShelf } from '../core/readings/driedShelf';
import { findTwins } from '../core/shelf/twins';

/** Work on the whole shelf, which may hold a thousand inks. */
const door = {
  dryShelf,
  findTwins,
  /** Reads an ink table against the shelf; an error class does not survive the way out, so it goes as text. */
  readInks(text: string, shelf: readonly Ink[]): InkImport | { readonly refused: string } {
    try {
      return readInksCsv(text, shelf, () => crypto.randomUUID());
    } catch (error) {
      if (error instanceof FileError) return { refused: error.message };
      throw error;
    }
  },
};

export type ShelfDoor = typeof door;
expose(door);
