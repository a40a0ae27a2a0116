import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb } from 'pdf-lib';
import { MM_AN_INCH } from '../base/length';
import { type Hex, linearRgbOfHex } from '../materials/colour/hex';
import { srgbSignal } from '../materials/colour/lab';

const POINT = 72 / MM_AN_INCH;
/** A4, mm; ISO 216. Labels stand in three columns, to be cut apart. */
const PAGE = { width: 210, height: 297, margin: 12 } as const;
const LABEL = { width: 62, height: 15, dot: 9 } as const;
const COLUMNS = 3;
const ROWS = Math.floor((PAGE.height - 2 * PAGE.margin) / LABEL.height);

/** One label for a pad, a brush or a dauber. */
export interface Label {
  readonly text: string;
  readonly under: string;
  /** Colour of the ink it holds. */
  readonly colour?: Hex;
}

/** Labels at true size on A4, with hairlines to cut along. */
export async function writeLabels(labels: readonly Label[], font: Uint8Array): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle('Labels');
  const face = await document.embedFont(font, { subset: true });
  const black = rgb(0.07, 0.07, 0.07);
  for (let first = 0; first < labels.length || first === 0; first += COLUMNS * ROWS) {
    const page = document.addPage([PAGE.width * POINT, PAGE.height * POINT]);
    labels.slice(first, first + COLUMNS * ROWS).forEach(({ text, under, colour }, i) => {
      const x = PAGE.margin + (i % COLUMNS) * LABEL.width;
      const y = PAGE.height - PAGE.margin - (Math.floor(i / COLUMNS) + 1) * LABEL.height;
      page.drawRectangle({
        x: x * POINT,
        y: y * POINT,
        width: LABEL.width * POINT,
        height: LABEL.height * POINT,
        borderColor: black,
        borderWidth: 0.25,
      });
      if (colour) {
        const { r, g, b } = linearRgbOfHex(colour);
        page.drawCircle({
          x: (x + 8) * POINT,
          y: (y + LABEL.height / 2) * POINT,
          size: (LABEL.dot / 2) * POINT,
          color: rgb(srgbSignal(r), srgbSignal(g), srgbSignal(b)),
        });
      }
      const room = (LABEL.width - 18) * POINT;
      const size = Math.min(11, room / Math.max(face.widthOfTextAtSize(text, 1), 1));
      page.drawText(text, { x: (x + 15) * POINT, y: (y + 7.5) * POINT, size, font: face, color: black });
      page.drawText(under, { x: (x + 15) * POINT, y: (y + 3) * POINT, size: 7, font: face, color: black });
    });
  }
  return document.save();
}
