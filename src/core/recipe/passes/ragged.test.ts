import fc from 'fast-check';
import { expect, test } from 'vitest';
import { roughNoise, smoothNoise } from '../../base/noise';
import { ragged } from './ragged';
import { RAGGED } from './splash';

const place = fc.double({ min: -200, max: 200, noNaN: true });
const seed = fc.integer({ min: 1, max: 9999 });
/** How the passes wander, mm. */
const wanderings = fc.constantFrom(RAGGED, [{ far: 0.1, size: 0.6 }], [{ far: 0.07, size: 0.4 }]);
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

const straight = (_x: number, y: number) => y;

test('a ragged border runs near where it did, and changes no faster than a border may where it wanders', () => {
  fc.assert(
    fc.property(place, place, seed, wanderings, (x, y, from, wanders) => {
      const border = ragged(straight, wanders, from);
      const far = wanders.reduce((sum, wander) => sum + wander.far, 0);
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

test('what would wander more steeply than its border runs is refused', () => {
  expect(() => ragged(straight, [{ far: 0.3, size: 0.8 }], 1)).toThrow(RangeError);
  expect(() => ragged(straight, [RAGGED[0], ...RAGGED], 1)).toThrow(RangeError);
});
