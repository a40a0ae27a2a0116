import type { ColourField } from './field';
import { type PixelRuns, RUN_FIELDS } from './regions';
import { SHADE } from './shades';
import { BENDS, type Depth, type Filler, PART, type RowShades, SHARE } from './shading';

/** Anything but bands alone: shades between the nodes of a field, sharp where a border runs. */
export function betweenNodes(field: ColourField, runs: PixelRuns, width: number, height: number): Filler {
  const { columns, rows } = field;
  /** How far across its square each pixel lies, 0…1. */
  const across = Float32Array.from({ length: width }, (_, pixel) => {
    const u = ((pixel + 0.5) / width) * (columns - 1);
    return u - Math.min(Math.floor(u), columns - 2);
  });
  return {
    ground: field.ground,
    fillRow: (row, into, depth) => {
      const v = ((row + 0.5) / height) * (rows - 1);
      const top = Math.min(Math.floor(v), rows - 2);
      fillRuns(into, across, field, runs.regions, runs.ofRow(row), top, v - top, depth);
      return false;
    },
  };
}

/** One row from its runs of pixels: each takes its region's shades, and on a border both regions' in part. */
function fillRuns(
  into: RowShades,
  across: Float32Array,
  field: ColourField,
  regions: PixelRuns['regions'],
  row: Int32Array,
  top: number,
  down: number,
  depth: Depth,
): void {
  const { colours } = into;
  const next = SHADE * field.columns;
  for (let i = 0; i < row.length; i += RUN_FIELDS) {
    const from = row[i];
    const to = row[i + 1];
    const column = row[i + 2];
    const part = row[i + 5];
    const node = SHADE * (top * field.columns + column);
    const signal = field.cornersOf(regions[row[i + 3]], column, top);
    fillColours(colours, across, from, to, signal, node, next, down);
    if (depth !== 'colours') fillSlopes(into, from, to, signal, node, next, down, depth);
    if (part === 255) continue;
    const at = 3 * from;
    const r = colours[at];
    const g = colours[at + 1];
    const b = colours[at + 2];
    const beyond = field.cornersOf(regions[row[i + 4]], column, top);
    fillColours(colours, across, from, to, beyond, node, next, down);
    colours[at] = r + ((colours[at] - r) * part) / 255;
    colours[at + 1] = g + ((colours[at + 1] - g) * part) / 255;
    colours[at + 2] = b + ((colours[at + 2] - b) * part) / 255;
  }
}

/** Some of one row's pixels in a square, between the four nodes of one region. */
function fillColours(
  colours: Int32Array,
  across: Float32Array,
  from: number,
  to: number,
  signal: Float32Array,
  node: number,
  next: number,
  down: number,
): void {
  const up = 1 - down;
  const right = node + SHADE;
  const r = PART * (up * signal[node] + down * signal[node + next]);
  const g = PART * (up * signal[node + 1] + down * signal[node + next + 1]);
  const b = PART * (up * signal[node + 2] + down * signal[node + next + 2]);
  const dr = PART * (up * signal[right] + down * signal[right + next]) - r;
  const dg = PART * (up * signal[right + 1] + down * signal[right + next + 1]) - g;
  const db = PART * (up * signal[right + 2] + down * signal[right + next + 2]) - b;
  for (let pixel = from, at = 3 * from; pixel < to; pixel++, at += 3) {
    const t = across[pixel];
    colours[at] = r + t * dr;
    colours[at + 1] = g + t * dg;
    colours[at + 2] = b + t * db;
  }
}

/**
 * How the colour goes with the grain hardly changes over a square: all of its pixels have that of its middle, and the few
 * that they share with the next square that of the next.
 */
function fillSlopes(
  { slopes, bends }: RowShades,
  from: number,
  to: number,
  signal: Float32Array,
  node: number,
  next: number,
  down: number,
  depth: Depth,
): void {
  const r = middleOf(signal, node + 3, next, down);
  const g = middleOf(signal, node + 4, next, down);
  const b = middleOf(signal, node + 5, next, down);
  const [first, last] = [from >> SHARE, (to - 1) >> SHARE];
  for (let few = first, at = 3 * few; few <= last; few++, at += 3) {
    slopes[at] = r;
    slopes[at + 1] = g;
    slopes[at + 2] = b;
  }
  if (depth !== 'bends') return;
  const bendR = middleOf(signal, node + 6, next, down);
  const bendG = middleOf(signal, node + 7, next, down);
  const bendB = middleOf(signal, node + 8, next, down);
  const coat = middleOf(signal, node + 9, next, down);
  for (let few = first, at = BENDS * few; few <= last; few++, at += BENDS) {
    bends[at] = bendR;
    bends[at + 1] = bendG;
    bends[at + 2] = bendB;
    bends[at + 3] = coat;
  }
}

/** One value of a shade, halfway across a square. */
const middleOf = (signal: Float32Array, at: number, next: number, down: number): number =>
  0.5 *
  PART *
  ((1 - down) * (signal[at] + signal[at + SHADE]) + down * (signal[at + next] + signal[at + next + SHADE]));
