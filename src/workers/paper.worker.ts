import plain from '@fontsource/archivo/files/archivo-latin-400-normal.woff?url';
import bold from '@fontsource/archivo/files/archivo-latin-700-normal.woff?url';
import italic from '@fontsource/literata/files/literata-latin-400-italic.woff?url';
import { expose, transfer } from 'comlink';
import others from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf?url';
import type { Unit } from '../core/base/length';
import { writeCutPdf } from '../core/files/cutPdf';
import { type Label, writeLabels } from '../core/files/labelsPdf';
import type { Paper } from '../core/files/papers';
import type { SheetFonts } from '../core/files/pdfPen';
import { writeRecipePicture } from '../core/files/recipePicture';
import { type SheetParts, writeSheetPdf } from '../core/files/sheetPdf';
import { type SittingPrint, writeSittingPdf } from '../core/files/sittingPdf';
import { stagePictures } from '../core/files/stagePictures';
import { writeSwatchPdf } from '../core/files/swatchPdf';
import { type PrintedPair, writeWeakPairs } from '../core/files/weakPairsPdf';
import type { CutPlan } from '../core/make/cutting/cutPlan';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import { createPainter, type Picture, pixelsAt } from '../core/picture/paint';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { compileSheet, type Maker } from '../core/sheet/compile';

/** Resolution of pictures for paper, dots an inch. */
const DPI = 300;

/** Rows painted before it is told how far the picture has come. */
const ROWS = 64;

/** @param onProgress  told the part that is done, 0…1 */
function panelPicture(resolved: ResolvedRecipe, onProgress: (part: number) => void): Picture {
  const { width, height } = pixelsAt(resolved.recipe.panel, DPI);
  const { picture, paintRows } = createPainter()({ resolved, wetness: 'dry', width, height });
  for (let row = 0; row < height; row += ROWS) {
    paintRows(row, Math.min(row + ROWS, height));
    onProgress(Math.min((row + ROWS) / height, 1));
  }
  return picture;
}

const fontAt = async (url: string): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(url)).arrayBuffer());

const handOver = (bytes: Uint8Array): Uint8Array => transfer(bytes, [bytes.buffer as ArrayBuffer]);

const sheetFonts = async (): Promise<SheetFonts> => ({
  plain: await fontAt(plain),
  bold: await fontAt(bold),
  italic: await fontAt(italic),
  others: await fontAt(others),
});

function sheetParts(
  resolved: ResolvedRecipe,
  unit: Unit,
  maker: Maker,
  paper: Paper,
  onProgress: (part: number) => void,
): SheetParts {
  const picture = panelPicture(resolved, onProgress);
  const stages = stagePictures(resolved, compileSheet(resolved, unit, maker).steps);
  return { resolved, unit, maker, paper, picture, stages };
}

/** Work for paper: the panel as a picture, the sheet as a PDF. */
const door = {
  async cutPdf(plan: CutPlan): Promise<Uint8Array> {
    return handOver(await writeCutPdf(plan, await sheetFonts()));
  },

  weakPairs: async (pairs: readonly PrintedPair[], paper: Paper): Promise<Uint8Array> =>
    handOver(await writeWeakPairs(pairs, paper, await sheetFonts())),

  labels: async (labels: readonly Label[], paper: Paper): Promise<Uint8Array> =>
    handOver(await writeLabels(labels, paper, await sheetFonts())),

  async swatchPages(inks: readonly Ink[], card: Card, date: string, paper: Paper): Promise<Uint8Array> {
    return handOver(await writeSwatchPdf(inks, card, date, paper, await sheetFonts()));
  },

  /** An evening's plan with the sheet of each of its recipes behind it. */
  async sitting(
    print: Omit<SittingPrint, 'fonts' | 'sheets'>,
    recipes: readonly ResolvedRecipe[],
    unit: Unit,
    maker: Maker,
    onProgress: (part: number) => void,
  ): Promise<Uint8Array> {
    const sheets = recipes.map(
      (resolved, i) => () =>
        sheetParts(resolved, unit, maker, print.paper, (part) => onProgress((i + part) / recipes.length)),
    );
    return handOver(await writeSittingPdf({ ...print, sheets, fonts: await sheetFonts() }));
  },

  picture: (resolved: ResolvedRecipe, onProgress: (part: number) => void): Uint8Array =>
    handOver(writeRecipePicture(resolved, panelPicture(resolved, onProgress), DPI)),

  pdf: async (...asked: Parameters<typeof sheetParts>): Promise<Uint8Array> =>
    handOver(await writeSheetPdf({ ...sheetParts(...asked), fonts: await sheetFonts() })),
};

export type PaperDoor = typeof door;
expose(door);
