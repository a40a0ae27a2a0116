import { formatBare, formatLength, type Millimetres, type Unit } from '../../base/length';
import { seededRandom } from '../../base/random';
import { listed } from '../../base/words';
import type { Piece } from './pieces';

/** The sheets pieces are cut from. */
export interface Sheet {
  readonly width: Millimetres;
  readonly height: Millimetres;
}

/** A piece where it lies on its sheet, from the sheet's top left corner. */
export interface Placed {
  readonly name: string;
  readonly x: Millimetres;
  readonly y: Millimetres;
  readonly width: Millimetres;
  readonly height: Millimetres;
  /** Whether it lies turned by a quarter. */
  readonly turned: boolean;
  /** Which way it is scored through its middle, as it lies, where it is to be folded. */
  readonly score?: Cut['way'];
}

/** One cut right through the piece in hand, as a trimmer makes it. */
export interface Cut {
  /** Across the width of the piece in hand (a level line), or down its height. */
  readonly way: 'across' | 'down';
  /** How far from the top, or from the left, of the piece in hand. */
  readonly at: Millimetres;
  /** The line on the whole sheet. */
  readonly from: { readonly x: Millimetres; readonly y: Millimetres };
  readonly to: { readonly x: Millimetres; readonly y: Millimetres };
  /** What lies on either side of it, in words: above it or to its left, and below it or to its right. */
  readonly before: string;
  readonly after: string;
}

export interface CutSheet {
  readonly placed: readonly Placed[];
  readonly cuts: readonly Cut[];
}

export interface CutPlan {
  readonly sheet: Sheet;
  readonly sheets: readonly CutSheet[];
  /** Part of the sheets' area that is no piece, 0…1. */
  readonly waste: number;
}

/** Pieces of one plan at the most. */
export const MAX_PIECES = 400;
/** Lengths nearer than this are one: a trimmer is not finer. */
const EXACT: Millimetres = 0.01;

/** Something about the pieces or the sheet that makes a plan impossible; the message says what and what to do. */
export class CannotCut extends Error {
  override readonly name = 'CannotCut';
}

/**
 * Lays pieces on as few sheets as can be found, so that each comes off by cuts right through.
 *
 * @param grain  keep every piece the way round it is given, so that the grain runs alike in all
 * @param unit  what lengths are told in when it is refused
 * @throws CannotCut when a piece is larger than the sheet, or there are too many
 * Source of cutting each box through along the piece in its corner: J. Jylänki, A Thousand Ways to Pack the Bin (2010).
 */
export function planCuts(sheet: Sheet, pieces: readonly Piece[], grain = false, unit: Unit = 'mm'): CutPlan {
  const tell = ({ width, height }: Sheet) => `${formatBare(width, unit)} × ${formatLength(height, unit)}`;
  const count = pieces.reduce((sum, piece) => sum + piece.count, 0);
  if (count === 0) throw new CannotCut('There is nothing to cut. Ask for one piece at least.');
  if (count > MAX_PIECES)
    throw new CannotCut(`${count} pieces are too many for one plan: ${MAX_PIECES} at most.`);
  for (const piece of pieces) {
    const fits = piece.width <= sheet.width + EXACT && piece.height <= sheet.height + EXACT;
    const fitsTurned = !grain && piece.height <= sheet.width + EXACT && piece.width <= sheet.height + EXACT;
    if (!fits && !fitsTurned)
      throw new CannotCut(
        `${piece.name}, ${tell(piece)}, is larger than the sheet of ${tell(sheet)}${grain ? ' with its grain kept' : ''}. Take a larger sheet.`,
      );
  }
  const best = POWERS.map((power) => packAll(sheet, pieces, grain, power)).reduce((one, other) =>
    isBetter(other, one) ? other : one,
  );
  const sheets = best.map((placed) => ({ placed, cuts: cutsOf(placed, sheet) }));
  const used = pieces.reduce((sum, { width, height, count: times }) => sum + times * width * height, 0);
  return { sheet, sheets, waste: 1 - used / (sheets.length * sheet.width * sheet.height) };
}

/** How many fillings of a sheet are tried before the fullest is kept. */
const FILLINGS = 400;
/** After so many without a fuller one, no more are tried. */
const PATIENCE = 70;
/**
 * By which power of its area a piece counts when fillings are compared. Above 1, large pieces go before many small ones,
 * which find room later; what is best depends on the pieces, so each is tried.
 */
