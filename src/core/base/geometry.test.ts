import fc from 'fast-check';
import { expect, test } from 'vitest';
import { endWithin, type Point } from './geometry';

const size = { width: 100, height: 140 };

test('a way ends where it leaves the panel, on the same line; one that does not leave it ends where it ends', () => {
  expect(endWithin({ x: 50, y: 70 }, { x: 50, y: -30 }, size)).toEqual({ x: 50, y: 0 });
  expect(endWithin({ x: 50, y: 70 }, { x: 150, y: 90 }, size)).toEqual({ x: 100, y: 80 });
  expect(endWithin({ x: 50, y: 70 }, { x: 20, y: 139 }, size)).toEqual({ x: 20, y: 139 });
  expect(endWithin({ x: -5, y: 70 }, { x: 50, y: -30 }, size)).toEqual({ x: 50, y: -30 });
});

test('wherever it goes, it ends on the panel and no farther, in the same direction', () => {
  const coordinate = fc.double({ min: -400, max: 400, noNaN: true });
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100, noNaN: true }),
      fc.double({ min: 0, max: 140, noNaN: true }),
      coordinate,
      coordinate,
      (x, y, toX, toY) => {
        const from: Point = { x, y };
        const end = endWithin(from, { x: toX, y: toY }, size);
        expect(end.x).toBeGreaterThanOrEqual(-1e-9);
        expect(end.x).toBeLessThanOrEqual(100 + 1e-9);
        expect(end.y).toBeGreaterThanOrEqual(-1e-9);
        expect(end.y).toBeLessThanOrEqual(140 + 1e-9);
        expect((end.x - x) * (toY - y)).toBeCloseTo((end.y - y) * (toX - x), 5);
        expect((end.x - x) * (toX - x) + (end.y - y) * (toY - y)).toBeGreaterThanOrEqual(-1e-9);
      },
    ),
  );
});
