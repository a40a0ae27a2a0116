import { BITS, DITHER_SIDE, ditherTile } from './dither';
import {
  BENDS,
  type Depth,
  FEW,
  held,
  OPAQUE,
  PART,
  type RowShades,
  RUN,
  type Samples,
  SHARE,
  type Stretch,
} from './shading';
import type { Surface } from './surface/surface';

/**
 * The loops over the pixels of a row that a drag waits for. Whole numbers all the way to the pixel are several times as
 * fast as fractions, and finer than the dither.
 */
export interface RowLoops {
  /** What a row of so many pixels is painted from; filled anew for each row, and never kept beyond it. */
  readonly emptyShades: (width: number) => RowShades;
  /** Called before rows are painted whose surface has been filled: what was read of it before may be another. */
  readonly begin: () => void;
  /** Fills in so many fews from the samples at `places`. */
  readonly layBand: (into: RowShades, fews: number, samples: Samples, depth: Depth) => void;
  /** Fills in colours from the first so many of `runs`, which follow one another from left to right. */
  readonly layRuns: (into: RowShades, count: number) => void;
  /** Pixels of one row with a gentle grain, by which colours go straight. */
  readonly grainRow: GrainLoop;
  /** `grainRow` where all pixels have the shade of the first, as in a straight run. */
  readonly evenRow: GrainLoop;
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
  layRuns: ({ reds, greens, blues, runs }, count) => {
    for (let run = 0; run < RUN * count; run += RUN) {
      const to = runs[run + 1];
      let r = runs[run + 2];
      let g = runs[run + 3];
      let b = runs[run + 4];
      const stepR = runs[run + 5];
      const stepG = runs[run + 6];
      const stepB = runs[run + 7];
      for (let pixel = runs[run]; pixel < to; pixel++) {
        reds[pixel] = r >> RUN_BITS;
        greens[pixel] = g >> RUN_BITS;
        blues[pixel] = b >> RUN_BITS;
        r += stepR;
        g += stepG;
        b += stepB;
      }
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
};

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