const POWERS = [1, 1.15, 1.4] as const;
const SEED = 1912;

/** Sheets filled one after another, each as full as can be found from what is left. */
function packAll(sheet: Sheet, pieces: readonly Piece[], grain: boolean, power: number): Placed[][] {
  const random = seededRandom(SEED);
  const sheets: Placed[][] = [];
  const left = Int32Array.from(pieces, ({ count }) => count);
  while (left.some((count) => count > 0)) {
    const { placed, used } = fullest(sheet, pieces, left, { grain, power, random });
    sheets.push(placed);
    used.forEach((count, i) => {
      left[i] = (left[i] as number) - count;
    });
  }
  return sheets;
}

interface Filling {
  readonly placed: Placed[];
  /** How many of each piece are on it. */
  readonly used: Int32Array;
  readonly area: number;
}

function fullest(
  sheet: Sheet,
  pieces: readonly Piece[],
  left: Int32Array,
  { grain, power, random }: { grain: boolean; power: number; random: () => number },
): Filling {
  const whole = sheet.width * sheet.height;
  const all = pieces.reduce((sum, { width, height }, i) => sum + width * height * (left[i] as number), 0);
  const worth = pieces.map(({ width, height }) => (width * height) ** power);
  const worthOf = ({ used }: Filling) =>
    used.reduce((sum, count, i) => sum + count * (worth[i] as number), 0);
  let best: Filling | undefined;
  let most = 0;
  let since = 0;
  for (let attempt = 0; attempt < FILLINGS && since < PATIENCE; attempt++) {
    const filling = fillOnce(sheet, pieces, left, grain, attempt === 0 ? () => 0 : random);
    const value = worthOf(filling);
    since++;
    if (!best || value > most) {
      best = filling;
      most = value;
      since = 0;
    }
    if (best.area > Math.min(all, whole) * (1 - 1e-6)) break;
  }
  return best as Filling;
}

interface Box extends Sheet {
  readonly x: Millimetres;
  readonly y: Millimetres;
}

/** Fills a sheet once: a piece into the corner of each box, the box cut through along it, then both rests the same way. */
function fillOnce(
  sheet: Sheet,
  pieces: readonly Piece[],
  left: Int32Array,
  grain: boolean,
  random: () => number,
): Filling {
  const used = new Int32Array(pieces.length);
  const placed: Placed[] = [];
  let area = 0;
  const fill = (box: Box): void => {
    const choice = choose(box, pieces, left, used, grain, random);
    if (choice < 0) return;
    const index = choice >> 1;
    const { name, width: w, height: h, fold } = pieces[index] as Piece;
    const turned = (choice & 1) === 1;
    const [width, height] = turned ? [h, w] : [w, h];
    used[index] = (used[index] as number) + 1;
    area += width * height;
    const score = (fold === 'side') !== turned ? 'down' : 'across';
    placed.push({ name, x: box.x, y: box.y, width, height, turned, ...(fold ? { score } : {}) });
    const [right, below] = [box.width - width, box.height - height];
    const beside = { x: box.x + width, y: box.y, width: right };
    const under = { x: box.x, y: box.y + height, height: below };
    // Along the side that leaves the larger rest whole, mostly.
    const across = random() < 0.3 ? right < below : right * height < below * width;
    const rests: Box[] = across
      ? [
          { ...beside, height },
          { ...under, width: box.width },
        ]
      : [
          { ...under, width },
          { ...beside, height: box.height },
        ];
    for (const rest of rests) if (rest.width > EXACT && rest.height > EXACT) fill(rest);
  };
  fill({ x: 0, y: 0, ...sheet });
  return { placed, used, area };
}

/**
 * The piece that goes into the corner of a box: one that fills a side of it before others, large ones before small, and
 * some chance, so that each filling is another.
 *
 * @returns twice its place, and one more where it is turned; −1 where none fits
 */
