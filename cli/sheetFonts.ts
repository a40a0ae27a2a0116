import { readFile } from 'node:fs/promises';
import type { SheetFonts } from '../src/core/files/pdfPen';

/** The faces that sheets are set in, as they lie among the packages. */
const FACES = {
  plain: '@fontsource/archivo/files/archivo-latin-400-normal.woff',
  bold: '@fontsource/archivo/files/archivo-latin-700-normal.woff',
  italic: '@fontsource/literata/files/literata-latin-400-italic.woff',
  others: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf',
} as const satisfies Record<keyof SheetFonts, string>;

/** @param packages  the folder of packages */
export async function readSheetFonts(packages: URL): Promise<SheetFonts> {
  const read = async (face: keyof SheetFonts) =>
    new Uint8Array(await readFile(new URL(FACES[face], packages)));
  return {
    plain: await read('plain'),
    bold: await read('bold'),
    italic: await read('italic'),
    others: await read('others'),
  };
}
