import { rgb } from 'pdf-lib';
import { type Hex, linearRgbOfHex } from '../materials/colour/hex';
import { srgbSignal } from '../materials/colour/lab';
import { PAPERS, type Paper, POINT } from './papers';
import { bytesOf, newPdf } from './pdfParts';
import { embedFaces, INK, penOn, type SheetFonts } from './pdfPen';

const MARGIN = 15;
const STRIP = { height: 30, gap: 8, dot: 5 } as const;
/** Room for the line over the strips, mm. */
const HEAD = 20;

/** Two inks that are mistaken, as they are printed. */
export type PrintedPair = readonly { readonly name: string; readonly hex: Hex }[];

/** A card of pairs to blend on paper: a strip for each, with the inks named at its ends and room to write what came of it. */
export async function writeWeakPairs(
  pairs: readonly PrintedPair[],
  paper: Paper,
  fonts: SheetFonts,
): Promise<Uint8Array> {
  const { width: across, height: down } = PAPERS[paper];
  const rows = Math.floor((down - 2 * MARGIN - HEAD) / (STRIP.height + STRIP.gap));
  const document = await newPdf('Pairs to blend');
  const faces = await embedFaces(document, fonts);
  for (let first = 0; first < pairs.length || first === 0; first += rows) {
    const page = document.addPage([across * POINT, down * POINT]);
    const pen = penOn(page, faces);
    const text = (line: string, x: number, y: number, size: number) =>
      pen.text(line, x * POINT, y * POINT, size);
    text('Guess first, then blend each pair into its strip.', MARGIN, down - MARGIN - 4, 11);
    pairs.slice(first, first + rows).forEach((pair, i) => {
      const y = down - MARGIN - 14 - (i + 1) * (STRIP.height + STRIP.gap) + STRIP.gap;
      const width = across - 2 * MARGIN - 50;
      page.drawRectangle({
        x: MARGIN * POINT,
        y: y * POINT,
        width: width * POINT,
        height: STRIP.height * POINT,
        borderColor: INK,
        borderWidth: 0.4,
      });
      pair.forEach(({ name, hex }, end) => {
        const { r, g, b } = linearRgbOfHex(hex);
        const x = MARGIN + width + 6;
        const low = y + STRIP.height - 6 - end * 8;
        page.drawCircle({
          x: (x + 2) * POINT,
          y: (low + 1) * POINT,
          size: (STRIP.dot / 2) * POINT,
          color: rgb(srgbSignal(r), srgbSignal(g), srgbSignal(b)),
          borderColor: INK,
          borderWidth: 0.25,
        });
        text(`${end === 0 ? 'left' : 'right'}: ${name}`, x + 6, low, 9);
      });
      text('I guess: ____________', MARGIN + width + 6, y + 7, 8);
      text('it was: ____________', MARGIN + width + 6, y + 1, 8);
    });
  }
  return bytesOf(document);
}
