import { srgbLinear, srgbSignal } from '../materials/colour/lab';

const LEVELS = 4096;
/** 8-bit signal, not yet rounded, by the square root of linear light, which keeps the darks apart. */
const SIGNAL = Float32Array.from({ length: LEVELS + 1 }, (_, i) => 255 * srgbSignal((i / LEVELS) ** 2));

/** Linear light 0…1 as 8-bit sRGB signal, not yet rounded; by table, for millions of pixels. */
export const srgbByteOf = (linear: number): number =>
  SIGNAL[(linear <= 0 ? 0 : linear >= 1 ? LEVELS : Math.sqrt(linear) * LEVELS) | 0];

const BYTE_PARTS = 8;
/** Linear light by signal in eighths of a byte. */
const LIGHT = Float32Array.from({ length: 255 * BYTE_PARTS + 1 }, (_, i) =>
  srgbLinear(i / (255 * BYTE_PARTS)),
);

/** 8-bit sRGB signal as linear light 0…1; by table. */
export const lightOfByte = (byte: number): number =>
  LIGHT[(byte <= 0 ? 0 : byte >= 255 ? 255 * BYTE_PARTS : byte * BYTE_PARTS + 0.5) | 0];
