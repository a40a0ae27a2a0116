import type { LinearRgb } from '../../materials/colour/lab';

/** A picture of pixels, its top row first. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  /** sRGB, four bytes a pixel. */
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** A rectangle of a picture in pixels, both corners included; corners may come in any order. */
export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** Linear light of each of the 256 signals. Source: IEC 61966-2-1. */
export const LINEAR = Float64Array.from({ length: 256 }, (_, signal) => {
  const v = signal / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** Linear-light colour of one pixel. */
export function pixelAt({ width, data }: Pixels, x: number, y: number): LinearRgb {
  const at = (y * width + x) * 4;
  return {
    r: LINEAR[data[at]],
    g: LINEAR[data[at + 1]],
    b: LINEAR[data[at + 2]],
  };
}

/** The box with its corners in order and inside the picture. */
export function boxInside({ width, height }: Pixels, { x0, y0, x1, y1 }: Box): Box {
  const hold = (value: number, most: number) => Math.min(Math.max(Math.round(value), 0), most);
  return {
    x0: hold(Math.min(x0, x1), width - 1),
    y0: hold(Math.min(y0, y1), height - 1),
    x1: hold(Math.max(x0, x1), width - 1),
    y1: hold(Math.max(y0, y1), height - 1),
  };
}
