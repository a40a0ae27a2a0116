import { smoothStep } from '../../base/smoothStep';

/** Smooth noise in −1…1 over a plane, with one bump a unit; the same seed gives the same field. */
export type Noise = (x: number, y: number) => number;

/** Value noise on a hashed lattice, so that it has no edge and keeps no table. */
export function noiseField(seed: number): Noise {
  const at = (i: number, j: number): number => {
    let h = Math.imul(i ^ (seed * 0x9e3779b1), 0x85ebca6b) ^ Math.imul(j + 0x165667b1, 0xc2b2ae35);
    h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
    h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
    return ((h ^ (h >>> 15)) >>> 0) / 2 ** 31 - 1;
  };
  return (x, y) => {
    const i = Math.floor(x);
    const j = Math.floor(y);
    const u = smoothStep(x - i);
    const v = smoothStep(y - j);
    const top = at(i, j) * (1 - u) + at(i + 1, j) * u;
    const foot = at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u;
    return top * (1 - v) + foot * v;
  };
}

/** Several layers of noise, each twice as fine and half as strong. */
export const layered =
  (noise: Noise, layers = 4): Noise =>
  (x, y) => {
    let sum = 0;
    for (let layer = 0, size = 1; layer < layers; layer++, size *= 2) sum += noise(x * size, y * size) / size;
    return sum / 2;
  };
