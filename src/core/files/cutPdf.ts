import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb } from 'pdf-lib';
import { MM_AN_INCH } from '../base/length';
import type { CutPlan } from '../make/cutting/cutPlan';
import { numberAt } from './cutSvg';

const POINT = 72 / MM_AN_INCH;

/** A plan as a PDF: a page a sheet, of the sheet's own size, so that it lies on it line for line. */
export async function writeCutPdf({ sheet, sheets }: CutPlan, font: Uint8Array): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle('Cut plan');
  const face = await document.embedFont(font, { subset: true });
  const ink = rgb(0.07, 0.07, 0.07);
  const up = (y: number) => (sheet.height - y) * POINT;
  for (const { placed, cuts } of sheets) {
    const page = document.addPage([sheet.width * POINT, sheet.height * POINT]);
    for (const { name, x, y, width, height } of placed) {
      page.drawRectangle({
        x: x * POINT,
        y: up(y + height),
        width: width * POINT,
        height: height * POINT,
        borderColor: ink,
        borderWidth: 0.5,
      });
      const size = Math.min(9, (width * POINT * 0.9) / Math.max(face.widthOfTextAtSize(name, 1), 1));
      page.drawText(name, {
        x: (x + width / 2) * POINT - face.widthOfTextAtSize(name, size) / 2,
        y: up(y + height / 2),
        size,
        font: face,
        color: ink,
      });
    }
    for (const [i, cut] of cuts.entries()) {
      const { from, to } = cut;
      const number = numberAt(cut);
      page.drawLine({
        start: { x: from.x * POINT, y: up(from.y) },
        end: { x: to.x * POINT, y: up(to.y) },
        thickness: 0.7,
        dashArray: [4, 2],
        color: ink,
      });
      page.drawText(String(i + 1), {
        x: number.x * POINT,
        y: up(number.y),
        size: 7,
        font: face,
        color: ink,
      });
    }
  }
  return document.save();
}
