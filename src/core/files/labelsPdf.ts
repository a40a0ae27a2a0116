import { rgb } from 'pdf-lib';
import { type Hex, linearRgbOfHex } from '../materials/colour/hex';
import { srgbSignal } from '../materials/colour/lab';
import { PAPERS, type Paper, POINT } from './papers';
import { bytesOf, newPdf } from './pdfParts';
import { embedFaces, INK, penOn, type SheetFonts } from './pdfPen';

/** Least of white around, mm. Labels stand in three columns, to be cut apart. */
const MARGIN = 12;
const LABEL = { width: 62, height: 15, dot: 9 } as const;
const COLUMNS = 3;

/** One label for a pad, a brush or a dauber. */
export interface Label {
  readonly text: string;
  readonly under: string;
  /** Colour of the ink it holds. */
  readonly colour?: Hex;
}

/** Labels at true size, with hairlines to cut along. */
export async function writeLabels(
  labels: readonly Label[],
  paper: Paper,
  fonts: SheetFonts,
): Promise<Uint8Array> {
  const { width: across, height: down } = PAPERS[paper];
  const rows = Math.floor((down - 2 * MARGIN) / LABEL.height);
  const left = (across - COLUMNS * LABEL.width) / 2;
  const document = await newPdf('Labels');
  const faces = await embedFaces(document, fonts);
  for (let first = 0; first < labels.length || first === 0; first += COLUMNS * rows) {
    const page = document.addPage([across * POINT, down * POINT]);
    const pen = penOn(page, faces);
    labels.slice(first, first + COLUMNS * rows).forEach(({ text, under, colour }, i) => {
      const x = left + (i % COLUMNS) * LABEL.width;
      const y = down - MARGIN - (Math.floor(i / COLUMNS) + 1) * LABEL.height;
      page.drawRectangle({
        x: x * POINT,
        y: y * POINT,
        width: LABEL.width * POINT,
        height: LABEL.height * POINT,
        borderColor: INK,
        borderWidth: 0.25,
      });
      if (colour) {
        const { r, g, b } = linearRgbOfHex(colour);
        page.drawCircle({
          x: (x + 8) * POINT,
          y: (y + LABEL.height / 2) * POINT,
          size: (LABEL.dot / 2) * POINT,
          color: rgb(srgbSignal(r), srgbSignal(g), srgbSignal(b)),
          // White is seen on white.
          borderColor: INK,
          borderWidth: 0.25,
        });
      }
      const room = (LABEL.width - 18) * POINT;
      const size = Math.min(11, room / Math.max(pen.width(text, 1), 1));
      pen.text(text, (x + 15) * POINT, (y + 7.5) * POINT, size);
      pen.text(under, (x + 15) * POINT, (y + 3) * POINT, 7);
    });
  }
  return bytesOf(document);
}
