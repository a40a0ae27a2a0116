import { type PDFDocument, type PDFPage, rgb } from 'pdf-lib';
import { wrapWords } from '../base/words';
import { clockAfter } from '../make/sitting/record';
import { linearRgbOfHex } from '../materials/colour/hex';
import { srgbSignal } from '../materials/colour/lab';
import type { LaidOut } from '../sheet/desk';
import type { Minutes } from '../sheet/times';
import { PAPERS, type Paper, POINT } from './papers';
import { bytesOf, newPdf } from './pdfParts';
import { embedFaces, type Faces, type Look, MUTE, type Pen, penOn, type SheetFonts } from './pdfPen';
import { drawSheet, type SheetParts } from './sheetPdf';
import type { SittingRow } from './sittingRows';

/** A sitting as it is printed. */
export interface SittingPrint {
  readonly name: string;
  /** When it is, and what is at hand, in a sentence. */
  readonly told: string;
  readonly origin: string;
  readonly makespan: Minutes;
  readonly rows: readonly SittingRow[];
  readonly layOut: readonly LaidOut[];
  readonly paper: Paper;
  readonly fonts: SheetFonts;
  /** The sheets of its recipes, each painted when its turn comes: their pictures are large. */
  readonly sheets: readonly (() => SheetParts)[];
}

const MARGIN = 36;
const LINE = 13;

/** The evening for paper: what to lay out, the timeline, the order of work, and the sheet of every recipe. */
export async function writeSittingPdf(print: SittingPrint): Promise<Uint8Array> {
  const document = await newPdf(print.name);
  const faces = await embedFaces(document, print.fonts);
  const { width: across, height: down } = PAPERS[print.paper];
  const [width, height] = [across * POINT, down * POINT];
  const flow = flowOn(document, [width, height], faces);
  flow.line(print.name, { look: 'bold', size: 16, height: 22 });
  flow.wrapped(print.told);
  flow.gap();
  drawTimeline(flow, print, width);
  flow.gap();
  flow.line('Lay out first', { look: 'bold', size: 11, height: 16 });
  for (const group of ['Card', 'Inks', 'Brushes', 'Tools'] as const) {
    const own = print.layOut.filter((one) => one.group === group);
    if (own.length === 0) continue;
    flow.line(group, { look: 'bold' });
    for (const { thing } of own) flow.wrapped(thing, 16, true);
  }
  flow.gap();
  flow.line('The order of work', { look: 'bold', size: 11, height: 16 });
  for (const row of print.rows) drawRow(flow, row, print.origin, width);
  let drawn = Promise.resolve();
  for (const sheet of print.sheets) {
    // It is painted while the pictures of the one before are packed.
    const parts = sheet();
    await drawn;
    drawn = drawSheet(document, faces, parts);
  }
  await drawn;
  return bytesOf(document);
}

interface Setting {
  readonly look?: Look;
  readonly size?: number;
  readonly height?: number;
  readonly x?: number;
}

interface Flow {
  readonly page: () => PDFPage;
  readonly pen: () => Pen;
  readonly y: () => number;
  /** Room for so much more on this page, or on the next. */
  readonly need: (height: number) => void;
  readonly down: (by: number) => void;
  readonly gap: () => void;
  readonly line: (text: string, set?: Setting) => void;
  readonly at: (text: string, x: number, room: number, set?: Setting) => void;
  readonly wrapped: (text: string, indent?: number, box?: boolean) => void;
}

/** Lines one under another, on as many pages as it takes. */
function flowOn(document: PDFDocument, size: [number, number], faces: Faces): Flow {
  const [width, height] = size;
  let page = document.addPage(size);
  let pen = penOn(page, faces);
  let y = height - MARGIN;
  const need = (much: number) => {
    if (y - much > MARGIN) return;
    page = document.addPage(size);
    pen = penOn(page, faces);
    y = height - MARGIN;
  };
  const at: Flow['at'] = (text, x, room, { look = 'plain', size: points = 9 } = {}) => {
    const letters = [...text];
    let shown = text;
    while (letters.length > 1 && pen.width(shown, points, look) > room) {
      letters.pop();
      shown = `${letters.join('')}…`;
    }
    pen.text(shown, x, y, points, look);
  };
  const line: Flow['line'] = (text, { height: tall = LINE, x = MARGIN, ...set } = {}) => {
    need(tall);
    y -= tall;
    at(text, x, width - MARGIN - x, set);
  };
  return {
    page: () => page,
    pen: () => pen,
    y: () => y,
    need,
    down: (by) => {
      y -= by;
    },
    gap: () => {
      y -= LINE;
    },
    at,
    line,
    wrapped: (text, indent = 0, box = false) => {
      const room = width - 2 * MARGIN - indent;
      const lines = wrapWords(text, (one) => pen.width(one, 9) <= room);
      lines.forEach((one, i) => {
        line(one, { x: MARGIN + indent });
        if (box && i === 0)
          page.drawRectangle({
            x: MARGIN + 3,
            y: y - 0.5,
            width: 7,
            height: 7,
            borderColor: MUTE,
            borderWidth: 0.6,
          });
      });
    },
  };
}

