import type { Millimetres } from '../../base/length';
import { memo } from '../../base/memo';
import { seededRandom } from '../../base/random';
import type { Unevenness } from '../../base/unevenness';

/** A square of numbers that repeats without a seam, and how large one of them is on the panel, mm. */
export interface Tile {
  readonly side: number;
  readonly cell: Millimetres;
  readonly values: Float32Array<ArrayBuffer>;
}

export const emptyTile = (side: number, cell: Millimetres): Tile => ({
  side,
  cell,
  values: new Float32Array(side * side),
});

/** Smoothings by 1-2-1 over 4 from one octave to the next, each half a cell² of variance. */
const SMOOTHINGS = 3;
/** The wavelength most of an octave has, in its own cells: that of white noise, and of noise that was smoothed before. */
const PEAK = { first: 2.6, later: 4.2 } as const;
/** The coarsest octave has no fewer cells along a side. */
const FEWEST = 16;

/**
 * White noise of a seed, taken apart by octaves of wavelength, the finest first, each with unit spread and half as many
 * cells a side as the one before. Smoothed again and again it is all but round: no direction is preferred, and there is
 * no grid the eye could find. Source of the form: P. J. Burt, E. H. Adelson, IEEE Trans. Commun. 31 (1983) 532.
 */
const octavesOf = memo(6, (side: number, seed: number): readonly Float32Array<ArrayBuffer>[] => {
  const random = seededRandom(seed);
  let whole = new Float32Array(side * side);
  for (let i = 0; i < whole.length; i++) whole[i] = random() - 0.5;
  const octaves: Float32Array<ArrayBuffer>[] = [];
  for (let own = side; own >= FEWEST; own /= 2) {
    const smoothed = whole.slice();
    for (let times = 0; times < SMOOTHINGS; times++) smooth(smoothed, own);
    for (let i = 0; i < whole.length; i++) whole[i] -= smoothed[i];
    octaves.push(withSpread(whole, 1));
    whole = everySecond(smoothed, own);
  }
  return octaves;
});

/** Every second cell of every second row. */
function everySecond(values: Float32Array, side: number): Float32Array<ArrayBuffer> {
  const half = side / 2;
  const kept = new Float32Array(half * half);
  for (let row = 0, at = 0; row < half; row++)
    for (let column = 0; column < half; column++, at++) kept[at] = values[2 * row * side + 2 * column];
  return kept;
}

/** Twice as many cells a side, smooth between those that were there. */
function twiceAsFine(values: Float32Array, side: number): Float32Array<ArrayBuffer> {
  const fine = new Float32Array(4 * side * side);
  for (let row = 0, at = 0; row < side; row++)
    for (let column = 0; column < side; column++, at++) {
      const first = 4 * row * side + 2 * column;
      fine[first] = values[at];
      fine[first + 1] = values[at];
      fine[first + 2 * side] = values[at];
      fine[first + 2 * side + 1] = values[at];
    }
  smooth(fine, 2 * side);
  return fine;
}

/** Mean and standard deviation of values. */
export function momentsOf(values: Float32Array): { readonly mean: number; readonly deviation: number } {
  let sum = 0;
  let squares = 0;
  for (let i = 0; i < values.length; i++) {
    sum += values[i];
    squares += values[i] * values[i];
  }
  const mean = sum / values.length;
  return { mean, deviation: Math.sqrt(Math.max(squares / values.length - mean * mean, 0)) };
}

export const spreadOf = (values: Float32Array): number => momentsOf(values).deviation;

/** The values with a mean of 0 and a given spread; where all are alike they become 0. */
export function withSpread(values: Float32Array<ArrayBuffer>, spread: number): Float32Array<ArrayBuffer> {
  const { mean, deviation } = momentsOf(values);
  const gain = deviation > 1e-9 ? spread / deviation : 0;
  for (let i = 0; i < values.length; i++) values[i] = (values[i] - mean) * gain;
  return values;
}

/** Smooths a tile by 1-2-1 along its columns and its rows, in place; it goes on at its other side. */
function smooth(values: Float32Array, side: number): void {
  const first = values.slice(0, side);
  const above = values.slice(values.length - side);
  const here = new Float32Array(side);
  for (let from = 0; from < values.length; from += side) {
    const isLast = from + side === values.length;
    for (let i = 0; i < side; i++) {
      here[i] = values[from + i];
      const below = isLast ? first[i] : values[from + side + i];
      values[from + i] = 0.25 * (above[i] + below) + 0.5 * here[i];
    }
    above.set(here);
  }
  for (let from = 0; from < values.length; from += side) {
    const start = values[from];
    let left = values[from + side - 1];
    for (let at = from; at < from + side; at++) {
      const own = values[at];
      const right = at === from + side - 1 ? start : values[at + 1];
      values[at] = 0.25 * (left + right) + 0.5 * own;
      left = own;
    }
  }
}

/** How much of each octave an unevenness has, so that together they spread by it. */
function weightsOf({ from, to, falls, spread }: Unevenness, octaves: number, cell: Millimetres): number[] {
  const parts = Array.from({ length: octaves }, (_, octave) => {
    const wavelength = cell * (octave === 0 ? PEAK.first : PEAK.later * 2 ** octave);
    // An octave beyond its ends it has gone.
    const beyond = Math.max(Math.log2(from / wavelength), Math.log2(wavelength / to), 0);
    // In the plane an octave has the more waves the finer it is: its amplitude is one power less steep.
    return Math.max(1 - beyond, 0) * wavelength ** (falls - 1);
  });
  const whole = Math.hypot(...parts);
  return whole === 0 ? parts : parts.map((part) => (spread * part) / whole);
}

/** Adds unevenness to a tile: the same for the same seed, whatever else is added. */
export function addUneven({ side, cell, values }: Tile, kinds: readonly Unevenness[], seed: number): void {
  const octaves = octavesOf(side, seed);
  const weights = octaves.map(() => 0);
  for (const kind of kinds)
    weightsOf(kind, octaves.length, cell).forEach((weight, i) => {
      weights[i] = Math.hypot(weights[i] ?? 0, weight);
    });
  // From the coarsest octave with anything in it to the finest.
  let sum: Float32Array<ArrayBuffer> | undefined;
  for (let octave = octaves.length - 1, own = side >> octave; octave >= 0; octave--, own *= 2) {
    if (sum) sum = twiceAsFine(sum, own / 2);
    const weight = weights[octave];
    if (weight === 0) continue;
    const waves = octaves[octave];
    sum ??= new Float32Array(waves.length);
    for (let i = 0; i < sum.length; i++) sum[i] += weight * waves[i];
  }
  if (!sum) return;
  withSpread(sum, Math.hypot(...weights));
  for (let i = 0; i < values.length; i++) values[i] += sum[i];
}
