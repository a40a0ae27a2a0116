import fc from 'fast-check';
import { expect, test } from 'vitest';
import { edgeCover, edgePath, SOLID } from './edge';

const side = fc.double({ min: 40, max: 200, noNaN: true });
const part = fc.double({ min: 0, max: 1, noNaN: true });
const aPanel = fc.record({ width: side, height: side });

test('an edge is solid at the rim, gone by its depth, and only fades between', () => {
  fc.assert(
    fc.property(aPanel, fc.double({ min: 3, max: 20, noNaN: true }), part, part, (panel, depth, u, v) => {
      const cover = edgeCover(panel, depth);
      const [x, y] = [u * panel.width, v * panel.height];
      const inward = Math.min(x, panel.width - x, y, panel.height - y);
      const there = cover(x, y);
      expect(there).toBeGreaterThanOrEqual(0);
      expect(there).toBeLessThanOrEqual(1);
      if (inward <= SOLID * depth) expect(there).toBe(1);
      // Near a corner it reaches farther in, as if the corner were rounded; beyond its depth from two sides it is gone.
      if (inward >= depth) expect(there).toBe(0);
      // A step toward the middle never finds more of it.
      const step = 0.3;
      const on = (at: number, size: number) =>
        at + Math.sign(size / 2 - at) * Math.min(step, Math.abs(size / 2 - at));
      expect(cover(on(x, panel.width), on(y, panel.height))).toBeLessThanOrEqual(there + 1e-9);
    }),
  );
});

test('all four sides and corners are alike', () => {
  fc.assert(
    fc.property(
      aPanel,
      fc.double({ min: 3, max: 20, noNaN: true }),
      part,
      part,
      ({ width, height }, depth, u, v) => {
        const cover = edgeCover({ width, height }, depth);
        const [x, y] = [u * width, v * height];
        for (const [a, b] of [
          [width - x, y],
          [x, height - y],
          [width - x, height - y],
        ] as const)
          expect(cover(a, b)).toBeCloseTo(cover(x, y), 9);
        expect(edgeCover({ width: height, height: width }, depth)(y, x)).toBeCloseTo(cover(x, y), 9);
      },
    ),
  );
});

test('its trace is where it ends', () => {
  const panel = { width: 80, height: 100 };
  expect(edgePath(panel, 12)).toBe('M12 12H68V88H12Z');
  const cover = edgeCover(panel, 12);
  expect(cover(40, 12)).toBe(0);
  expect(cover(40, 11)).toBeGreaterThan(0);
});
