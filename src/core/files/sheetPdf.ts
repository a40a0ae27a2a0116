import {
  clip,
  endPath,
  fill,
  type PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setFillingRgbColor,
} from 'pdf-lib';
import QRCode from 'qrcode';
import { formatBare, formatLength, type Millimetres, type Unit } from '../base/length';
import { spread } from '../base/spread';
import { wrapWords } from '../base/words';
import { linearRgbOfHex } from '../materials/colour/hex';
import { srgbSignal } from '../materials/colour/lab';
import type { Ink } from '../materials/ink/ink';
import { isBare } from '../materials/ink/ink';
import type { Picture } from '../picture/paint';
import { bandsOf, passesInOrder } from '../recipe/recipe';
import { placedPasses, type ResolvedRecipe } from '../recipe/resolved';
import { TOOLS } from '../recipe/tools/tools';
import { compileSheet, describeTimes, type Maker, type Sheet } from '../sheet/compile';
import { givenMarks } from '../sheet/measures';
import { schoolOf } from '../sheet/schoolChoice';
import { shareCare } from '../sheet/sharedCare';
import { tellStrayNote } from '../sheet/strayNotes';
import { describeMinutes } from '../sheet/times';
import { PAPERS, type Paper, POINT } from './papers';
import { bytesOf, drawPicture, embedPicture, newPdf, type PdfPicture, packed } from './pdfParts';
import { embedFaces, type Faces, INK, type Look, MUTE, type Pen, penOn, type SheetFonts } from './pdfPen';
import { writeRecipeCode } from './recipeCode';
import type { Stage } from './stagePictures';

const MARGIN = 12 * POINT;
/** Names of marks stand so far apart, points. */
const FIGURE_LINE = 8.5;
const GAP = 5 * POINT;
/** Room beside the panel for the figures of its marks. */
const MARK_ROOM = 15 * POINT;
const QR_SIZE = 34 * POINT;
const SIZES = [9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5];

/** What a sheet is printed from. */
export interface SheetParts {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly maker: Maker;
  readonly paper: Paper;
  /** The finished panel. */
  readonly picture: Picture;
  /** The panel after each step that changes it, small. */
  readonly stages: readonly Stage[];
}

/**
 * The sheet as a PDF to be pinned up: the panel at true size with its marks, the inks, the steps with a small picture of
 * each stage, room for notes, and the recipe as a QR code. One page, unless the panel leaves too little of it; a panel
 * larger than the paper is printed smaller, and the page says so.
 */
export async function writeSheetPdf({
  fonts,
  ...parts
}: SheetParts & { readonly fonts: SheetFonts }): Promise<Uint8Array> {
  const document = await newPdf(parts.resolved.recipe.name);
  await drawSheet(document, await embedFaces(document, fonts), parts);
  return bytesOf(document);
}

