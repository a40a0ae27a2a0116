import { BITS, DITHER_SIDE, ditherTile } from './dither';
import type { Ground } from './shades';
import { lightOfByte, srgbByteOf } from './signal';
import type { Details } from './surface/details';
import type { Surface } from './surface/surface';
import { ALL_BARE } from './surface/tiles';

/** A byte of signal has so many parts, and a grain of 1. */
export const PART = 256;

/** How a colour goes with the grain changes slowly: so many pixels side by side share it, as a power of two. */
export const SHARE = 2;

/** So many pixels. */
export const FEW = 1 << SHARE;

/**
 * Shades of one row, in whole numbers: the colour of each pixel, in 256ths of 8-bit signal; how it goes with the grain,
 * three of the same for each few pixels; and, where more than a gentle grain is to be shown, how it goes with the grain's
 * square, three more, and with it how much of the grain a coat is. Beside them, what colours are laid from.
 */
export interface RowShades {
  readonly reds: Int32Array;
  readonly greens: Int32Array;
  readonly blues: Int32Array;
  readonly slopes: Int32Array;
  readonly bends: Int32Array;
  /** Where among samples the first of each few pixels lies, as `placeAmong` has it, and one more. */
  readonly places: Int32Array;
  /**
   * Neighbouring pixels of one square between four nodes, `RUN` numbers each: the first, the one after the last, their
   * square's place in `squares`, its column and, where a border runs through their one pixel, the place of the square
   * beyond that and the part of the pixel there in 255ths, else 255.
   */
  readonly runs: Int32Array;
  readonly squares: Squares;
}

/** What lies at the upper edge of squares and how much more at their lower, `SQUARE` numbers each. */
export interface Squares {
  /** As `forRuns` has them, the left edge's colour and how much more the right edge's is; then slopes, then bends. */
  readonly values: Float64Array;
  /** Whose squares they are; whoever finds another's fills in their own. */
  heldFor?: unknown;
}
/** Values that few pixels have among the bends. */
export const BENDS = 4;
/** Values of a run. */
export const RUN = 6;
/** Values of a square: two each of three colours, three differences, three slopes and the bends. */
export const SQUARE = 2 * (3 + 3 + 3 + BENDS);
/** So many squares there is room for at a time. */
export const MOST_SQUARES = 1024;

/** Shades one beside the other, four numbers of each kind to a sample; the fourth of a colour and a slope is none. */
export interface Samples {
  readonly count: number;
  readonly colours: Int32Array;
  readonly slopes: Int32Array;
  readonly bends: Int32Array;
}

/** How much of the shades a row needs: with `bends` all of it. */
export type Depth = 'colours' | 'slopes' | 'bends';

/** What fills rows, and the signal of the bare card. */
export interface Filler {
  readonly ground: Ground;
  /** Fills in one row. Returns whether all of it is as its first pixel, and only that is filled in. */
  readonly fillRow: (row: number, into: RowShades, depth: Depth) => boolean;
}

export const OPAQUE = 0xff << 24;
/** A byte held to what it can be. */
export const held = (byte: number): number => (byte < 0 ? 0 : byte > 255 ? 255 : byte);

/** One row of pixels from its colours and the dither alone. */
export function colourRow(
  pixels: Uint32Array,
  row: number,
  { begin, end }: Stretch,
  { reds, greens, blues }: RowShades,
  isEven: boolean,
  at: number,
): void {
  const from = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  const dither = ditherTile();
  for (let column = begin; column < end; column++) {
    const source = isEven ? 0 : column;
    const noise = dither[from + (column & (DITHER_SIDE - 1))];
    const r = ((reds[source] << (BITS - 8)) + noise) >> BITS;
    const g = ((greens[source] << (BITS - 8)) + noise) >> BITS;
    const b = ((blues[source] << (BITS - 8)) + noise) >> BITS;
    pixels[at + column] = OPAQUE | (held(b) << 16) | (held(g) << 8) | held(r);
  }
}

/** Some of a row's pixels: the first, and the one after the last. */
export interface Stretch {
  readonly begin: number;
  readonly end: number;
}

/** What is on the pixels of a row, beside their colours. */
export interface RowDetails extends Pick<Details, 'cover' | 'light' | 'shine'> {
  /** Where the row begins in each. */
  readonly at: number;
}

/** What a row has beside its shades. */
export interface RowSurface {
  readonly surface: Surface;
  readonly details: RowDetails;
  /** Where the row begins, in the picture's pixels as in the surface. */
  readonly at: number;
  /** The light of the bare card, 0…1. */
  readonly bare: Ground;
}

/** Pixels of one row with all that a surface can have. Coats are reckoned in 4096ths. */
export function surfaceRow(
  pixels: Uint32Array,
  row: number,
  { begin, end }: Stretch,
  { reds, greens, blues, slopes, bends }: RowShades,
  isEven: boolean,
  { surface: { grain, bare, light }, details, at, bare: [bareR, bareG, bareB] }: RowSurface,
): void {
  const noises = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  const dither = ditherTile();
  const { cover, light: lights, shine, at: lying } = details;
  for (let column = begin; column < end; column++) {
    const source = isEven ? 0 : column;
    const slope = 3 * (source >> SHARE);
    const bend = BENDS * (source >> SHARE);
    const noise = dither[noises + (column & (DITHER_SIDE - 1))];
    const place = at + column;
    const coat = (grain[place] << 4) + ((cover[lying + column] * bends[bend + 3]) >> 3);
    const square = Math.imul(coat, coat) >> 12;
    const lit = 4096 + ((light[place] + lights[lying + column]) << 4);
    let r = reds[source] + ((Math.imul(slopes[slope], coat) + Math.imul(bends[bend], square)) >> 12);
    let g =
      greens[source] + ((Math.imul(slopes[slope + 1], coat) + Math.imul(bends[bend + 1], square)) >> 12);
    let b = blues[source] + ((Math.imul(slopes[slope + 2], coat) + Math.imul(bends[bend + 2], square)) >> 12);
    const barer = bare[place];
    if (barer > 0) {
      r = partlyBare(r, bareR, barer);
      g = partlyBare(g, bareG, barer);
      b = partlyBare(b, bareB, barer);
    }
    const shines = shine[lying + column];
    r = ((Math.imul(r, lit) + noise) >> BITS) + shines;
    g = ((Math.imul(g, lit) + noise) >> BITS) + shines;
    b = ((Math.imul(b, lit) + noise) >> BITS) + shines;
    if ((r | g | b) & ~0xff) {
      r = held(r);
      g = held(g);
      b = held(b);
    }
    pixels[at + column] = OPAQUE | (b << 16) | (g << 8) | r;
  }
}

/** A signal of which a part is bare: area for area, so it is light that is shared. Few pixels ask. */
const partlyBare = (signal: number, ground: number, barer: number): number => {
  const inked = lightOfByte(signal / PART);
  return (PART * srgbByteOf(inked + (ground - inked) * (barer / ALL_BARE))) | 0;
};
