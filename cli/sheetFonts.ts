import { readFile } from 'node:fs/promises';
import { FACE_FILES, type SheetFonts } from '../src/core/files/pdfPen';

/** @param packages  the folder of packages */
export async function readSheetFonts(packages: URL): Promise<SheetFonts> {
  const read = async (face: keyof SheetFonts) =>
    new Uint8Array(await readFile(new URL(FACE_FILES[face], packages)));
  return {
    plain: await read('plain'),
    bold: await read('bold'),
    italic: await read('italic'),
    others: await read('others'),
  };
}
