import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb } from 'pdf-lib';
import { MM_AN_INCH } from '../base/length';
import { type Hex, linearRgbOfHex } from '../materials/colour/hex';
import { srgbSignal } from '../materials/colour/lab';

const POINT = 72 / MM_AN_INCH;
/** A4, mm; ISO 216. */
const PAGE = { width: 210, height: 297, margin: 15 } as const;
const STRIP = { height: 30, gap: 8, dot: 5 } as const;
const ROWS = Math.floor((PAGE.height - 2 * PAGE.margin - 20) / (STRIP.height + STRIP.gap));

/** Two inks that are mistaken, as they are printed. */
export type PrintedPair = readonly { readonly name: string; readonly hex: Hex }[];

/** A card of pairs to blend on paper: a strip for each, with the inks named at its ends and room to write what came of it. */
export async function writeWeakPairs(pairs: readonly PrintedPair[], font: Uint8Array): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle('Pairs to blend');
  const face = await document.embedFont(font, { subset: true });
  const black = rgb(0.07, 0.07, 0.07);
  for (let first = 0; first < pairs.length || first === 0; first += ROWS) {
    const page = document.addPage([PAGE.width * POINT, PAGE.height * POINT]);
    const text = (line: string, x: number, y: number, size: number) =>
      page.drawText(line, { x: x * POINT, y: y * POINT, size, font: face, color: black });
    text('Guess first, then blend each pair into its strip.', PAGE.margin, PAGE.height - PAGE.margin - 4, 11);
    pairs.slice(first, first + ROWS).forEach((pair, i) => {
      const y = PAGE.height - PAGE.margin - 14 - (i + 1) * (STRIP.height + STRIP.gap) + STRIP.gap;
      const width = PAGE.width - 2 * PAGE.margin - 50;
      page.drawRectangle({
        x: PAGE.margin * POINT,
        y: y * POINT,
        width: width * POINT,
        height: STRIP.height * POINT,
        borderColor: black,
        borderWidth: 0.4,
      });
      pair.forEach(({ name, hex }, end) => {
        const { r, g, b } = linearRgbOfHex(hex);
        const x = PAGE.margin + width + 6;
        const down = y + STRIP.height - 6 - end * 8;
        page.drawCircle({
          x: (x + 2) * POINT,
          y: (down + 1) * POINT,
          size: (STRIP.dot / 2) * POINT,
          color: rgb(srgbSignal(r), srgbSignal(g), srgbSignal(b)),
        });
        text(`${end === 0 ? 'left' : 'right'}: ${name}`, x + 6, down, 9);
      });
      text('I guess: ____________', PAGE.margin + width + 6, y + 7, 8);
      text('it was: ____________', PAGE.margin + width + 6, y + 1, 8);
    });
  }
  return document.save();
}
