import { LineCapStyle } from 'pdf-lib';
import type { CutPlan } from '../make/cutting/cutPlan';
import { nameAt, scoreOf, sheetsAlike } from '../make/cutting/cutText';
import { numberAt } from './cutSvg';
import { POINT } from './papers';
import { bytesOf, newPdf } from './pdfParts';
import { embedFaces, INK, penOn, type SheetFonts } from './pdfPen';

/**
 * A plan as a PDF: a page for each way its sheets are cut, of the sheet's own size, so that it lies on it line for line.
 * Scores are dotted.
 */
export async function writeCutPdf(plan: CutPlan, fonts: SheetFonts): Promise<Uint8Array> {
  const { sheet } = plan;
  const document = await newPdf('Cut plan');
  const faces = await embedFaces(document, fonts);
  const up = (y: number) => (sheet.height - y) * POINT;
  for (const alike of sheetsAlike(plan)) {
    const { placed, cuts } = alike.sheet;
    const page = document.addPage([sheet.width * POINT, sheet.height * POINT]);
    const pen = penOn(page, faces);
    pen.text(alike.name, 2 * POINT, 2 * POINT, 7);
    for (const piece of placed) {
      const { name, x, y, width, height } = piece;
      const score = scoreOf(piece);
      if (score)
        page.drawLine({
          start: { x: score.from.x * POINT, y: up(score.from.y) },
          end: { x: score.to.x * POINT, y: up(score.to.y) },
          thickness: 0.7,
          dashArray: [0, 3],
          lineCap: LineCapStyle.Round,
          color: INK,
        });
      page.drawRectangle({
        x: x * POINT,
        y: up(y + height),
        width: width * POINT,
        height: height * POINT,
        borderColor: INK,
        borderWidth: 0.5,
      });
      const size = Math.min(9, (width * POINT * 0.9) / Math.max(pen.width(name, 1), 1));
      const left = (x + width / 2) * POINT - pen.width(name, size) / 2;
      pen.text(name, left, up(y + height * nameAt(piece)), size);
    }
    for (const [i, cut] of cuts.entries()) {
      const { from, to } = cut;
      const number = numberAt(cut);
      page.drawLine({
        start: { x: from.x * POINT, y: up(from.y) },
        end: { x: to.x * POINT, y: up(to.y) },
        thickness: 0.7,
        dashArray: [4, 2],
        color: INK,
      });
      pen.text(String(i + 1), number.x * POINT, up(number.y), 7);
    }
  }
  return bytesOf(document);
}
