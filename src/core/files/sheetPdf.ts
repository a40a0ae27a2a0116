import fontkit from '@pdf-lib/fontkit';
import {
  clip,
  endPath,
  PDFDocument,
  type PDFFont,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
} from 'pdf-lib';
import QRCode from 'qrcode';
import { formatBare, formatLength, MM_AN_INCH, type Unit } from '../base/length';
import { linearRgbOfHex } from '../materials/colour/hex';
import { srgbSignal } from '../materials/colour/lab';
import type { Ink } from '../materials/ink/ink';
import { isBare } from '../materials/ink/ink';
import { bandsOf, passesInOrder } from '../recipe/recipe';
import { placedPasses, type ResolvedRecipe } from '../recipe/resolved';
import { TOOLS } from '../recipe/tools/tools';
import { compileSheet, type Maker, type Sheet } from '../sheet/compile';
import { givenMarks } from '../sheet/measures';
import { schoolOf } from '../sheet/schoolChoice';
import { describeMinutes } from '../sheet/times';
import { writeRecipeCode } from './recipeCode';

export type Paper = 'A4' | 'Letter';

/** Sizes in points. Source: ISO 216; US Letter is 8½ × 11 in. */
export const PAPERS: Readonly<Record<Paper, readonly [width: number, height: number]>> = {
  A4: [(210 / MM_AN_INCH) * 72, (297 / MM_AN_INCH) * 72],
  Letter: [612, 792],
};

const POINT = 72 / MM_AN_INCH;
const MARGIN = 12 * POINT;
const GAP = 5 * POINT;
/** Room beside the panel for the figures of its marks. */
const MARK_ROOM = 15 * POINT;
const QR_SIZE = 34 * POINT;
const [INK, MUTE] = [rgb(0.07, 0.07, 0.07), rgb(0.32, 0.32, 0.32)];
const SIZES = [9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5];

export interface PdfParts {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly maker: Maker;
  readonly paper: Paper;
  /** The finished panel as a PNG. */
  readonly png: Uint8Array;
  /** TrueType fonts that hold every letter a maker may write. */
  readonly fonts: { readonly plain: Uint8Array; readonly bold: Uint8Array };
}

/**
 * The sheet as a PDF: the panel at true size with its marks, the inks, the steps, and the recipe as a QR code. One page,
 * unless the panel leaves too little of it; a panel larger than the paper is printed smaller, and the page says so.
 */
export async function writeSheetPdf({
  resolved,
  unit,
  maker,
  paper,
  png,
  fonts,
}: PdfParts): Promise<Uint8Array> {
  const { recipe } = resolved;
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(recipe.name);
  document.setCreator('Tint Ladder');
  const plain = await document.embedFont(fonts.plain, { subset: true });
  const bold = await document.embedFont(fonts.bold, { subset: true });
  const picture = await document.embedPng(png);
  const sheet = compileSheet(resolved, unit, maker);
  const [width, height] = PAPERS[paper];
  const page = document.addPage([width, height]);
  const pen = penOn(page, plain, bold);

  pen.text(recipe.name, MARGIN, height - MARGIN - 14, 15, bold);
  pen.text(
    `${formatBare(recipe.panel.width, unit)} × ${formatLength(recipe.panel.height, unit)} of ${resolved.card.name}. ${schoolOf(resolved).label}. ${describeMinutes(sheet.workMinutes)} at the desk, then dry ${describeMinutes(sheet.dryMinutes)}.`,
    MARGIN,
    height - MARGIN - 28,
    8.5,
    plain,
    MUTE,
  );
  const top = height - MARGIN - 38;

  const full = { width: recipe.panel.width * POINT, height: recipe.panel.height * POINT };
  const room = { width: width - 2 * MARGIN - MARK_ROOM, height: top - MARGIN - 2 * POINT };
  const scale = Math.min(1, room.width / full.width, room.height / full.height);
  const panel = {
    x: width - MARGIN - MARK_ROOM - full.width * scale,
    y: top - full.height * scale,
    width: full.width * scale,
    height: full.height * scale,
  };
  page.drawImage(picture, panel);
  drawMarks(pen, resolved, unit, panel, scale);
  if (scale < 1)
    pen.text(
      `The panel is larger than the paper: drawn at ${Math.round(scale * 100)} % of its size.`,
      panel.x,
      panel.y - 9,
      7,
      plain,
      MUTE,
    );

  const columns = columnsAround(panel, top, width);
  const lines = linesOf(resolved, sheet);
  const size = SIZES.find((points) => flow(pen, lines, columns, points, false));
  const code = codeOf(resolved);
  if (size !== undefined) {
    flow(pen, lines, columns, size, true);
    drawCode(pen, code, width - MARGIN - QR_SIZE, MARGIN);
    return document.save();
  }
  const second = penOn(document.addPage([width, height]), plain, bold);
  const half = (width - 2 * MARGIN - GAP) / 2;
  flow(
    second,
    lines,
    [
      { x: MARGIN, top: height - MARGIN, foot: MARGIN, width: half },
      { x: MARGIN + half + GAP, top: height - MARGIN, foot: MARGIN + QR_SIZE + GAP, width: half },
    ],
    8,
    true,
  );
  drawCode(second, code, width - MARGIN - QR_SIZE, MARGIN);
  return document.save();
}

