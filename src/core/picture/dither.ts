import { memo } from '../base/memo';
import { seededRandom } from '../base/random';

/** Side of the dither in pixels; a power of two, so that it repeats by masking. */
export const DITHER_SIDE = 256;
/** A colour, in 256ths, times a light, in 4096ths, stands so many bits higher than a pixel. */
export const BITS = 20;

const SEED = 2005;

/** Half a pixel's step of noise and the half that rounding adds, as high as a colour times a light. */
export const ditherTile = memo(1, (): Int32Array => {
  const random = seededRandom(SEED);
  return Int32Array.from({ length: DITHER_SIDE ** 2 }, () => Math.round(2 ** BITS * random()));
});
