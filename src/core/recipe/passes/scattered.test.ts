import fc from 'fast-check';
import { expect, test } from 'vitest';
import { borderOfDrops, type Drop } from './scattered';

const PANEL = { width: 100, height: 130 };
const drops: fc.Arbitrary<Drop[]> = fc.array(
  fc.record({
    // Some lie half over the border of the panel.
    x: fc.double({ min: -5, max: 105, noNaN: true }),
    y: fc.double({ min: -5, max: 135, noNaN: true }),
    radius: fc.double({ min: 0.2, max: 9, noNaN: true }),
  }),
  { minLength: 1, maxLength: 80 },
);
const nearest = (all: readonly Drop[], x: number, y: number): number =>
  Math.max(...all.map((drop) => drop.radius - Math.hypot(x - drop.x, y - drop.y)));

test('the border of many rounds is that of the nearest, told exactly inside and near by, and never too near from afar', () => {
  const at = fc.record({
    x: fc.double({ min: 0, max: 100, noNaN: true }),
    y: fc.double({ min: 0, max: 130, noNaN: true }),
  });
  fc.assert(
    fc.property(drops, fc.array(at, { minLength: 1, maxLength: 20 }), (all, points) => {
      const border = borderOfDrops(() => all, PANEL);
      const widest = Math.max(...all.map(({ radius }) => radius));
      for (const { x, y } of points) {
        const [told, exact] = [border(x, y), nearest(all, x, y)];
        if (exact > -widest) expect(told).toBeCloseTo(exact, 9);
        else expect(told).toBeGreaterThanOrEqual(exact - 1e-9);
        expect(Math.sign(told)).toBe(Math.sign(exact));
      }
    }),
  );
});

test('they are flung when the first point is asked for, and once', () => {
  let flung = 0;
  const border = borderOfDrops(() => {
    flung++;
    return [{ x: 50, y: 50, radius: 2 }];
  }, PANEL);
  expect(flung).toBe(0);
  expect([border(50, 50), border(50, 53)]).toEqual([2, -1]);
  expect(flung).toBe(1);
});
