import { srgbSignal } from '../materials/colour/lab';

const LEVELS = 4096;
/** 8-bit signal, not yet rounded, by the square root of linear light, which keeps the darks apart. */
const SIGNAL = Float32Array.from({ length: LEVELS + 1 }, (_, i) => 255 * srgbSignal((i / LEVELS) ** 2));

/** Linear light 0…1 as 8-bit sRGB signal, not yet rounded; by table, for millions of pixels. */
export const srgbByteOf = (linear: number): number =>
  SIGNAL[(linear <= 0 ? 0 : linear >= 1 ? LEVELS : Math.sqrt(linear) * LEVELS) | 0];

/** How much the signal changes for a change of light, both as fractions: the slope of the sRGB curve, nearly. */
export const SIGNAL_SLOPE = 1 / 2.2;
