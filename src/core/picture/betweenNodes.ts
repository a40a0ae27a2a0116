import type { ColourField } from './field';
import { type PixelRuns, RUN_FIELDS } from './regions';
import { forRuns, type RowLoops } from './rowLoops';
import { SHADE } from './shades';
import { BENDS, type Depth, type Filler, PART, type RowShades, RUN, SHARE } from './shading';

/** Anything but bands alone: shades between the nodes of a field, sharp where a border runs. */
export function betweenNodes(
  field: ColourField,
  runs: PixelRuns,
  width: number,
  height: number,
  loops: RowLoops,
): Filler {
  const { columns, rows } = field;
  /** How far across its square each pixel lies, 0…1. */
  const across = Float32Array.from({ length: width }, (_, pixel) => {
    const u = ((pixel + 0.5) / width) * (columns - 1);
    return u - Math.min(Math.floor(u), columns - 2);
  });
  const step = (columns - 1) / width;
  return {
    ground: field.ground,
    fillRow: (row, into, depth) => {
      const v = ((row + 0.5) / height) * (rows - 1);
      const top = Math.min(Math.floor(v), rows - 2);
      const found = runs.ofRow(row);
      fillRuns(into, across, step, field, runs.regions, found, top, v - top, depth);
      loops.layRuns(into, found.length / RUN_FIELDS);
      return false;
    },
  };
}

/** One row's runs of pixels: each takes its region's shades, and on a border both regions' in part. */
function fillRuns(
  into: RowShades,
  across: Float32Array,
  step: number,
  field: ColourField,
  regions: PixelRuns['regions'],
  row: Int32Array,
  top: number,
  down: number,
  depth: Depth,
): void {
  const next = SHADE * field.columns;
  for (let i = 0, run = 0; i < row.length; i += RUN_FIELDS, run += RUN) {
    const from = row[i];
    const to = row[i + 1];
    const column = row[i + 2];
    const part = row[i + 5];
    const node = SHADE * (top * field.columns + column);
    const signal = field.cornersOf(regions[row[i + 3]], column, top);
    layRun(into.runs, run, from, to, across[from], step, signal, node, next, down);
    if (depth !== 'colours') fillSlopes(into, from, to, signal, node, next, down, depth);
    if (part === 255) continue;
    const { runs } = into;
    const r = runs[run + 2];
    const g = runs[run + 3];
    const b = runs[run + 4];
    const beyond = field.cornersOf(regions[row[i + 4]], column, top);
    layRun(runs, run, from, to, across[from], step, beyond, node, next, down);
    runs[run + 2] = r + ((runs[run + 2] - r) * part) / 255;
    runs[run + 3] = g + ((runs[run + 3] - g) * part) / 255;
    runs[run + 4] = b + ((runs[run + 4] - b) * part) / 255;
  }
}

/** Some of one row's pixels in a square, between the four nodes of one region. */
function layRun(
  runs: Int32Array,
  run: number,
  from: number,
  to: number,
  across: number,
  step: number,
  signal: Float32Array,
  node: number,
  next: number,
  down: number,
): void {
  const up = 1 - down;
  const right = node + SHADE;
  const r = forRuns(up * signal[node] + down * signal[node + next]);
  const g = forRuns(up * signal[node + 1] + down * signal[node + next + 1]);
  const b = forRuns(up * signal[node + 2] + down * signal[node + next + 2]);
  const dr = forRuns(up * signal[right] + down * signal[right + next]) - r;
  const dg = forRuns(up * signal[right + 1] + down * signal[right + next + 1]) - g;
  const db = forRuns(up * signal[right + 2] + down * signal[right + next + 2]) - b;
  runs[run] = from;
  runs[run + 1] = to;
  runs[run + 2] = r + across * dr;
  runs[run + 3] = g + across * dg;
  runs[run + 4] = b + across * db;
  runs[run + 5] = step * dr;
  runs[run + 6] = step * dg;
  runs[run + 7] = step * db;
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
