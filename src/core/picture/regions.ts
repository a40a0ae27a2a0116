import type { Work } from '../engine/layers';
import type { Border } from '../materials/design/placement';
import type { Panel } from '../recipe/panel';

/**
 * On which sides of all borders a place lies: border i adds 2^i where it lies inside. A plain number, for up to 52
 * borders.
 */
export type Side = number;
export const WEIGHT_OF = Float64Array.from({ length: 53 }, (_, i) => 2 ** i);

/** The pixels of a picture and the squares between the nodes it is computed at. */
export interface Tiling {
  readonly panel: Panel;
  readonly width: number;
  readonly height: number;
  readonly columns: number;
  readonly rows: number;
}

/**
 * Stretches of one row of pixels that lie on one side inside one square, from left to right. Each takes `STRETCH`
 * numbers: its first pixel, the one after its last, its column of squares, its side and, where a border runs through its
 * one pixel, the side beyond that and the part of the pixel there in 255ths; sides by their place in `sides`.
 */
export interface Stretches {
  readonly sides: readonly Side[];
  readonly ofRow: (row: number) => Int32Array;
}
export const STRETCH = 6;

/** How far each pixel near one border lies inside it, and how each square lies to it; filled as it is asked for. */
interface Outline {
  readonly state: Uint8Array;
  /** By square the part of each of its pixels inside, in 255ths, row by row; only where the border may cross it. */
  readonly covers: (Uint8Array | undefined)[];
}
const [OUTSIDE, INSIDE, CROSSED] = [1, 2, 3] as const;

/** All borders of a picture together. */
interface Whole {
  readonly sides: Side[];
  readonly places: Map<Side, number>;
  readonly rows: (Int32Array | undefined)[];
}

/** A picture of more pixels is painted once, and what is found for it is not kept. */
const KEPT_UP_TO = 1_000_000;
/** The most outlines that are kept, and pictures. */
const MOST_OUTLINES = 160;
const MOST_WHOLES = 6;
const outlines = new Map<string, Outline>();
const wholes = new Map<string, Whole>();

/** The first pixel of each column or row of squares; one more than there are squares. */
const firstsOf = (pixels: number, nodes: number): Int32Array =>
  Int32Array.from({ length: nodes }, (_, node) =>
    node === nodes - 1 ? pixels : Math.max(Math.ceil((node / (nodes - 1)) * pixels - 0.5), 0),
  );

/**
 * Where the borders of a work run through a picture. While a mark of the blend is dragged, passes stay where they are,
 * and while one pass is dragged the others do: so what is found for small pictures is kept, by border and as a whole.
 */
export function stretchesOf({ borders, borderKeys }: Work, tiling: Tiling): Stretches {
  const { width, height, columns, rows } = tiling;
  const size = `${width} ${height} ${columns} ${rows} ${tiling.panel.width} ${tiling.panel.height}`;
  const whole = wholeOf(`${size} ${borderKeys.join(' ')}`, width * height <= KEPT_UP_TO);
  const [left, top] = [firstsOf(width, columns), firstsOf(height, rows)];
  const look = looker(tiling, left, top);
  let drawing: Drawing | undefined;
  let squares = 0;
  return {
    sides: whole.sides,
    ofRow: (row) => {
      const known = whole.rows[row];
      if (known) return known;
      const drawn = drawing?.drawn ?? borderKeys.map((key) => outlineOf(`${size} ${key}`, tiling));
      drawing ??= { borders, drawn, look, whole, columns, left, top };
      while (squares > 0 && row < (top[squares] as number)) squares--;
      while (row >= (top[squares + 1] as number)) squares++;
      const found = readRow(row, squares, drawing);
      if (width * height <= KEPT_UP_TO) whole.rows[row] = found;
      return found;
    },
  };
}

/** All that a row is read from. */
interface Drawing {
  readonly borders: readonly Border[];
  readonly drawn: readonly Outline[];
  readonly look: Look;
  readonly whole: Whole;
  readonly columns: number;
  readonly left: Int32Array;
  readonly top: Int32Array;
}

function wholeOf(key: string, keeps: boolean): Whole {
  const known = wholes.get(key);
  if (known) return known;
  const whole: Whole = { sides: [], places: new Map(), rows: [] };
  if (!keeps) return whole;
  if (wholes.size >= MOST_WHOLES) wholes.delete(wholes.keys().next().value as string);
  wholes.set(key, whole);
  return whole;
}

