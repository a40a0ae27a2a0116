import { BITS, DITHER_SIDE, ditherTile } from './dither';
import {
  BENDS,
  type Depth,
  FEW,
  held,
  MOST_SQUARES,
  OPAQUE,
  PART,
  type RowShades,
  RUN,
  type Samples,
  SHARE,
  SQUARE,
  type Stretch,
  surfaceRow,
} from './shading';
import type { Surface } from './surface/surface';

/**
 * The loops over the pixels of a row that a drag waits for; the shades they take are those they gave. Whole numbers all the
 * way to the pixel are several times as fast as fractions, and finer than the dither.
 */
export interface RowLoops {
  /** What a row of so many pixels is painted from; filled anew for each row, and never kept beyond it. */
  readonly emptyShades: (width: number) => RowShades;
  /** Called before rows are painted whose surface has been filled: what was read of it before may be another. */
  readonly begin: () => void;
  /** Fills in so many fews from the samples at `places`. */
  readonly layBand: (into: RowShades, fews: number, samples: Samples, depth: Depth) => void;
  /**
   * Fills in the first so many of `runs`, which follow one another from left to right, from their `squares`.
   *
   * @param across  how much of a square a pixel is
   * @param down    how far down its squares the row lies, 0…1
   */
  readonly layRuns: (into: RowShades, count: number, across: number, down: number, depth: Depth) => void;
  /** Pixels of one row with a gentle grain, by which colours go straight. */
  readonly grainRow: GrainLoop;
  /** `grainRow` where all pixels have the shade of the first, as in a straight run. */
  readonly evenRow: GrainLoop;
  /** Pixels of one row with all that a surface can have. */
  readonly surfaceRow: typeof surfaceRow;
}

/** @param at  where the row begins, in the picture's pixels as in the surface */
type GrainLoop = (
  pixels: Uint32Array,
  row: number,
  stretch: Stretch,
  shades: RowShades,
  surface: Pick<Surface, 'grain' | 'light'>,
  at: number,
) => void;

/** Colours of runs stand so many bits higher than those of pixels, so that their small steps add up. */
export const RUN_BITS = 12;
/** Places among samples stand so many bits higher than samples. */
export const PLACE_BITS = 16;

// Each of the loops is a function of its own, so that it is compiled as one.

