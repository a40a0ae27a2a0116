import { LineCapStyle, rgb } from 'pdf-lib';
import type { CutPlan } from '../make/cutting/cutPlan';
import { nameAt, scoreOf, sheetsAlike } from '../make/cutting/cutText';
import { numberAt } from './cutSvg';
import { POINT } from './papers';
import { bytesOf, embedFace, newPdf } from './pdfParts';

/**
 * A plan as a PDF: a page for each way its sheets are cut, of the sheet's own size, so that it lies on it line for line.
 * Scores are dotted.
 */
export async function writeCutPdf(plan: CutPlan, font: Uint8Array): Promise<Uint8Array> {
  const { sheet } = plan;
  const document = await newPdf('Cut plan');
  const face = await embedFace(document, font);
  const ink = rgb(0.07, 0.07, 0.07);
  const up = (y: number) => (sheet.height - y) * POINT;
  for (const alike of sheetsAlike(plan)) {
    const { placed, cuts } = alike.sheet;
    const page = document.addPage([sheet.width * POINT, sheet.height * POINT]);
    page.drawText(alike.name, { x: 2 * POINT, y: 2 * POINT, size: 7, font: face, color: ink });
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
          color: ink,
        });
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
        y: up(y + height * nameAt(piece)),
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
  return bytesOf(document);
}