const colourOf = (hex: SittingRow['colour']) => {
  if (!hex) return rgb(0.92, 0.92, 0.92);
  const { r, g, b } = linearRgbOfHex(hex);
  return rgb(srgbSignal(r), srgbSignal(g), srgbSignal(b));
};

const LANE = { height: 20, small: 9 } as const;

/** Hands, brushes and what lies drying, drawn to one scale of hours. */
function drawTimeline(flow: Flow, { rows, makespan, origin }: SittingPrint, width: number): void {
  const room = width - 2 * MARGIN - 50;
  const left = MARGIN + 50;
  const x = (minute: number) => left + (room * minute) / Math.max(makespan, 1);
  const hands = [...new Set(rows.map(({ hand }) => hand))].sort();
  const brushes = [...new Set(rows.flatMap(({ brush }) => brush ?? []))].sort();
  const tall = hands.length * (LANE.height + 4) + brushes.length * (LANE.small + 3) + 24;
  flow.need(tall);
  const step = [10, 20, 30, 60, 120].find((one) => (room * one) / Math.max(makespan, 1) > 40) ?? 120;
  const top = flow.y();
  for (let minute = 0; minute <= makespan; minute += step) {
    flow.page().drawLine({
      start: { x: x(minute), y: top - 12 },
      end: { x: x(minute), y: top - tall + 6 },
      thickness: 0.3,
      color: MUTE,
    });
    flow.pen().text(clockAfter(origin, minute), x(minute) + 2, top - 9, 7, 'plain', MUTE);
  }
  flow.down(14);
  const lane = (label: string, own: readonly SittingRow[], height: number) => {
    flow.down(height + 3);
    flow.at(label, MARGIN, 48, { size: 8 });
    for (const { does, start, end, colour } of own)
      flow.page().drawRectangle({
        x: x(start),
        y: flow.y(),
        width: Math.max(x(end) - x(start) - 0.4, 0.4),
        height,
        color: colourOf(does === 'operation' ? colour : undefined),
        borderColor: MUTE,
        borderWidth: 0.2,
      });
  };
  for (const hand of hands)
    lane(
      hands.length > 1 ? `Hands ${hand + 1}` : 'Hands',
      rows.filter((row) => row.hand === hand),
      LANE.height,
    );
  for (const brush of brushes)
    lane(
      `Brush ${brush}`,
      rows.filter((row) => row.brush === brush),
      LANE.small,
    );
  flow.down(8);
}

/** One piece of work, to be ticked off. */
function drawRow(
  flow: Flow,
  { start, panel, recipe, work, dryAt, colour, does }: SittingRow,
  origin: string,
  width: number,
): void {
  flow.need(LINE);
  flow.down(LINE);
  const room = width - 2 * MARGIN;
  flow.page().drawRectangle({
    x: MARGIN,
    y: flow.y() - 0.5,
    width: 7,
    height: 7,
    borderColor: MUTE,
    borderWidth: 0.6,
  });
  flow.at(clockAfter(origin, start), MARGIN + 12, 40);
  flow.at(String(panel), MARGIN + 46, 24);
  flow.at(recipe, MARGIN + 70, room * 0.28);
  if (does === 'operation' && colour)
    flow.page().drawRectangle({
      x: MARGIN + 70 + room * 0.3,
      y: flow.y() - 1,
      width: 8,
      height: 8,
      color: colourOf(colour),
    });
  flow.at(work, MARGIN + 84 + room * 0.3, room * 0.4);
  if (dryAt !== undefined) flow.at(`dry ${clockAfter(origin, dryAt)}`, MARGIN + room - 52, 52);
}
