import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { SheetFonts } from '../core/files/pdfPen';

const require = createRequire(import.meta.url);
const font = (file: string) => new Uint8Array(readFileSync(require.resolve(file)));

/** The faces that everything on paper is set in. */
export const FONTS: SheetFonts = {
  plain: font('@fontsource/archivo/files/archivo-latin-400-normal.woff'),
  bold: font('@fontsource/archivo/files/archivo-latin-700-normal.woff'),
  italic: font('@fontsource/literata/files/literata-latin-400-italic.woff'),
  others: font('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
};
