import { expose } from 'comlink';
import { matsFor } from '../core/card/mats';
import { CannotCut, type CutPlan, planCuts, type Sheet } from '../core/cutting/cutPlan';
import type { Piece } from '../core/cutting/pieces';
import { FileError } from '../core/formats/fileError';
import { looksLikeGpl, rowsOfGpl } from '../core/formats/gpl';
import { compareWithShelf, type InkImport } from '../core/formats/inkImport';
import { rowsOfCsv } from '../core/formats/inksCsv';
import type { Ink } from '../core/ink/ink';
import { imagesSeen } from '../core/legibility/legibility';
import type { Unit } from '../core/panel/measure';
import { dryShelf } from '../core/readings/driedShelf';
import { designContrast, passReadings } from '../core/readings/passReadings';
import { findTwins } from '../core/shelf/twins';
import { breathe } from './breathe';

/** Rows compared before messages are let in. */
const ROWS_A_TURN = 500;
let newestReading = 0;

/** Work on the whole shelf, which may hold a thousand inks, and readings of the whole panel. */
const door = {
  dryShelf,
  /** A plan for one card's pieces, or why there can be none; an error class does not survive the way out. */
  planCuts(
    sheet: Sheet,
    pieces: readonly Piece[],
    grain: boolean,
    unit: Unit,
  ): CutPlan | { readonly refused: string } {
    try {
      return planCuts(sheet, pieces, grain, unit);
    } catch (error) {
      if (error instanceof CannotCut) return { refused: error.message };
      throw error;
    }
  },
  findTwins,
  passReadings,
  designContrast,
  imagesSeen,
  matsFor,
  /**
   * Reads an ink table or a GPL palette against the shelf; an error class does not survive the way out, so it goes as
   * text. A newer reading ends it with null.
   */
  async readInks(
    text: string,
    shelf: readonly Ink[],
    onProgress: (part: number) => void,
  ): Promise<InkImport | { readonly refused: string } | null> {
    const mine = ++newestReading;
    try {
      const rows = looksLikeGpl(text) ? rowsOfGpl(text, shelf) : rowsOfCsv(text);
      const comparison = compareWithShelf(shelf, () => crypto.randomUUID());
      for (const [i, row] of rows.entries()) {
        comparison.add(row);
        if (i % ROWS_A_TURN !== ROWS_A_TURN - 1) continue;
        onProgress(i / rows.length);
        await breathe();
        if (mine !== newestReading) return null;
      }
      return comparison.result();
    } catch (error) {
      if (error instanceof FileError) return { refused: error.message };
      throw error;
    }
  },
};

export type ShelfDoor = typeof door;
expose(door);