/** Puts the pages of a sheet behind those that a document has. */
export async function drawSheet(
  document: PDFDocument,
  faces: Faces,
  { resolved, unit, maker, paper, picture, stages }: SheetParts,
): Promise<void> {
  const { recipe } = resolved;
  // Pictures are packed on a thread of the platform's own, while lines are tried here.
  const packing = Promise.all([picture, ...stages.map((stage) => stage.picture)].map(packed));
  const sheet = compileSheet(resolved, unit, maker);
  const { width: across, height: down } = PAPERS[paper];
  const [width, height] = [across * POINT, down * POINT];
  const page = document.addPage([width, height]);
  const pen = penOn(page, faces);

  pen.text(recipe.name, MARGIN, height - MARGIN - 14, 15, 'bold');
  pen.text(
    `${formatBare(recipe.panel.width, unit)} × ${formatLength(recipe.panel.height, unit)} of ${resolved.card.name}. ${schoolOf(resolved).label}. ${describeTimes(sheet)}.`,
    MARGIN,
    height - MARGIN - 28,
    8.5,
    'italic',
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
  if (scale < 1)
    pen.text(
      `The panel is larger than the paper: drawn at ${Math.round(scale * 100)} % of its size.`,
      panel.x,
      panel.y - 9,
      7,
      'plain',
      MUTE,
    );

  const columns = columnsAround(panel, top, width);
  const lines = linesOf(resolved, sheet);
  const fits = (points: number, notes: number): boolean => {
    const left = flow(pen, lines, columns, points, false);
    return left !== undefined && noteLines(left) >= notes;
  };
  const size = SIZES.find((points) => fits(points, NOTES_WANTED)) ?? SIZES.find((points) => fits(points, 0));
  const code = codeOf(resolved);
  const [large, ...small] = (await packing).map((one) => embedPicture(document, one));
  if (large) drawPicture(page, large, panel);
  drawMarks(pen, resolved, unit, panel, scale);
  const pictures = stages.flatMap(({ step }, i): StagePicture[] => {
    const stage = small[i];
    return stage ? [{ step, picture: stage }] : [];
  });
  const foot = (on: Pen) => {
    drawStages(on, pictures, width);
    drawCode(on, code, width - MARGIN - QR_SIZE, MARGIN);
  };
  if (size !== undefined) {
    const left = flow(pen, lines, columns, size, true);
    if (left) drawNotes(pen, left);
    foot(pen);
    return;
  }
  const second = penOn(document.addPage([width, height]), faces);
  const half = (width - 2 * MARGIN - GAP) / 2;
  const column = { top: height - MARGIN, foot: FOOT, width: half };
  const left = flow(
    second,
    lines,
    [
      { x: MARGIN, ...column },
      { x: MARGIN + half + GAP, ...column },
    ],
    8,
    true,
  );
  if (left) drawNotes(second, left);
  foot(second);
}

/** Above this the steps are set; below it stand the stages and the recipe's code. */
const FOOT = MARGIN + QR_SIZE + GAP;

/** Where steps go on the first page: beside the panel and under it, where there is room, above the foot. */
function columnsAround(
  panel: { readonly x: number; readonly y: number },
  top: number,
  width: number,
): Column[] {
  const under = panel.y - GAP;
  const beside = panel.x - MARGIN - GAP;
  const columns: Column[] = [];
  if (beside > LEAST.beside) columns.push({ x: MARGIN, top, foot: FOOT, width: beside });
  if (under - FOOT <= LEAST.under) return columns;
  const left = columns.length > 0 ? MARGIN + beside + GAP : MARGIN;
  const wide = width - MARGIN - left;
  if (wide <= LEAST.halved) return [...columns, { x: left, top: under, foot: FOOT, width: wide }];
  const half = (wide - GAP) / 2;
  return [
    ...columns,
    { x: left, top: under, foot: FOOT, width: half },
    { x: left + half + GAP, top: under, foot: FOOT, width: half },
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

/** How high and how wide apart the pictures of the stages stand, and how many rows of them there is room for. */
const STAGE = { height: 13.5 * POINT, apart: 12.2 * POINT, row: 17 * POINT, rows: 2 } as const;

interface StagePicture {
  readonly step: number;
  readonly picture: PdfPicture;
}

/** The panel after each step that changes it, numbered as the steps are, along the foot of the page. */
function drawStages(pen: Pen, pictures: readonly StagePicture[], width: number): void {
  const room = width - 2 * MARGIN - QR_SIZE - GAP;
  const across = Math.floor(room / STAGE.apart);
  // The last ones matter least where there are more than there is room for: they hardly differ.
  pictures.slice(0, across * STAGE.rows).forEach(({ step, picture }, i) => {
    const scale = Math.min(STAGE.height / picture.height, (STAGE.apart - 4) / picture.width);
    const x = MARGIN + (i % across) * STAGE.apart;
    const top = FOOT - GAP - Math.floor(i / across) * STAGE.row;
    const size = { width: picture.width * scale, height: picture.height * scale };
    drawPicture(pen.page, picture, { x, y: top - size.height, ...size });
    pen.page.drawRectangle({ x, y: top - size.height, ...size, borderColor: MUTE, borderWidth: 0.25 });
    pen.text(String(step), x, top - size.height - 7, 6, 'bold');
  });
}

/** How far apart lines for notes stand, and how many there are to be, if need be by smaller letters above them. */
const NOTE_LINE = 6.5 * POINT;
const NOTES_WANTED = 3;

const noteLines = ({ column, y }: Left): number => Math.floor((y - NOTE_LINE - column.foot) / NOTE_LINE);

/** Ruled lines in what is left of a column. */
function drawNotes(pen: Pen, { column, y }: Left): void {
  const lines = noteLines({ column, y });
  if (lines < 1) return;
  const top = y - NOTE_LINE;
  pen.text('Notes', column.x, top + 2, 7, 'bold', MUTE);
  for (let i = 1; i <= lines; i++)
    pen.page.drawLine({
      start: { x: column.x, y: top - i * NOTE_LINE + 4 },
      end: { x: column.x + column.width, y: top - i * NOTE_LINE + 4 },
      thickness: 0.3,
      color: MUTE,
    });
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
  const level = lie?.isHorizontal;
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
  const marks = given
    .map(({ along, name }) => ({ name, at: lie.handleAt(along) }))
    .toSorted((p, q) => q.at.y - p.at.y);
  const heightOf = (y: Millimetres): number => panel.y + panel.height - y * POINT * scale;
  // Names of marks that lie nearer than a line are moved apart.
  const told = spread(
    marks.map(({ at }) => heightOf(at.y)),
    FIGURE_LINE,
    [panel.y, panel.y + panel.height],
  );
  for (const [i, { name, at }] of marks.entries()) {
    const y = heightOf(at.y);
    const nameY = told[i] ?? y;
    const x = panel.x + at.x * POINT * scale;
    const right = panel.x + panel.width;
    if (level)
      page.drawLine({ start: { x: right, y }, end: { x: right + 7, y }, thickness: 0.6, color: INK });
    else page.drawCircle({ x, y, size: 1.2, color: rgb(1, 1, 1), borderColor: INK, borderWidth: 0.4 });
    // On the ink a figure needs paper under it.
    if (!level)
      page.drawRectangle({
        x: x + 2.5,
        y: nameY - 3.5,
        width: pen.width(name, 7) + 2,
        height: 8,
        color: rgb(1, 1, 1),
      });
    pen.text(name, level ? right + 9 : x + 3.5, nameY - 2.5, 7);
  }
}

/** A piece of the sheet's text: what it begins with, and how it is set. */
interface Line {
  readonly text: string;
  readonly look: 'head' | 'plain' | 'mute' | 'italic';
  readonly swatch?: Ink;
  /** Space above, in lines. */
  readonly above: number;
}

function linesOf(resolved: ResolvedRecipe, sheet: Sheet): Line[] {
  const { shared, steps } = shareCare(sheet.steps);
  const noun = TOOLS[resolved.recipe.tool].noun;
  const laid = [...resolved.inks, ...resolved.passInks].filter((ink) => !isBare(ink));
  const inks = [...new Map(laid.map((ink) => [ink.id, ink])).values()];
  return [
    { text: 'Inks', look: 'head', above: 0 },
    ...inks.map((ink): Line => ({ text: ink.name, look: 'plain', swatch: ink, above: 0.2 })),
    ...sheet.remarks.map((remark): Line => ({ text: `Mind: ${remark}`, look: 'head', above: 0.6 })),
    ...shared.map(
      ({ when, lines }, i): Line => ({
        text: `${when}: ${lines.join(' ')}`,
        look: 'italic',
        above: i === 0 ? 0.6 : 0.2,
      }),
    ),
    ...sheet.cautions.map(
      (text, i): Line => ({ text: `Take care. ${text}`, look: 'mute', above: i === 0 ? 0.6 : 0.2 }),
    ),
    ...steps.flatMap((step, i): Line[] => [
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
    ...sheet.strayNotes.map((stray): Line => ({ text: tellStrayNote(stray), look: 'plain', above: 0.6 })),
  ];
}

/** Where the lines ended, and in which column. */
interface Left {
  readonly column: Column;
  readonly y: number;
}

/** Sets lines into columns one after another, or only finds out whether they fit; undefined where they do not. */
function flow(
  pen: Pen,
  lines: readonly Line[],
  columns: readonly Column[],
  size: number,
  draw: boolean,
): Left | undefined {
  const leading = size * 1.28;
  let place = 0;
  let column = columns[place];
  if (!column) return undefined;
  let y = column.top;
  for (const { text, look, swatch, above } of lines) {
    const face: Look = look === 'head' ? 'bold' : look === 'italic' ? 'italic' : 'plain';
    const indent = swatch ? size * 1.6 : 0;
    y -= above * leading;
    let first = true;
    for (const row of wrapped(pen, text, face, size, column.width - indent)) {
      if (y - leading < column.foot) {
        column = columns[++place];
        if (!column) return undefined;
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
        pen.text(row, column.x + indent, y, size, face, look === 'mute' ? MUTE : INK);
      }
      first = false;
    }
  }
  return { column, y };
}

const wrapped = (pen: Pen, text: string, font: Look, size: number, width: number): string[] =>
  wrapWords(text, (line) => pen.width(line, size, font) <= width);

/** The recipe's code; undefined where designs of the maker's own make it more than a code holds. */
function codeOf(resolved: ResolvedRecipe): Code | undefined {
  const text = writeRecipeCode(resolved);
  // Source: ISO/IEC 18004, the most bytes of the largest symbol at level L.
  return text.length > 2953 ? undefined : QRCode.create(text, { errorCorrectionLevel: 'L' });
}
type Code = ReturnType<typeof QRCode.create>;

function drawCode(pen: Pen, code: Code | undefined, x: number, y: number): void {
  if (!code) {
    pen.text('Its own designs are too large for a code:', x - 60, y + 10, 7, 'plain', MUTE);
    pen.text('export the recipe as a file.', x - 60, y + 2, 7, 'plain', MUTE);
    return;
  }
  const { modules } = code;
  const { page } = pen;
  const cell = QR_SIZE / modules.size;
  pen.text('This recipe: scan it, paste it under Recipes', x, y - 7, 5, 'plain', MUTE);
  // One path for all of its thousands of squares.
  page.pushOperators(pushGraphicsState(), setFillingRgbColor(0, 0, 0));
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        page.pushOperators(rectangle(x + column * cell, y + QR_SIZE - (row + 1) * cell, cell, cell));
  page.pushOperators(fill(), popGraphicsState());
}