/** One pixel at a time, wherever scripts run. */
export const plainLoops: RowLoops = {
  emptyShades: (width) => {
    // A loop that takes four pixels at a time may write a few beyond the last.
    const fews = (width >> SHARE) + 2;
    const pixels = () => new Int32Array(FEW * fews);
    return {
      reds: pixels(),
      greens: pixels(),
      blues: pixels(),
      slopes: new Int32Array(3 * fews + 1),
      bends: new Int32Array(BENDS * fews),
      places: new Int32Array(fews + 1),
      runs: new Int32Array(RUN * width),
      squares: { values: new Float64Array(SQUARE * MOST_SQUARES) },
    };
  },
  begin: () => {},
  layBand: ({ reds, greens, blues, slopes, bends, places }, fews, samples, depth) => {
    const last = samples.count - 1;
    for (let few = 0, pixel = 0; few < fews; few++) {
      let place = places[few];
      const step = (places[few + 1] - place) >> SHARE;
      const first = FEW * sampleAt(place, last);
      for (let i = 0; i < FEW; i++, pixel++, place += step) {
        const sample = FEW * sampleAt(place, last);
        reds[pixel] = samples.colours[sample];
        greens[pixel] = samples.colours[sample + 1];
        blues[pixel] = samples.colours[sample + 2];
      }
      if (depth === 'colours') continue;
      for (let i = 0; i < 3; i++) slopes[3 * few + i] = samples.slopes[first + i];
      if (depth === 'slopes') continue;
      for (let i = 0; i < BENDS; i++) bends[BENDS * few + i] = samples.bends[first + i];
    }
  },
  layRuns: (
    { reds, greens, blues, slopes, bends, runs, squares: { values } },
    count,
    across,
    down,
    depth,
  ) => {
    const at = (place: number): number => values[place] + down * values[place + 1];
    for (let run = 0; run < RUN * count; run += RUN) {
      const from = runs[run];
      const to = runs[run + 1];
      const square = SQUARE * runs[run + 2];
      const aside = (from + 0.5) * across - runs[run + 3];
      const part = runs[run + 5];
      const stepR = at(square + 6);
      const stepG = at(square + 8);
      const stepB = at(square + 10);
      let r = at(square) + aside * stepR;
      let g = at(square + 2) + aside * stepG;
      let b = at(square + 4) + aside * stepB;
      if (part < 255) {
        const beyond = SQUARE * runs[run + 4];
        r += ((at(beyond) + aside * at(beyond + 6) - r) * part) / 255;
        g += ((at(beyond + 2) + aside * at(beyond + 8) - g) * part) / 255;
        b += ((at(beyond + 4) + aside * at(beyond + 10) - b) * part) / 255;
      }
      layColour(reds, from, to, r | 0, (across * stepR) | 0);
      layColour(greens, from, to, g | 0, (across * stepG) | 0);
      layColour(blues, from, to, b | 0, (across * stepB) | 0);
      if (depth === 'colours') continue;
      const last = (to - 1) >> SHARE;
      for (let few = from >> SHARE; few <= last; few++)
        for (let i = 0; i < 3; i++) slopes[3 * few + i] = at(square + 12 + 2 * i);
      if (depth === 'slopes') continue;
      for (let few = from >> SHARE; few <= last; few++)
        for (let i = 0; i < BENDS; i++) bends[BENDS * few + i] = at(square + 18 + 2 * i);
    }
  },
  grainRow: (pixels, row, { begin, end }, { reds, greens, blues, slopes }, { grain, light }, at) => {
    const noises = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
    const dither = ditherTile();
    for (let column = begin; column < end; column++) {
      const slope = 3 * (column >> SHARE);
      const noise = dither[noises + (column & (DITHER_SIDE - 1))];
      const coat = grain[at + column];
      const lit = 4096 + (light[at + column] << 4);
      const r = (Math.imul(reds[column] + (Math.imul(slopes[slope], coat) >> 8), lit) + noise) >> BITS;
      const g = (Math.imul(greens[column] + (Math.imul(slopes[slope + 1], coat) >> 8), lit) + noise) >> BITS;
      const b = (Math.imul(blues[column] + (Math.imul(slopes[slope + 2], coat) >> 8), lit) + noise) >> BITS;
      pixels[at + column] = packed(r, g, b);
    }
  },
  evenRow: (pixels, row, { begin, end }, { reds, greens, blues, slopes }, { grain, light }, at) => {
    const [red, green, blue] = [reds[0], greens[0], blues[0]];
    const [slopeR, slopeG, slopeB] = [slopes[0], slopes[1], slopes[2]];
    const noises = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
    const dither = ditherTile();
    for (let column = begin; column < end; column++) {
      const noise = dither[noises + (column & (DITHER_SIDE - 1))];
      const coat = grain[at + column];
      const lit = 4096 + (light[at + column] << 4);
      const r = (Math.imul(red + (Math.imul(slopeR, coat) >> 8), lit) + noise) >> BITS;
      const g = (Math.imul(green + (Math.imul(slopeG, coat) >> 8), lit) + noise) >> BITS;
      const b = (Math.imul(blue + (Math.imul(slopeB, coat) >> 8), lit) + noise) >> BITS;
      pixels[at + column] = packed(r, g, b);
    }
  },
  surfaceRow,
};

/** Pixels of one colour that goes straight. */
function layColour(into: Int32Array, from: number, to: number, first: number, step: number): void {
  for (let pixel = from, here = first; pixel < to; pixel++, here += step) into[pixel] = here >> RUN_BITS;
}

/** A pixel of three bytes, each held to what a byte can be. */
const packed = (r: number, g: number, b: number): number =>
  (r | g | b) & ~0xff
    ? OPAQUE | (held(b) << 16) | (held(g) << 8) | held(r)
    : OPAQUE | (b << 16) | (g << 8) | r;

const sampleAt = (place: number, last: number): number => {
  const sample = place >> PLACE_BITS;
  return sample < 0 ? 0 : sample > last ? last : sample;
};

/** The farthest a place is told, in samples: beyond all of them, and short of where whole numbers end. */
const FARTHEST = 30_000;
/** Where among its samples something lies, for `places`: the nearest of them is taken. */
export const placeAmong = (sample: number): number =>
  (Math.min(Math.max(sample, -FARTHEST), FARTHEST) + 0.5) * (1 << PLACE_BITS);
/** A part of signal, 0…255, as runs have it. */
export const forRuns = (signal: number): number => signal * PART * (1 << RUN_BITS);