function choose(
  box: Box,
  pieces: readonly Piece[],
  left: Int32Array,
  used: Int32Array,
  grain: boolean,
  random: () => number,
): number {
  let best = -1;
  let most = Number.NEGATIVE_INFINITY;
  const area = box.width * box.height;
  for (let index = 0; index < pieces.length; index++) {
    if ((left[index] as number) <= (used[index] as number)) continue;
    const { width: w, height: h } = pieces[index] as Piece;
    for (let turn = 0; turn < (grain || w === h ? 1 : 2); turn++) {
      const width = turn === 1 ? h : w;
      const height = turn === 1 ? w : h;
      if (width > box.width + EXACT || height > box.height + EXACT) continue;
      const fillsSide = box.width - width < EXACT || box.height - height < EXACT;
      const worth = (width * height) / area + (fillsSide ? 0.6 : 0) + 0.7 * random();
      if (worth <= most) continue;
      most = worth;
      best = 2 * index + turn;
    }
  }
  return best;
}

/** Fewer sheets, then less on the last one: what is left of it is worth keeping. */
function isBetter(one: readonly Placed[][], other: readonly Placed[][]): boolean {
  if (one.length !== other.length) return one.length < other.length;
  const onLast = (sheets: readonly Placed[][]) =>
    (sheets.at(-1) ?? []).reduce((sum, { width, height }) => sum + width * height, 0);
  return onLast(one) < onLast(other);
}

/**
 * The cuts that set the pieces of one sheet free, in the order they are made: each goes right through the piece in hand.
 *
 * @throws Error when the pieces do not lie so, which a guillotine packing never does
 */
export function cutsOf(placed: readonly Placed[], sheet: Sheet): Cut[] {
  const cuts: Cut[] = [];
  const split = (
    inside: readonly Placed[],
    box: { x: number; y: number; width: number; height: number },
  ): void => {
    if (inside.length === 0) return;
    const [only] = inside;
    if (inside.length === 1 && only && isAll(only, box)) return;
    const cut = throughCut(inside, box);
    if (!cut) throw new Error('the pieces cannot be set free by cuts right through');
    const { way, at } = cut;
    const [first, second] =
      way === 'across'
        ? [
            { ...box, height: at - box.y },
            { ...box, y: at, height: box.y + box.height - at },
          ]
        : [
            { ...box, width: at - box.x },
            { ...box, x: at, width: box.x + box.width - at },
          ];
    const before = inside.filter((piece) =>
      way === 'across' ? piece.y + piece.height <= at + EXACT : piece.x + piece.width <= at + EXACT,
    );
    const after = inside.filter((piece) => !before.includes(piece));
    cuts.push({
      way,
      at: way === 'across' ? at - box.y : at - box.x,
      from: way === 'across' ? { x: box.x, y: at } : { x: at, y: box.y },
      to: way === 'across' ? { x: box.x + box.width, y: at } : { x: at, y: box.y + box.height },
      before: describePart(before),
      after: describePart(after),
    });
    split(before, first as typeof box);
    split(after, second as typeof box);
  };
  split(placed, { x: 0, y: 0, width: sheet.width, height: sheet.height });
  return cuts;
}

const isAll = (piece: Placed, box: { x: number; y: number; width: number; height: number }): boolean =>
  Math.abs(piece.width - box.width) < 3 * EXACT && Math.abs(piece.height - box.height) < 3 * EXACT;

function describePart(pieces: readonly Placed[]): string {
  if (pieces.length === 0) return 'offcut';
  const counts = new Map<string, number>();
  for (const { name } of pieces) counts.set(name, (counts.get(name) ?? 0) + 1);
  return listed([...counts].map(([name, count]) => (count > 1 ? `${count} × ${name}` : name)));
}

/** A line that goes right through the box without touching a piece: the one nearest its start, across before down. */
function throughCut(
  inside: readonly Placed[],
  box: { x: number; y: number; width: number; height: number },
): { way: Cut['way']; at: Millimetres } | undefined {
  const tries = (['across', 'down'] as const).flatMap((way) => {
    const [start, size] = way === 'across' ? (['y', 'height'] as const) : (['x', 'width'] as const);
    const end = box[start] + box[size];
    const lines = inside.flatMap((piece) => [piece[start], piece[start] + piece[size]]);
    return lines
      .filter((at) => at > box[start] + EXACT && at < end - EXACT)
      .filter((at) =>
        inside.every((piece) => piece[start] >= at - EXACT || piece[start] + piece[size] <= at + EXACT),
      )
      .map((at) => ({ way, at, from: at - box[start] }));
  });
  return tries.sort((p, q) => p.from - q.from)[0];
}