/** Where steps go on the first page: beside the panel and under it, where there is room, the code's corner left free. */
function columnsAround(
  panel: { readonly x: number; readonly y: number },
  top: number,
  width: number,
): Column[] {
  const under = panel.y - GAP;
  const beside = panel.x - MARGIN - GAP;
  const columns: Column[] = [];
  if (beside > LEAST.beside) columns.push({ x: MARGIN, top, foot: MARGIN, width: beside });
  if (under - MARGIN <= LEAST.under) return columns;
  const left = columns.length > 0 ? MARGIN + beside + GAP : MARGIN;
  const foot = MARGIN + QR_SIZE + GAP;
  const wide = width - MARGIN - left;
  if (wide <= LEAST.halved) return [...columns, { x: left, top: under, foot, width: wide }];
  const half = (wide - GAP) / 2;
  return [
    ...columns,
    { x: left, top: under, foot: MARGIN, width: half },
    { x: left + half + GAP, top: under, foot, width: half },
  ];
}

/** The narrowest column beside the panel, the lowest room under it, and the narrowest that is halved, in points. */
const LEAST = { beside: 38 * POINT, under: 18 * POINT, halved: 90 * POINT } as const;

interface Column {
  readonly x: number;
  readonly top: number;
  readonly foot: number;
  readonly width: number;
}

type Pen = ReturnType<typeof penOn>;

/** Draws on one page; letters the fonts do not have become a box instead of an error. */
function penOn(page: PDFPage, plain: PDFFont, bold: PDFFont) {
  const known = new Set(plain.getCharacterSet());
  const clean = (text: string): string =>
    [...text].map((letter) => (known.has(letter.codePointAt(0) ?? 0) ? letter : '□')).join('');
  return {
    page,
    plain,
    bold,
    width: (text: string, size: number, font = plain): number => font.widthOfTextAtSize(clean(text), size),
    text: (text: string, x: number, y: number, size: number, font = plain, color = INK): void =>
      page.drawText(clean(text), { x, y, size, font, color }),
  };
}

const colourOf = ({ overWhite }: Ink) => {
  const { r, g, b } = linearRgbOfHex(overWhite);
  return rgb(srgbSignal(r), srgbSignal(g), srgbSignal(b));
};

/** Marks along the panel's right edge, or across it where the run is no straight one. */
function drawMarks(
  pen: Pen,
  resolved: ResolvedRecipe,
  unit: Unit,
  panel: { x: number; y: number; width: number; height: number },
  scale: number,
): void {
  const { recipe } = resolved;
  const lie = bandsOf(recipe);
  const { page } = pen;
  const traces = passesInOrder(recipe).flatMap((pass) =>
    placedPasses(resolved, pass).flatMap(({ traces }) => traces),
  );
  const given = lie ? givenMarks(recipe, lie, unit) : [];
  const level = lie?.isHorizontal && lie.toward.x === 0;
  page.pushOperators(
    pushGraphicsState(),
    rectangle(panel.x, panel.y, panel.width, panel.height),
    clip(),
    endPath(),
  );
  for (const path of [...traces, ...(lie && !level ? given.map(({ along }) => lie.trace(along)) : [])])
    page.drawSvgPath(path, {
      x: panel.x,
      y: panel.y + panel.height,
      scale: POINT * scale,
      borderColor: INK,
      borderWidth: 0.4 / (POINT * scale),
      borderDashArray: [1.2, 1.2],
    });
  page.pushOperators(popGraphicsState());
  if (!lie) return;
  for (const { along, name: figure } of given) {
    const at = lie.handleAt(along);
    const y = panel.y + panel.height - at.y * POINT * scale;
    const x = panel.x + at.x * POINT * scale;
    const right = panel.x + panel.width;
    if (level)
      page.drawLine({ start: { x: right, y }, end: { x: right + 7, y }, thickness: 0.6, color: INK });
    else page.drawCircle({ x, y, size: 1.2, color: rgb(1, 1, 1), borderColor: INK, borderWidth: 0.4 });
    // On the ink a figure needs paper under it.
    if (!level)
      page.drawRectangle({
        x: x + 2.5,
        y: y - 3.5,
        width: pen.width(figure, 7) + 2,
        height: 8,
        color: rgb(1, 1, 1),
      });
    pen.text(figure, level ? right + 9 : x + 3.5, y - 2.5, 7);
  }
}