function outlineOf(key: string, { width, height, columns, rows }: Tiling): Outline {
  const known = outlines.get(key);
  if (known) return known;
  const outline: Outline = { state: new Uint8Array(columns * rows), covers: [] };
  if (width * height > KEPT_UP_TO) return outline;
  if (outlines.size >= MOST_OUTLINES) outlines.delete(outlines.keys().next().value as string);
  outlines.set(key, outline);
  return outline;
}

type Look = (border: Border, outline: Outline, column: number, row: number) => number;

/** Looks how a square lies to a border, and where the border may cross it, how each of its pixels does. */
function looker(tiling: Tiling, left: Int32Array, top: Int32Array): Look {
  const { panel, width, height, columns, rows } = tiling;
  const [stepX, stepY] = [panel.width / (columns - 1), panel.height / (rows - 1)];
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  // No border comes nearer to a square's middle than its corners are, or it may cross it.
  const reach = Math.hypot(stepX, stepY) / 2 + 0.1 * Math.max(stepX, stepY);
  return (border, { state, covers }, column, row) => {
    const square = row * columns + column;
    const far = border((column + 0.5) * stepX, (row + 0.5) * stepY);
    const found = far > reach ? INSIDE : far < -reach ? OUTSIDE : CROSSED;
    state[square] = found;
    if (found !== CROSSED) return found;
    const [fromX, toX] = [left[column] as number, left[column + 1] as number];
    const [fromY, toY] = [top[row] as number, top[row + 1] as number];
    const cover = new Uint8Array((toX - fromX) * (toY - fromY));
    for (let y = fromY, at = 0; y < toY; y++)
      for (let x = fromX; x < toX; x++, at++) {
        const part = border((x + 0.5) * acrossPixel, (y + 0.5) * downPixel) / acrossPixel + 0.5;
        cover[at] = part <= 0 ? 0 : part >= 1 ? 255 : 1 + part * 253.99;
      }
    covers[square] = cover;
    return found;
  };
}

/** The stretches of one row, which lies in one row of squares. */
function readRow(row: number, squares: number, drawing: Drawing): Int32Array {
  const { borders, drawn, look, whole, columns, left, top } = drawing;
  const found: number[] = [];
  const crossed: number[] = [];
  for (let column = 0; column < columns - 1; column++) {
    let plain = 0;
    crossed.length = 0;
    for (let i = 0; i < borders.length; i++) {
      const outline = drawn[i] as Outline;
      const known = outline.state[squares * columns + column] as number;
      const state = known === 0 ? look(borders[i] as Border, outline, column, squares) : known;
      if (state === INSIDE) plain += WEIGHT_OF[i] as number;
      else if (state === CROSSED) crossed.push(i);
    }
    const to = left[column + 1] as number;
    let begun = left[column] as number;
    // Where this row of the square begins among its pixels, less the square's first pixel.
    const shift = (row - (top[squares] as number)) * (to - begun) - begun;
    let running = plain;
    if (crossed.length > 0)
      for (let pixel = begun; pixel < to; pixel++) {
        let side = plain;
        let split = 0;
        let part = 255;
        for (let i = 0; i < crossed.length; i++) {
          const border = crossed[i] as number;
          const cover = (drawn[border] as Outline).covers[squares * columns + column] as Uint8Array;
          const covered = cover[shift + pixel] as number;
          if (covered === 0) continue;
          const weight = WEIGHT_OF[border] as number;
          // Where two borders run through one pixel, the one nearer to its middle is drawn soft.
          if (covered < 255 && Math.abs(covered - 127) < Math.abs(part - 127)) {
            if (split > 0 && part >= 128) side += split;
            split = weight;
            part = covered;
          } else if (covered >= 128) side += weight;
        }
        if (part === 255 && side === running) continue;
        if (begun < pixel) found.push(begun, pixel, column, placeOf(whole, running), 0, 255);
        begun = pixel;
        running = side;
        if (part === 255) continue;
        found.push(pixel, pixel + 1, column, placeOf(whole, side), placeOf(whole, side + split), part);
        begun = pixel + 1;
      }
    if (begun < to) found.push(begun, to, column, placeOf(whole, running), 0, 255);
  }
  return Int32Array.from(found);
}

/** The place of a side among those of a picture; a new one is put at the end. */
function placeOf({ sides, places }: Whole, side: Side): number {
  const known = places.get(side);
  if (known !== undefined) return known;
  places.set(side, sides.length);
  return sides.push(side) - 1;
}
