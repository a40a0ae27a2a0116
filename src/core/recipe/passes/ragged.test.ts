import fc from 'fast-check';
import { expect, test } from 'vitest';
import { roughNoise, smoothNoise } from '../../base/noise';
import { ragged } from './ragged';

const place = fc.double({ min: -200, max: 200, noNaN: true });
const seed = fc.integer({ min: 1, max: 9999 });
/** How the passes wander: far and over which length, mm. */
const wanders = fc.constantFrom([0.55, 2.4], [0.1, 0.6], [0.07, 0.5]);
const STEP = 1e-4;

test('noise stays within −1…1, is the same for the same seed, and nowhere jumps', () => {
  fc.assert(
    fc.property(place, place, seed, (x, y, from) => {
      for (const make of [smoothNoise, roughNoise]) {
        const noise = make(3, from);
        const here = noise(x, y);
        expect(Math.abs(here)).toBeLessThanOrEqual(1);
        expect(make(3, from)(x, y)).toBe(here);
        expect(Math.abs(noise(x + STEP, y) - here)).toBeLessThan(10 * STEP);
      }
    }),
  );
});

test('a ragged border runs near where it did, and changes no faster than a border may where it wanders', () => {
  fc.assert(
    fc.property(place, place, seed, wanders, (x, y, from, [far = 0, size = 1]) => {
      const straight = (_x: number, v: number) => v;
      const border = ragged(straight, far, size, from);
      expect(Math.sign(border(x, far + 0.01))).toBe(1);
      expect(Math.sign(border(x, -far - 0.01))).toBe(-1);
      expect(Math.abs(border(x, y))).toBeLessThanOrEqual(Math.abs(y) + far);
      const within = (y / 200) * 2 * far;
      const here = border(x, within);
      for (const [dx, dy] of [
        [STEP, 0],
        [0, STEP],
      ] as const)
        expect(Math.abs(border(x + dx, within + dy) - here)).toBeLessThanOrEqual(STEP * 1.01);
    }),
  );
});
