import { type Design, flatten, type Loop, type Shape } from './design';

/** An even grid of square cells over a design and a margin around it. */
export interface Grid {
  readonly columns: number;
  readonly rows: number;
  /** Side of a cell, mm. */
  readonly cell: number;
  /** Cells of margin on each side. */
  readonly margin: number;
}

/** Rows looked at within one cell: a cell's coverage is exact across and told by so many steps down. */
const SUBROWS = 4;

/**
 * How much of each cell of a grid a design covers, 0…1, row by row.
 *
 * @param tiled  whether its neighbours in a repeat reach into the margin
 */
export function coverageOfDesign(design: Design, grid: Grid, tiled: boolean): Float32Array {
  const cells = new Float32Array(grid.columns * grid.rows);
  const own = new Float32Array(cells.length);
  const shifts = tiled ? [-1, 0, 1] : [0];
  for (const shape of design.shapes) {
    const loops = outlinesOf(shape);
    const bounds = boundsOf(loops);
    for (const down of shifts)
      for (const across of shifts) {
        const shift = { x: across * design.width, y: down * design.height };
        const part = cellsOf(bounds, shift, grid);
        if (part.left >= part.right || part.top >= part.foot) continue;
        fill(own, grid, loops, shape.rule, shift);
        merge(cells, own, grid.columns, part, shape.erases ?? false);
      }
  }
  return cells;
}

interface Part {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly foot: number;
}

/** Lays one shape onto those before it, and wipes what it was drawn on. */
function merge(cells: Float32Array, own: Float32Array, columns: number, part: Part, erases: boolean): void {
  for (let row = part.top; row < part.foot; row++)
    for (let i = row * columns + part.left; i < row * columns + part.right; i++) {
      const covered = own[i];
      if (covered === 0) continue;
      own[i] = 0;
      const [before, full] = [cells[i], covered > 1 ? 1 : covered];
      cells[i] = erases ? before * (1 - full) : before > full ? before : full;
    }
}

/** Leftmost, rightmost, topmost and lowest place of loops, mm. */
function boundsOf(loops: readonly Loop[]): Part {
  let [left, right, top, foot] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const loop of loops)
    for (let i = 0; i < loop.length; i += 2) {
      left = Math.min(left, loop[i]);
      right = Math.max(right, loop[i]);
      top = Math.min(top, loop[i + 1]);
      foot = Math.max(foot, loop[i + 1]);
    }
  return { left, right, top, foot };
}

/** The cells that a part of the design in mm, moved, can touch. */
function cellsOf({ left, right, top, foot }: Part, shift: { x: number; y: number }, grid: Grid): Part {
  const { cell, margin, columns, rows } = grid;
  const low = (mm: number) => Math.max(Math.floor(mm / cell + margin), 0);
  const high = (mm: number, most: number) => Math.min(Math.ceil(mm / cell + margin) + 1, most);
  return {
    left: low(left + shift.x),
    right: high(right + shift.x, columns),
    top: low(top + shift.y),
    foot: high(foot + shift.y, rows),
  };
}

/** What of a shape is filled: its own loops, or the band along each piece of its line. */
function outlinesOf(shape: Shape): readonly Loop[] {
  const loops = flatten(shape.d);
  if (shape.stroke === undefined) return loops.map(({ loop }) => loop);
  const half = shape.stroke / 2;
  return loops.flatMap(({ loop, closed }) => {
    const bands: Loop[] = [];
    const last = loop.length - 2;
    for (let i = 0; i < last; i += 2) bands.push(...band(loop, i, i + 2, half));
    if (closed) bands.push(...band(loop, last, 0, half));
    return bands;
  });
}

const ROUND = 12;

/** A piece of a line with its round end; both turn the same way, so that overlaps add up. */
function band(loop: Loop, i: number, j: number, half: number): Loop[] {
  const [x, y, u, v] = [loop[i], loop[i + 1], loop[j], loop[j + 1]] as [number, number, number, number];
  const long = Math.hypot(u - x, v - y);
  const dot = (cx: number, cy: number): Loop =>
    Float64Array.from({ length: 2 * ROUND }, (_, k) => {
      const angle = (Math.PI * (k - (k % 2))) / ROUND;
      return k % 2 === 0 ? cx + half * Math.cos(angle) : cy + half * Math.sin(angle);
    });
  if (long === 0) return [dot(x, y)];
  const [nx, ny] = [(-(v - y) / long) * half, ((u - x) / long) * half];
  const box = Float64Array.of(x - nx, y - ny, u - nx, v - ny, u + nx, v + ny, x + nx, y + ny);
  return [box, dot(x, y), dot(u, v)];
}

/** Adds what loops cover to cells, by the crossings of each sub-row with their edges. */
function fill(
  cells: Float32Array,
  { columns, rows, cell, margin }: Grid,
  loops: readonly Loop[],
  rule: Shape['rule'],
  shift: { readonly x: number; readonly y: number },
): void {
  const lines = rows * SUBROWS;
  const crossings: (number[] | undefined)[] = new Array(lines);
  const lineOf = (y: number): number => ((y + shift.y) / cell + margin) * SUBROWS - 0.5;
  const columnOf = (x: number): number => (x + shift.x) / cell + margin;
  for (const loop of loops) {
    const count = loop.length / 2;
    for (let i = 0; i < count; i++) {
      const j = (i + 1) % count;
      const [y0, y1] = [lineOf(loop[2 * i + 1]), lineOf(loop[2 * j + 1])];
      if (y0 === y1) continue;
      const [x0, x1] = [columnOf(loop[2 * i]), columnOf(loop[2 * j])];
      const turn = y1 > y0 ? 1 : -1;
      const from = Math.max(Math.ceil(Math.min(y0, y1)), 0);
      const to = Math.min(Math.ceil(Math.max(y0, y1)), lines);
      for (let line = from; line < to; line++) {
        crossings[line] ??= [];
        crossings[line]?.push(x0 + ((line - y0) / (y1 - y0)) * (x1 - x0), turn);
      }
    }
  }
  crossings.forEach((found, line) => {
    if (found) fillLine(cells, Math.floor(line / SUBROWS) * columns, columns, found, rule);
  });
}

function fillLine(
  cells: Float32Array,
  from: number,
  columns: number,
  found: readonly number[],
  rule: Shape['rule'],
): void {
  const order = Array.from({ length: found.length / 2 }, (_, i) => 2 * i).sort((p, q) => found[p] - found[q]);
  let winding = 0;
  let start = 0;
  for (const at of order) {
    const was = rule === 'nonzero' ? winding !== 0 : winding % 2 !== 0;
    winding += found[at + 1];
    const is = rule === 'nonzero' ? winding !== 0 : winding % 2 !== 0;
    if (!was && is) start = found[at];
    if (was && !is) addSpan(cells, from, columns, start, found[at]);
  }
}

function addSpan(cells: Float32Array, row: number, columns: number, from: number, to: number): void {
  const [left, right] = [Math.max(from, 0), Math.min(to, columns)];
  for (let column = Math.floor(left); column < right; column++) {
    const covered = Math.min(right, column + 1) - Math.max(left, column);
    cells[row + column] = cells[row + column] + covered / SUBROWS;
  }
}
