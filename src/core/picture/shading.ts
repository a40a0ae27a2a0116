import { BITS, DITHER_SIDE } from './dither';
import type { Ground } from './shades';
import { lightOfByte, srgbByteOf } from './signal';
import type { Details } from './surface/details';
import type { Surface } from './surface/surface';
import { ALL_BARE } from './surface/tiles';

/** A byte of signal has so many parts, and a grain of 1. */
export const PART = 256;

/** How a colour goes with the grain changes slowly: so many pixels side by side share it, as a power of two. */
export const SHARE = 2;

/**
 * Shades of one row, in whole numbers: the colour, three values a pixel of 8-bit signal in 256ths; how it goes with the
 * grain, three of the same for each few pixels; and, where more than a gentle grain is to be shown, how it goes with the
 * grain's square, three more, and with it how much of the grain a coat is. Whole numbers all the way to the pixel are
 * several times as fast as fractions, and finer than the dither.
 */
export interface RowShades {
  readonly colours: Int32Array;
  readonly slopes: Int32Array;
  readonly bends: Int32Array;
}

export const emptyShades = (pixels: number): RowShades => ({
  colours: new Int32Array(3 * pixels),
  slopes: new Int32Array(3 * ((pixels >> SHARE) + 1)),
  bends: new Int32Array(BENDS * ((pixels >> SHARE) + 1)),
});
/** Values that few pixels have among the bends. */
export const BENDS = 4;

/** How much of the shades a row needs: with `bends` all of it. */
export type Depth = 'colours' | 'slopes' | 'bends';

/** What fills rows, and the signal of the bare card. */
export interface Filler {
  readonly ground: Ground;
  /** Fills in one row. Returns whether all of it is as its first pixel, and only that is filled in. */
  readonly fillRow: (row: number, into: RowShades, depth: Depth) => boolean;
}

const OPAQUE = 0xff << 24;
const held = (byte: number): number => (byte < 0 ? 0 : byte > 255 ? 255 : byte);

// Each of the loops is a function of its own, so that it is compiled as one.

/** One row of pixels from its colours and the dither alone. */
export function colourRow(
  pixels: Uint32Array,
  row: number,
  { colours }: RowShades,
  step: number,
  dither: Int32Array,
): void {
  const from = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  for (let column = 0, source = 0; column < pixels.length; column++, source += step) {
    const noise = dither[from + (column & (DITHER_SIDE - 1))];
    const r = ((colours[source] << (BITS - 8)) + noise) >> BITS;
    const g = ((colours[source + 1] << (BITS - 8)) + noise) >> BITS;
    const b = ((colours[source + 2] << (BITS - 8)) + noise) >> BITS;
    pixels[column] = OPAQUE | (held(b) << 16) | (held(g) << 8) | held(r);
  }
}

/** Some of a row's pixels: the first, and the one after the last. */
export interface Stretch {
  readonly begin: number;
  readonly end: number;
}

/**
 * Pixels of one row with a gentle grain, by which colours go straight.
 *
 * @param at  where the row begins in the surface
 */
export function grainRow(
  pixels: Uint32Array,
  row: number,
  { begin, end }: Stretch,
  { colours, slopes }: RowShades,
  { grain, light }: Surface,
  at: number,
  dither: Int32Array,
): void {
  const noises = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  for (let column = begin, source = 3 * begin; column < end; column++, source += 3) {
    const slope = 3 * (column >> SHARE);
    const noise = dither[noises + (column & (DITHER_SIDE - 1))];
    const coat = grain[at + column];
    const lit = 4096 + (light[at + column] << 4);
    let r = (Math.imul(colours[source] + (Math.imul(slopes[slope], coat) >> 8), lit) + noise) >> BITS;
    let g = (Math.imul(colours[source + 1] + (Math.imul(slopes[slope + 1], coat) >> 8), lit) + noise) >> BITS;
    let b = (Math.imul(colours[source + 2] + (Math.imul(slopes[slope + 2], coat) >> 8), lit) + noise) >> BITS;
    if ((r | g | b) & ~0xff) {
      r = held(r);
      g = held(g);
      b = held(b);
    }
    pixels[column] = OPAQUE | (b << 16) | (g << 8) | r;
  }
}

