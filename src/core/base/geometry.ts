import type { Millimetres } from './length';

/** A place on a panel or a drawing, mm from its top left corner. */
export interface Point {
  readonly x: Millimetres;
  readonly y: Millimetres;
}

/** Width and height of something that lies level. */
export interface Size {
  readonly width: Millimetres;
  readonly height: Millimetres;
}

/** Whether a point lies within a size, its edges included. */
const liesWithin = ({ x, y }: Point, { width, height }: Size): boolean =>
  x >= 0 && y >= 0 && x <= width && y <= height;

/** The way from one point to another, as far as it lies within a size; the other point itself where the first lies beyond it. */
export function endWithin(from: Point, to: Point, size: Size): Point {
  if (liesWithin(to, size) || !liesWithin(from, size)) return to;
  const [across, down] = [to.x - from.x, to.y - from.y];
  const partOf = (at: number, step: number, most: number): number =>
    step === 0 ? 1 : Math.max(-at, Math.min(most - at, step)) / step;
  const part = Math.min(partOf(from.x, across, size.width), partOf(from.y, down, size.height));
  return { x: from.x + part * across, y: from.y + part * down };
}
