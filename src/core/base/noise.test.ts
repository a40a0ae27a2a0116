import fc from 'fast-check';
import { mean, sampleCorrelation } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { layered, roughNoise, smoothNoise } from './noise';

const place = fc.double({ min: -400, max: 400, noNaN: true });
const seed = fc.integer({ min: 1, max: 500 });
/** Heights over a square of 200 mm, a place every 4 mm. */
const over = (noise: (x: number, y: number) => number): number[] =>
  Array.from({ length: 2500 }, (_, i) => noise((i % 50) * 4, Math.floor(i / 50) * 4));

describe('unevenness', () => {
  test('lies within −1…1 and changes no faster than its size lets it, off the panel too', () => {
    fc.assert(
      fc.property(place, place, seed, fc.double({ min: 0.5, max: 20, noNaN: true }), (x, y, own, size) => {
        for (const noise of [smoothNoise(size, own), roughNoise(size, own)]) {
          const here = noise(x, y);
          expect(Math.abs(here)).toBeLessThanOrEqual(1);
          // The steepest a step over one place of the lattice can be is 1.5 times its rise of 2, along both axes.
          expect(Math.abs(noise(x + size / 1000, y) - here)).toBeLessThan(0.015);
        }
        expect(Math.abs(layered(smoothNoise(size, own), 5)(x, y))).toBeLessThanOrEqual(1);
      }),
    );
  });

  test('is the same for the same seed, and has nothing to do with that of another', () => {
    const [one, other] = [over(smoothNoise(9, 4)), over(smoothNoise(9, 5))];
    expect(over(smoothNoise(9, 4))).toEqual(one);
    expect(Math.abs(sampleCorrelation(one, other))).toBeLessThan(0.1);
    expect(Math.abs(mean(one))).toBeLessThan(0.1);
  });

  test('of twice the size is half as busy', () => {
    const busy = (size: number) => {
      const heights = over(smoothNoise(size, 4));
      return mean(heights.slice(1).map((height, i) => Math.abs(height - (heights[i] ?? 0))));
    };
    expect(busy(40) / busy(80)).toBeGreaterThan(1.5);
    expect(busy(40) / busy(80)).toBeLessThan(2.5);
  });
});
