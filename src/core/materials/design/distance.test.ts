import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Design } from './design';
import { distanceAt, measure, signedDistances } from './distance';
import { OWN_DESIGNS } from './own';

const grid = (columns: number, rows: number, cell: number) => ({ columns, rows, cell, margin: 0 });

test('of cells wholly covered or bare, a distance is to the nearest of the others, tried one by one', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 14 }),
      fc.integer({ min: 2, max: 14 }),
      fc.double({ min: 0.05, max: 3, noNaN: true }),
      fc.infiniteStream(fc.boolean()),
      (columns, rows, cell, stream) => {
        const covered = Float32Array.from({ length: columns * rows }, () => (stream.next().value ? 1 : 0));
        fc.pre(covered.includes(0) && covered.includes(1));
        const far = signedDistances(covered, grid(columns, rows, cell));
        const placeOf = (i: number) => [i % columns, Math.floor(i / columns)] as const;
        covered.forEach((own, i) => {
          const [x, y] = placeOf(i);
          let nearest = Number.POSITIVE_INFINITY;
          covered.forEach((other, j) => {
            const [u, v] = placeOf(j);
            if (other !== own) nearest = Math.min(nearest, cell * Math.hypot(u - x, v - y));
          });
          expect(far[i]).toBeCloseTo(own === 1 ? nearest : -nearest, 4);
        });
      },
    ),
    { numRuns: 60 },
  );
});

test('a straight outline is told finer than a cell, wherever in a cell it runs', () => {
  for (const part of [0.1, 0.25, 0.5, 0.75, 0.9]) {
    // Columns 0…3 are covered, the fifth so far, the others bare.
    const row = [1, 1, 1, 1, part, 0, 0, 0];
    const far = signedDistances(Float32Array.from([...row, ...row, ...row]), grid(8, 3, 1));
    const outline = 4 + part;
    row.forEach((_, column) => {
      expect(Math.abs((far[8 + column] ?? 0) - (outline - (column + 0.5)))).toBeLessThan(0.51);
    });
    // Across the cell that holds it, it is told to the part of the cell.
    expect(far[8 + 4]).toBeCloseTo(part - 0.5, 5);
  }
});

test('what is all covered, or all bare, is far from any outline', () => {
  const far = (value: number) => signedDistances(new Float32Array(12).fill(value), grid(4, 3, 0.5));
  expect(Math.min(...far(1))).toBeGreaterThan(1000);
  expect(Math.max(...far(0))).toBeLessThan(-1000);
});

const square: Design = {
  id: 'square',
  name: 'square',
  use: 'image',
  width: 40,
  height: 40,
  shapes: [{ d: 'M10 10H30V30H10Z', rule: 'nonzero' }],
};

test('a square’s distances are a square’s, between the cells and beyond them', () => {
  const field = measure(square, 400);
  const away = (x: number, y: number) => {
    const [dx, dy] = [Math.max(10 - x, x - 30), Math.max(10 - y, y - 30)];
    return dx < 0 && dy < 0 ? -Math.max(dx, dy) : -Math.hypot(Math.max(dx, 0), Math.max(dy, 0));
  };
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 40, noNaN: true }),
      fc.double({ min: 0, max: 40, noNaN: true }),
      (x, y) => {
        expect(Math.abs(distanceAt(field, x, y) - away(x, y))).toBeLessThan(0.12);
      },
    ),
  );
  // Beyond the grid it never claims to be nearer than it is.
  for (const [x, y] of [
    [-20, 20],
    [70, 20],
    [20, 120],
    [-30, -30],
  ] as const) {
    expect(distanceAt(field, x, y)).toBeLessThan(0);
    expect(-distanceAt(field, x, y)).toBeLessThanOrEqual(-away(x, y) + 0.2);
  }
});

test('no design of the house has a place that is further from its outline than a step before allows', () => {
  for (const design of OWN_DESIGNS) {
    const field = measure(design, 120);
    for (let i = 0; i < 40; i++) {
      const [x, y] = [(design.width * ((i * 37) % 40)) / 40, (design.height * i) / 40];
      const step = 0.7;
      const change = Math.abs(distanceAt(field, x + step, y) - distanceAt(field, x, y));
      expect(change, `${design.name} at ${x}, ${y}`).toBeLessThanOrEqual(step + 1.5 * field.cell);
    }
  }
});
