import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { FACE_FILES, type SheetFonts } from '../core/files/pdfPen';

const { resolve } = createRequire(import.meta.url);
const face = (name: keyof SheetFonts) => new Uint8Array(readFileSync(resolve(FACE_FILES[name])));

/** The faces that everything on paper is set in. */
export const FONTS: SheetFonts = {
  plain: face('plain'),
  bold: face('bold'),
  italic: face('italic'),
  others: face('others'),
};
