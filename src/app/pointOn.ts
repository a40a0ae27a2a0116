import type { RefObject } from 'react';
import type { Point, Size } from '../core/base/geometry';

/** A place in the window, px, as a pointer tells it. */
export interface Pointed {
  readonly clientX: number;
  readonly clientY: number;
}

/** Where a pointer stands on a panel or a picture, in its own measure from its top left corner; held inside it. */
export function pointOn(
  board: RefObject<Element | null>,
  { width, height }: Size,
  { clientX, clientY }: Pointed,
): Point {
  const box = board.current?.getBoundingClientRect();
  if (!box || box.width === 0) return { x: 0, y: 0 };
  const hold = (part: number) => Math.min(Math.max(part, 0), 1);
  return {
    x: hold((clientX - box.left) / box.width) * width,
    y: hold((clientY - box.top) / box.height) * height,
  };
}
