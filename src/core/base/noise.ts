import type { Millimetres } from './length';

/** A smooth random height over the plane, −1…1, its waves about twice as long as `size`. */
export type Noise = (x: Millimetres, y: Millimetres) => number;

/** A random number of a place on a lattice, −1…1. Source of the mixing: the finaliser of MurmurHash3, from memory. */
function latticeValue(column: number, row: number, seed: number): number {
  let hash = Math.imul(column, 0x27d4eb2d) ^ Math.imul(row, 0x165667b1) ^ seed;
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return ((hash ^ (hash >>> 16)) >>> 0) / 0x80000000 - 1;
}

/** Value noise on a lattice that is turned by its seed, so that no two share an axis with each other or with the panel. */
export function smoothNoise(size: Millimetres, seed: number): Noise {
  const turn = 0.4 + seed * 2.399963;
  const [cos, sin] = [Math.cos(turn) / size, Math.sin(turn) / size];
  return (x, y) => {
    const across = x * cos - y * sin;
    const down = x * sin + y * cos;
    const column = Math.floor(across);
    const row = Math.floor(down);
    let u = across - column;
    let v = down - row;
    u = u * u * (3 - 2 * u);
    v = v * v * (3 - 2 * v);
    const top = latticeValue(column, row, seed) * (1 - u) + latticeValue(column + 1, row, seed) * u;
    const foot = latticeValue(column, row + 1, seed) * (1 - u) + latticeValue(column + 1, row + 1, seed) * u;
    return top * (1 - v) + foot * v;
  };
}

/** Two noises, the finer half as strong: −1…1. */
export function roughNoise(size: Millimetres, seed: number): Noise {
  const coarse = smoothNoise(size, seed);
  const fine = smoothNoise(size / 2.3, seed + 1);
  return (x, y) => (2 * coarse(x, y) + fine(x, y)) / 3;
}
