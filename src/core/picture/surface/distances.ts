import type { Border } from '../../materials/design/placement';

/** Pixels smaller than that, mm, are finer than a border bends: only every second is asked, and the mean lies between. */
const FINE = 0.1;

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
export function distancesAt(
  border: Border,
  { left, top, columns, rows }: Rectangle,
  pixelWidth: number,
  pixelHeight: number,
  into: Float64Array,
): void {
  const step = pixelWidth < FINE ? 2 : 1;
  for (let row = 0; row < rows; row++) {
    // The last of each row and the last row have no neighbour beyond, and are asked themselves.
    if (step === 2 && row % 2 === 1 && row < rows - 1) continue;
    const y = (top + row + 0.5) * pixelHeight;
    const from = row * columns;
    for (let column = 0; column < columns; column += step)
      into[from + column] = border((left + column + 0.5) * pixelWidth, y);
    if (step === 1) continue;
    if (columns % 2 === 0) into[from + columns - 1] = border((left + columns - 0.5) * pixelWidth, y);
    for (let column = 1; column < columns - 1; column += 2)
      into[from + column] = 0.5 * (into[from + column - 1] + into[from + column + 1]);
  }
  if (step === 1) return;
  for (let row = 1; row < rows - 1; row += 2)
    for (let at = row * columns; at < (row + 1) * columns; at++)
      into[at] = 0.5 * (into[at - columns] + into[at + columns]);
}
