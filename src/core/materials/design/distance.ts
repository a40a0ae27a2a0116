import type { Millimetres } from '../../base/length';
import { memoOf } from '../../base/memo';
import type { Design } from './design';
import { coverageOfDesign, type Grid } from './raster';

/** How far each cell's middle of a grid lies from a design's outline, mm; positive inside. */
export interface DistanceField extends Grid {
  readonly far: Float32Array;
}

/** Cells along a design's longer side, by use: fine enough that an outline stays crisp at 300 dpi. */
const CELLS = { image: 720, pattern: 720, edge: 480 } as const;
/** Margin, mm, by use: ink fades away from an edge stencil, and a repeat shows a little of its neighbours. */
const MARGIN = { image: 2, pattern: 2, edge: 45 } as const;

/** A design's distances, measured once as long as the design lives. */
export const distanceFieldOf = memoOf((design: Design): DistanceField => measure(design, CELLS[design.use]));

/** Distances to a design's outline on a grid of so many cells along its longer side. */
export function measure(design: Design, cells: number): DistanceField {
  const cell = Math.max(design.width, design.height) / cells;
  const margin = Math.ceil(MARGIN[design.use] / cell);
  const grid: Grid = {
    columns: Math.ceil(design.width / cell) + 2 * margin,
    rows: Math.ceil(design.height / cell) + 2 * margin,
    cell,
    margin,
  };
  const covered = coverageOfDesign(design, grid, design.use === 'pattern');
  return { ...grid, far: signedDistances(covered, grid) };
}

/**
 * Signed distance of every cell's middle to the outline that coverages tell, mm. A cell that is covered in part holds
 * the outline within itself, so distances are finer than a cell.
 */
export function signedDistances(covered: Float32Array, { columns, rows, cell }: Grid): Float32Array {
  const outside = new Float64Array(covered.length);
  const inside = new Float64Array(covered.length);
  for (let i = 0; i < covered.length; i++) {
    const part = Math.min(covered[i], 1);
    outside[i] = part >= 1 ? 0 : part <= 0 ? FAR : Math.max(0, 0.5 - part) ** 2;
    inside[i] = part <= 0 ? 0 : part >= 1 ? FAR : Math.max(0, part - 0.5) ** 2;
  }
  spread(outside, columns, rows);
  spread(inside, columns, rows);
  const far = new Float32Array(covered.length);
  for (let i = 0; i < far.length; i++) {
    const cells = Math.sqrt(inside[i]) - Math.sqrt(outside[i]);
    far[i] = cell * Math.max(Math.min(cells, LIMIT), -LIMIT);
  }
  return far;
}
const FAR = 1e20;
const LIMIT = 1e5;

/**
 * Squared distance of every cell to the nearest one that holds 0, in place; others add what they hold.
 * Source: P. F. Felzenszwalb, D. P. Huttenlocher, Theory of Computing 8 (2012) 415.
 */
function spread(squares: Float64Array, columns: number, rows: number): void {
  const most = Math.max(columns, rows);
  const work = {
    line: new Float64Array(most),
    seat: new Int32Array(most),
    border: new Float64Array(most + 1),
  };
  for (let column = 0; column < columns; column++) alongLine(squares, column, columns, rows, work);
  for (let row = 0; row < rows; row++) alongLine(squares, row * columns, 1, columns, work);
}

interface Work {
  readonly line: Float64Array;
  /** The lower envelope's parabolas, by the place of each, and from where on each is the lowest. */
  readonly seat: Int32Array;
  readonly border: Float64Array;
}

function alongLine(
  squares: Float64Array,
  from: number,
  stride: number,
  count: number,
  { line, seat, border }: Work,
): void {
  let last = 0;
  seat[0] = 0;
  border[0] = -FAR;
  border[1] = FAR;
  line[0] = squares[from];
  for (let place = 1; place < count; place++) {
    const value = squares[from + place * stride];
    line[place] = value;
    let meets: number;
    do {
      const other = seat[last];
      meets = (value - line[other] + place * place - other * other) / (2 * (place - other));
    } while (meets <= border[last] && --last > -1);
    last++;
    seat[last] = place;
    border[last] = meets;
    border[last + 1] = FAR;
  }
  for (let place = 0, at = 0; place < count; place++) {
    while (border[at + 1] < place) at++;
    const other = seat[at];
    squares[from + place * stride] = line[other] + (place - other) * (place - other);
  }
}

/** Distance to the outline at a point of the design's box, mm, between the cells' middles; positive inside. */
export function distanceAt(field: DistanceField, x: Millimetres, y: Millimetres): Millimetres {
  const { columns, rows, cell, margin, far } = field;
  const u = x / cell + margin - 0.5;
  const v = y / cell + margin - 0.5;
  const heldU = u < 0 ? 0 : u > columns - 1.001 ? columns - 1.001 : u;
  const heldV = v < 0 ? 0 : v > rows - 1.001 ? rows - 1.001 : v;
  const left = heldU | 0;
  const top = heldV | 0;
  const across = heldU - left;
  const down = heldV - top;
  const at = top * columns + left;
  const upper = far[at] + across * (far[at + 1] - far[at]);
  const low = at + columns;
  const lower = far[low] + across * (far[low + 1] - far[low]);
  const found = upper + down * (lower - upper);
  if (u === heldU && v === heldV) return found;
  // Beyond the grid nothing is drawn: at least as far as the grid is, and never nearer than the triangle allows.
  const beyond = cell * Math.hypot(u - heldU, v - heldV);
  return -Math.max(beyond, -found - beyond);
}
