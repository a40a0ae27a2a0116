import { expose } from 'comlink';
import type { Unit } from '../core/base/length';
import { shareWith } from '../core/base/share';
import { type NextInk, nextInks } from '../core/choose/search/nextInks';
import { findTwins, nearestPairs } from '../core/choose/shelf/twins';
import { FileError } from '../core/files/fileError';
import { looksLikeGpl, rowsOfGpl } from '../core/files/gpl';
import { compareWithShelf, type InkImport } from '../core/files/inkImport';
import { rowsOfCsv } from '../core/files/inksCsv';
import { CannotCut, type CutPlan, planCuts, type Sheet } from '../core/make/cutting/cutPlan';
import type { Piece } from '../core/make/cutting/pieces';
import { panelUse } from '../core/make/sitting/materials';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import { matsFor } from '../core/readings/card/mats';
import { dryShelf } from '../core/readings/driedShelf';
import { closeCallsOf } from '../core/readings/joints/closeCall';
import { imagesSeen } from '../core/readings/legibility/legibility';
import { topCoatsOver } from '../core/readings/legibility/topCoat';
import { designContrast, passReadings } from '../core/readings/passReadings';
import { solveShares } from '../core/readings/solveShares';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { breathe } from './breathe';

/** Rows compared before messages are let in. */
const ROWS_A_TURN = 500;
let newestReading = 0;
/** How long the shelf is weighed before messages are let in, ms. */
const SLICE = 40;
let newestNext = 0;

let lastResolved: ResolvedRecipe | undefined;
/**
 * A reading of a recipe that comes as a copy: what it has in common with the last one stays the same values, by which
 * the core remembers what it has found out.
 */
const onShared =
  <Rest extends readonly unknown[], Answer>(read: (resolved: ResolvedRecipe, ...rest: Rest) => Answer) =>
  (resolved: ResolvedRecipe, ...rest: Rest): Answer => {
    lastResolved = shareWith(lastResolved, resolved);
    return read(lastResolved, ...rest);
  };

/** Work on the whole shelf, which may hold a thousand inks, and readings of the whole panel. */
const door = {
  dryShelf,
  closeCallsOf,
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
  /** What one panel takes of inks, powder and paste. */
  panelUse: onShared(panelUse),
  findTwins,
  nearestPairs,
  passReadings: onShared(passReadings),
  designContrast: onShared(designContrast),
  imagesSeen: onShared(imagesSeen),
  topCoatsOver,
  solveShares: onShared(solveShares),
  matsFor: onShared(matsFor),
  /**
   * Which ink next: what each candidate would add to the shelf. A newer question, or `stopNextInks`, ends it with null.
   */
  async nextInks(
    owned: readonly Ink[],
    candidates: readonly Ink[],
    card: Card,
    onProgress: (part: number) => void,
  ): Promise<NextInk[] | null> {
    const mine = ++newestNext;
    const work = nextInks(owned, candidates, card);
    let breathed = performance.now();
    for (let now = work.next(); ; now = work.next()) {
      if (now.done) return now.value;
      if (performance.now() - breathed < SLICE) continue;
      onProgress(now.value);
      await breathe();
      if (mine !== newestNext) return null;
      breathed = performance.now();
    }
  },

  stopNextInks(): void {
    newestNext++;
  },

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
