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
