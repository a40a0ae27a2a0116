import type { Size } from '../../base/geometry';
import type { Border } from '../../materials/design/placement';

/** Pixels smaller than that, mm, are finer than a border bends: only every second is asked, and the mean lies between. */
const FINE = 0.1;
/** Who asks by blocks asks for pixels beyond the picture's right and lower edge, so many at the most. */
const BEYOND = 10;

/** A rectangle of pixels: its first column and row, and how many of each. */
export interface Rectangle {
  readonly left: number;
  readonly top: number;
  readonly columns: number;
  readonly rows: number;
}

/**
 * How far inside a border each pixel of a rectangle lies, mm.
 *
 * @param into  row by row; written over
 */
export type DistancesAt = (border: Border, of: Rectangle, into: Float64Array) => void;

/** Tells how far inside borders the pixels of one picture lie, whoever asks: each border is asked once at each place. */
export function distancesOn(panel: Size, width: number, height: number): DistancesAt {
  const [pixelWidth, pixelHeight] = [panel.width / width, panel.height / height];
  const step = pixelWidth < FINE ? 2 : 1;
  const [across, down] = [Math.ceil((width + BEYOND) / step), Math.ceil((height + BEYOND) / step)];
  const asked = new Map<Border, Float32Array>();
  let [above, below] = [new Float64Array(0), new Float64Array(0)];

  /** Some places of one row of those that are asked, from a pixel on, with the means between them. */
  const fillRow = (
    border: Border,
    known: Float32Array,
    row: number,
    { left, columns }: Rectangle,
    into: Float64Array,
    from: number,
  ): void => {
    const y = (row * step + 0.5) * pixelHeight;
    const at = (place: number): number => {
      const here = row * across + place;
      if (Number.isNaN(known[here])) known[here] = border((place * step + 0.5) * pixelWidth, y);
      return known[here];
    };
    if (step === 1) {
      for (let column = 0; column < columns; column++) into[from + column] = at(left + column);
      return;
    }
    const first = left >> 1;
    let here = at(first);
    for (let column = 0, place = first; column < columns; column++) {
      if (((left + column) & 1) === 0) {
        into[from + column] = here;
        continue;
      }
      const next = at(++place);
      into[from + column] = 0.5 * (here + next);
      here = next;
    }
  };

  return (border, of, into) => {
    const { top, columns, rows } = of;
    let known = asked.get(border);
    if (!known) {
      known = new Float32Array(across * down).fill(Number.NaN);
      asked.set(border, known);
    }
    if (above.length < columns) [above, below] = [new Float64Array(columns), new Float64Array(columns)];
    for (let row = 0; row < rows; row++)
      if (step === 1 || ((top + row) & 1) === 0)
        fillRow(border, known, (top + row) / step, of, into, row * columns);
    if (step === 1) return;
    for (let row = (top & 1) === 0 ? 1 : 0; row < rows; row += 2) {
      const from = row * columns;
      // The first and the last row may have their neighbour outside.
      if (row === 0) fillRow(border, known, (top - 1) / 2, of, above, 0);
      if (row === rows - 1) fillRow(border, known, (top + row + 1) / 2, of, below, 0);
      for (let column = 0; column < columns; column++) {
        const upper = row === 0 ? above[column] : into[from + column - columns];
        const lower = row === rows - 1 ? below[column] : into[from + column + columns];
        into[from + column] = 0.5 * (upper + lower);
      }
    }
  };
}
