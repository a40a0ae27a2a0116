import { readFileSync } from 'node:fs';
import { join } from 'node:path';
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
  const font = (name: string) => new Uint8Array(readFileSync(join(root, 'node_modules', name)));
  const fonts = {
    plain: font('@fontsource/archivo/files/archivo-latin-400-normal.woff'),
    bold: font('@fontsource/archivo/files/archivo-latin-700-normal.woff'),
    italic: font('@fontsource/literata/files/literata-latin-400-italic.woff'),
    others: font('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
  };
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
