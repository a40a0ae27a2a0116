import type { ColourField } from './field';
import { type PixelRuns, type RegionMask, RUN_FIELDS } from './regions';
import { forRuns, type RowLoops } from './rowLoops';
import { SHADE } from './shades';
import { type Depth, type Filler, MOST_SQUARES, PART, type RowShades, RUN, SQUARE } from './shading';

/** Anything but bands alone: shades between the nodes of a field, sharp where a border runs. */
export function betweenNodes(
  field: ColourField,
  pixels: PixelRuns,
  width: number,
  height: number,
  loops: RowLoops,
): Filler {
  const { columns, rows } = field;
  const across = (columns - 1) / width;
  let squares: SquareRow | undefined;
  return {
    ground: field.ground,
    fillRow: (row, into, depth) => {
      const v = ((row + 0.5) / height) * (rows - 1);
      const top = Math.min(Math.floor(v), rows - 2);
      if (squares?.top !== top || squares.depth !== depth)
        squares = squareRow(field, pixels.regions, top, depth);
      const lay = (count: number) => loops.layRuns(into, count, across, v - top, depth);
      const count = squares.take(pixels.ofRow(row), into, lay);
      lay(count);
      return false;
    },
  };
}

/** The squares of one row of them, filled in as they are asked for: what they hold serves each row of pixels through them. */
interface SquareRow {
  readonly top: number;
  readonly depth: Depth;
  /**
   * Puts the runs of a row of pixels where they are laid from, with their squares.
   *
   * @param lay  lays the first so many, where there is no more room
   * @returns    how many are still to be laid
   */
  readonly take: (row: Int32Array, into: RowShades, lay: (count: number) => void) => number;
}

function squareRow(field: ColourField, regions: readonly RegionMask[], top: number, depth: Depth): SquareRow {
  /** Where each square of a region lies, one more, by column and the region's place; 0 where it is not there yet. */
  let places = new Int32Array(regions.length * field.columns);
  let held = 0;
  const empty = (): void => {
    places.fill(0);
    held = 0;
  };
  let taken: Int32Array | undefined;
  const mine: SquareRow = {
    top,
    depth,
    take: (row, { runs, squares }, lay) => {
      const all = row.length / RUN_FIELDS;
      const isMine = squares.heldFor === mine;
      // Most rows lie as the one before.
      if (isMine && taken === row) return all;
      if (!isMine) empty();
      squares.heldFor = mine;
      // A row may have regions that no row before it had.
      if (places.length < regions.length * field.columns) {
        const before = places;
        places = new Int32Array(regions.length * field.columns);
        places.set(before);
      }
      const placeOf = (region: number, column: number): number => {
        const key = region * field.columns + column;
        const known = places[key];
        if (known > 0) return known - 1;
        const place = held++;
        places[key] = held;
        const signal = field.cornersOf(regions[region], column, top);
        fillSquare(
          squares.values,
          SQUARE * place,
          signal,
          SHADE * (top * field.columns + column),
          SHADE * field.columns,
          depth,
        );
        return place;
      };
      taken = row;
      let run = 0;
      for (let i = 0; i < row.length; i += RUN_FIELDS) {
        if (held + 2 > MOST_SQUARES) {
          lay(run / RUN);
          empty();
          taken = undefined;
          run = 0;
        }
        const column = row[i + 2];
        const part = row[i + 5];
        runs[run] = row[i];
        runs[run + 1] = row[i + 1];
        runs[run + 2] = placeOf(row[i + 3], column);
        runs[run + 3] = column;
        runs[run + 4] = part < 255 ? placeOf(row[i + 4], column) : 0;
        runs[run + 5] = part;
        run += RUN;
      }
      return run / RUN;
    },
  };
  return mine;
}

/**
 * A square between four nodes. How the colour goes with the grain hardly changes over it: all of its pixels in a row have
 * that of its middle, and the few that they share with the next square that of the next.
 */
function fillSquare(
  into: Float64Array,
  at: number,
  signal: Float32Array,
  node: number,
  next: number,
  depth: Depth,
): void {
  const right = node + SHADE;
  for (let i = 0; i < 3; i++) {
    const upper = forRuns(signal[node + i]);
    const lower = forRuns(signal[node + next + i]);
    const upperMore = forRuns(signal[right + i]) - upper;
    const lowerMore = forRuns(signal[right + next + i]) - lower;
    into[at + 2 * i] = upper;
    into[at + 2 * i + 1] = lower - upper;
    into[at + 6 + 2 * i] = upperMore;
    into[at + 6 + 2 * i + 1] = lowerMore - upperMore;
  }
  const values = depth === 'bends' ? SHADE : depth === 'slopes' ? 6 : 3;
  for (let i = 3; i < values; i++) {
    const upper = 0.5 * PART * (signal[node + i] + signal[right + i]);
    const lower = 0.5 * PART * (signal[node + next + i] + signal[right + next + i]);
    into[at + 6 + 2 * i] = upper;
    into[at + 6 + 2 * i + 1] = lower - upper;
  }
}