/** A piece of the sheet's text: what it begins with, and how it is set. */
interface Line {
  readonly text: string;
  readonly look: 'head' | 'plain' | 'mute';
  readonly swatch?: Ink;
  /** Space above, in lines. */
  readonly above: number;
}

function linesOf(resolved: ResolvedRecipe, sheet: Sheet): Line[] {
  const noun = TOOLS[resolved.recipe.tool].noun;
  const laid = [...resolved.inks, ...resolved.passInks].filter((ink) => !isBare(ink));
  const inks = [...new Map(laid.map((ink) => [ink.id, ink])).values()];
  return [
    { text: 'Inks', look: 'head', above: 0 },
    ...inks.map((ink): Line => ({ text: ink.name, look: 'plain', swatch: ink, above: 0.2 })),
    ...sheet.remarks.map((remark): Line => ({ text: `Mind: ${remark}`, look: 'head', above: 0.6 })),
    ...sheet.steps.flatMap((step, i): Line[] => [
      {
        text: `${i + 1}. ${step.title}${step.brush ? `, ${noun} ${step.brush.letter}` : ''}${step.minutes ? ` (${describeMinutes(step.minutes)})` : ''}`,
        look: 'head',
        above: 0.6,
      },
      { text: step.work, look: 'plain', above: 0 },
      ...(step.layOut
        ? [
            {
              text: `Lay out: ${step.layOut.map(({ thing }) => thing).join('; ')}.`,
              look: 'mute',
              above: 0,
            } as const,
          ]
        : []),
      ...step.care.map((text): Line => ({ text, look: 'mute', above: 0 })),
      ...(step.note ? [{ text: `Note: ${step.note}`, look: 'plain', above: 0 } as const] : []),
    ]),
    ...sheet.cautions.map((text): Line => ({ text: `Take care. ${text}`, look: 'mute', above: 0.8 })),
  ];
}

/** Sets lines into columns one after another, or only finds out whether they fit. */
function flow(
  pen: Pen,
  lines: readonly Line[],
  columns: readonly Column[],
  size: number,
  draw: boolean,
): boolean {
  const leading = size * 1.28;
  let place = 0;
  let column = columns[place];
  if (!column) return false;
  let y = column.top;
  for (const { text, look, swatch, above } of lines) {
    const font = look === 'head' ? pen.bold : pen.plain;
    const indent = swatch ? size * 1.6 : 0;
    y -= above * leading;
    let first = true;
    for (const row of wrapped(pen, text, font, size, column.width - indent)) {
      if (y - leading < column.foot) {
        column = columns[++place];
        if (!column) return false;
        y = column.top;
      }
      y -= leading;
      if (draw) {
        if (swatch && first)
          pen.page.drawRectangle({
            x: column.x,
            y: y - size * 0.15,
            width: size * 1.2,
            height: size * 0.9,
            color: colourOf(swatch),
            borderColor: MUTE,
            borderWidth: 0.3,
          });
        pen.text(row, column.x + indent, y, size, font, look === 'mute' ? MUTE : INK);
      }
      first = false;
    }
  }
  return true;
}

function wrapped(pen: Pen, text: string, font: PDFFont, size: number, width: number): string[] {
  const rows: string[] = [];
  let row = '';
  for (const word of text.split(/\s+/)) {
    const longer = row ? `${row} ${word}` : word;
    if (row && pen.width(longer, size, font) > width) {
      rows.push(row);
      row = word;
    } else row = longer;
  }
  return [...rows, row];
}

/** The recipe's code; undefined where designs of the maker's own make it more than a code holds. */
function codeOf(resolved: ResolvedRecipe): Code | undefined {
  const text = writeRecipeCode(resolved);
  // Source: ISO/IEC 18004, the most bytes of the largest symbol at level L.
  return text.length > 2953 ? undefined : QRCode.create(text, { errorCorrectionLevel: 'L' });
}
type Code = ReturnType<typeof QRCode.create>;

function drawCode(pen: Pen, code: Code | undefined, x: number, y: number): void {
  if (!code) {
    pen.text('Its own designs are too large for a code:', x - 60, y + 10, 7, pen.plain, MUTE);
    pen.text('export the recipe as a file.', x - 60, y + 2, 7, pen.plain, MUTE);
    return;
  }
  const { modules } = code;
  const { page } = pen;
  const cell = QR_SIZE / modules.size;
  pen.text('This recipe: scan it, paste it under Recipes', x, y - 7, 5, pen.plain, MUTE);
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        page.drawRectangle({
          x: x + column * cell,
          y: y + QR_SIZE - (row + 1) * cell,
          width: cell,
          height: cell,
          color: rgb(0, 0, 0),
        });
}
