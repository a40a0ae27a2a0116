import type { Millimetres } from './length';
import { memoByKey } from './memo';
import { seededRandom } from './random';

/** A smooth random height over the plane, −1…1, its waves about twice as long as `size`; in mm, or in any one unit. */
export type Noise = (x: Millimetres, y: Millimetres) => number;

/** Side of the lattice, after which it repeats; a power of two. */
const SIDE = 128;

/** Random numbers at the places of a lattice, −1…1. Asked for at millions of pixels, so thrown once a seed. */
const latticeOf = memoByKey(40, (seed: number): Float32Array => {
  const random = seededRandom(seed);
  return Float32Array.from({ length: SIDE * SIDE }, () => 2 * random() - 1);
});

/** Value noise on a lattice that is turned by its seed, so that no two share an axis with each other or with the panel. */
export function smoothNoise(size: Millimetres, seed: number): Noise {
  const turn = 0.4 + seed * 2.399963;
  const [cos, sin] = [Math.cos(turn) / size, Math.sin(turn) / size];
  let lattice: Float32Array | undefined;
  return (x, y) => {
    lattice ??= latticeOf(seed);
    const across = x * cos - y * sin;
    const down = x * sin + y * cos;
    const column = Math.floor(across);
    const row = Math.floor(down);
    let u = across - column;
    let v = down - row;
    u = u * u * (3 - 2 * u);
    v = v * v * (3 - 2 * v);
    const upper = (row & (SIDE - 1)) * SIDE;
    const lower = ((row + 1) & (SIDE - 1)) * SIDE;
    const left = column & (SIDE - 1);
    const right = (column + 1) & (SIDE - 1);
    const top = lattice[upper + left] * (1 - u) + lattice[upper + right] * u;
    const foot = lattice[lower + left] * (1 - u) + lattice[lower + right] * u;
    return top * (1 - v) + foot * v;
  };
}

/** Two noises, the finer half as strong: −1…1. */
export function roughNoise(size: Millimetres, seed: number): Noise {
  const coarse = smoothNoise(size, seed);
  const fine = smoothNoise(size / 2.3, seed + 1);
  return (x, y) => (2 * coarse(x, y) + fine(x, y)) / 3;
}

/** Several layers of noise, each twice as fine and half as strong as the one before. */
export const layered =
  (noise: Noise, layers = 4): Noise =>
  (x, y) => {
    let sum = 0;
    for (let layer = 0, size = 1; layer < layers; layer++, size *= 2) sum += noise(x * size, y * size) / size;
    return sum / 2;
  };
