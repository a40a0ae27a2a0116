import { rgb } from 'pdf-lib';
import { dropIn, FIELD_IDS, FIELDS, type PageBox, swatchPages } from '../keep/swatches/page';
import type { Card } from '../materials/card/card';
import type { Ink } from '../materials/ink/ink';
import { PAPERS, type Paper, POINT } from './papers';
import { bytesOf, newPdf } from './pdfParts';
import { embedFaces, type Look, penOn, type SheetFonts } from './pdfPen';

const LINE = 0.4;

/**
 * Swatch pages at true size in the middle of the paper, to be printed on the card itself: a row an ink, with fields for a
 * full coat, a half, a quarter, the same over a black strip, and two drops of water; registration marks in the corners.
 */
export async function writeSwatchPdf(
  inks: readonly Ink[],
  card: Card,
  date: string,
  paper: Paper,
  fonts: SheetFonts,
): Promise<Uint8Array> {
  const document = await newPdf('Swatch book');
  const faces = await embedFaces(document, fonts);
  const black = rgb(0, 0, 0);
  const pages = swatchPages(inks);
  pages.forEach((laid, number) => {
    const { width, height } = PAPERS[paper];
    const page = document.addPage([width * POINT, height * POINT]);
    page.translateContent(((width - laid.width) / 2) * POINT, ((height - laid.height) / 2) * POINT);
    const up = (y: number) => (laid.height - y) * POINT;
    const pen = penOn(page, faces);
    const write = (text: string, x: number, y: number, size: number, look: Look = 'plain') =>
      pen.text(text, x * POINT, up(y), size, look, black);
    const frame = ({ x, y, width, height }: PageBox) =>
      page.drawRectangle({
        x: x * POINT,
        y: up(y + height),
        width: width * POINT,
        height: height * POINT,
        borderColor: black,
        borderWidth: LINE,
      });
    for (const { x, y } of laid.marks)
      page.drawRectangle({
        x: (x - laid.markSize / 2) * POINT,
        y: up(y + laid.markSize / 2),
        width: laid.markSize * POINT,
        height: laid.markSize * POINT,
        color: black,
      });
    write(`Swatches on ${card.name}, ${date}`, 26, 17, 10, 'bold');
    write(
      `page ${number + 1} of ${pages.length}; let it dry, then photograph the whole page in even light`,
      26,
      21.5,
      7,
    );
    for (const { name, label, fields } of laid.rows) {
      write(name, label.x, label.y + 4.4, 9, 'bold');
      for (const id of FIELD_IDS) {
        const box = fields[id];
        frame(box);
        write(FIELDS[id].label, box.x, box.y + box.height + 2.6, 5);
        if (id === 'black')
          page.drawRectangle({
            x: box.x * POINT,
            y: up(box.y + box.height * 0.75),
            width: box.width * POINT,
            height: box.height * 0.5 * POINT,
            color: black,
          });
        if (id === 'lifted' || id === 'waited') {
          const drop = dropIn(box);
          page.drawCircle({
            x: drop.x * POINT,
            y: up(drop.y),
            size: drop.r * POINT,
            borderColor: black,
            borderWidth: LINE / 2,
          });
        }
      }
    }
  });
  return bytesOf(document);
}