/** `grainRow` where all pixels have the shade of the first, as in a straight run. */
export function evenRow(
  pixels: Uint32Array,
  row: number,
  { begin, end }: Stretch,
  { colours: [red = 0, green = 0, blue = 0], slopes: [slopeR = 0, slopeG = 0, slopeB = 0] }: RowShades,
  { grain, light }: Surface,
  at: number,
  dither: Int32Array,
): void {
  const noises = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  for (let column = begin; column < end; column++) {
    const noise = dither[noises + (column & (DITHER_SIDE - 1))];
    const coat = grain[at + column];
    const lit = 4096 + (light[at + column] << 4);
    let r = (Math.imul(red + (Math.imul(slopeR, coat) >> 8), lit) + noise) >> BITS;
    let g = (Math.imul(green + (Math.imul(slopeG, coat) >> 8), lit) + noise) >> BITS;
    let b = (Math.imul(blue + (Math.imul(slopeB, coat) >> 8), lit) + noise) >> BITS;
    if ((r | g | b) & ~0xff) {
      r = held(r);
      g = held(g);
      b = held(b);
    }
    pixels[column] = OPAQUE | (b << 16) | (g << 8) | r;
  }
}

/** What a row has beside its shades. */
export interface RowSurface {
  readonly surface: Surface;
  /** What lies on this row alone. */
  readonly details: Pick<Details, 'cover' | 'light' | 'shine'>;
  /** Where the row begins in the surface. */
  readonly at: number;
  /** The light of the bare card, 0…1. */
  readonly bare: Ground;
}

/** Pixels of one row with all that a surface can have. Coats are reckoned in 4096ths. */
export function surfaceRow(
  pixels: Uint32Array,
  row: number,
  { begin, end }: Stretch,
  { colours, slopes, bends }: RowShades,
  step: number,
  { surface: { grain, bare, light }, details, at, bare: [bareR, bareG, bareB] }: RowSurface,
  dither: Int32Array,
): void {
  const noises = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  const { cover, light: lights, shine } = details;
  const stride = step === 0 ? 0 : BENDS;
  for (let column = begin, source = step * begin; column < end; column++, source += step) {
    const slope = step * (column >> SHARE);
    const bend = stride * (column >> SHARE);
    const noise = dither[noises + (column & (DITHER_SIDE - 1))];
    const place = at + column;
    const coat = (grain[place] << 4) + ((cover[column] * bends[bend + 3]) >> 3);
    const square = Math.imul(coat, coat) >> 12;
    const lit = 4096 + ((light[place] + lights[column]) << 4);
    let r = colours[source] + ((Math.imul(slopes[slope], coat) + Math.imul(bends[bend], square)) >> 12);
    let g =
      colours[source + 1] + ((Math.imul(slopes[slope + 1], coat) + Math.imul(bends[bend + 1], square)) >> 12);
    let b =
      colours[source + 2] + ((Math.imul(slopes[slope + 2], coat) + Math.imul(bends[bend + 2], square)) >> 12);
    const barer = bare[place];
    if (barer > 0) {
      r = partlyBare(r, bareR, barer);
      g = partlyBare(g, bareG, barer);
      b = partlyBare(b, bareB, barer);
    }
    const shines = shine[column];
    r = ((Math.imul(r, lit) + noise) >> BITS) + shines;
    g = ((Math.imul(g, lit) + noise) >> BITS) + shines;
    b = ((Math.imul(b, lit) + noise) >> BITS) + shines;
    if ((r | g | b) & ~0xff) {
      r = held(r);
      g = held(g);
      b = held(b);
    }
    pixels[column] = OPAQUE | (b << 16) | (g << 8) | r;
  }
}

/** A signal of which a part is bare: area for area, so it is light that is shared. Few pixels ask. */
const partlyBare = (signal: number, ground: number, barer: number): number => {
  const inked = lightOfByte(signal / PART);
  return (PART * srgbByteOf(inked + (ground - inked) * (barer / ALL_BARE))) | 0;
};
