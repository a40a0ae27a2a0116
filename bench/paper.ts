import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { readSheetFonts } from '../cli/sheetFonts';
import { writeRecipePicture } from '../src/core/files/recipePicture';
import { writeSheetPdf } from '../src/core/files/sheetPdf';
import { stagePictures } from '../src/core/files/stagePictures';
import { paintPanel, pixelsAt } from '../src/core/picture/paint';
import { compileSheet } from '../src/core/sheet/compile';
import { demoRecipe } from './core';
import { medianTime, quantile, type Row, row } from './row';

const DPI = 300;
const TIMES = 5;

/** The panel as a picture's file, and its sheet as a PDF, both once the panel is painted. */
export async function measure({ root }: { readonly root: string }): Promise<Row[]> {
  const fonts = await readSheetFonts(pathToFileURL(join(root, 'node_modules', '/')));
  const resolved = demoRecipe();
  const { width, height } = pixelsAt(resolved.recipe.panel, DPI);
  const picture = paintPanel(resolved, 'dry', width, height);
  const stages = stagePictures(resolved, compileSheet(resolved, 'mm').steps);
  const pdfs: number[] = [];
  for (let i = 0; i <= TIMES; i++) {
    const begun = performance.now();
    await writeSheetPdf({ resolved, unit: 'mm', maker: {}, paper: 'A4', picture, stages, fonts });
    pdfs.push(performance.now() - begun);
  }
  return [
    row(
      'picture-file',
      medianTime(() => void writeRecipePicture(resolved, picture, DPI), TIMES),
      'ms',
      null,
    ),
    row('sheet-pdf', quantile(pdfs.slice(1), 0.5), 'ms', null),
  ];
}
