import type { Size } from './geometry';
import type { Millimetres } from './length';

/** An even grid of about square cells over a panel. */
export interface Cells {
  readonly columns: number;
  readonly rows: number;
  /** A cell's size. */
  readonly width: Millimetres;
  readonly height: Millimetres;
}

/** However narrow the panel, it has so many columns and rows. */
const LEAST = 8;

/** @param most  cells along the panel's longer side */
export function cellsOf({ width, height }: Size, most: number): Cells {
  const along = (side: Millimetres) => Math.max(Math.round((most * side) / Math.max(width, height)), LEAST);
  const [columns, rows] = [along(width), along(height)];
  return { columns, rows, width: width / columns, height: height / rows };
}

/** The middles of the cells, row by row, mm from the panel's top left corner. */
export const middlesOf = ({
  columns,
  rows,
  width,
  height,
}: Cells): (readonly [x: Millimetres, y: Millimetres])[] =>
  Array.from({ length: columns * rows }, (_, i) => [
    ((i % columns) + 0.5) * width,
    (Math.floor(i / columns) + 0.5) * height,
  ]);

/** The middles of an even grid of so many cells along the panel's longer side. */
export const gridOf = (panel: Size, most: number) => middlesOf(cellsOf(panel, most));
