import fc from 'fast-check';
import { expect, test } from 'vitest';
import { distancesAt } from './distances';

const rectangle = fc.record({
  left: fc.nat(50),
  top: fc.nat(50),
  columns: fc.integer({ min: 1, max: 9 }),
  rows: fc.integer({ min: 1, max: 9 }),
});
type Rect = Parameters<typeof distancesAt>[1];
const asked = (border: (x: number, y: number) => number, at: Rect, pixel: number): Float64Array => {
  const into = new Float64Array(at.columns * at.rows).fill(Number.NaN);
  distancesAt(border, at, pixel, pixel, into);
  return into;
};
const each = (border: (x: number, y: number) => number, { left, top, columns, rows }: Rect, pixel: number) =>
  Float64Array.from({ length: columns * rows }, (_, i) =>
    border((left + (i % columns) + 0.5) * pixel, (top + Math.floor(i / columns) + 0.5) * pixel),
  );

test('of a straight border every pixel is told as if it had been asked, be pixels coarse or fine', () => {
  fc.assert(
    fc.property(
      rectangle,
      fc.constantFrom(0.04, 0.085, 0.1, 0.25),
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      (at, pixel, a, b) => {
        const border = (x: number, y: number) => a * x + b * y - 1;
        const [told, wanted] = [asked(border, at, pixel), each(border, at, pixel)];
        wanted.forEach((far, i) => {
          expect(told[i]).toBeCloseTo(far, 9);
        });
      },
    ),
  );
});

test('of a round one fine pixels are told to two thousandths of a millimetre, with a quarter of the asking', () => {
  const at = { left: 20, top: 30, columns: 8, rows: 8 };
  let count = 0;
  const border = (x: number, y: number) => {
    count++;
    return 6 - Math.hypot(x - 4, y - 1);
  };
  const told = asked(border, at, 0.085);
  expect(count).toBeLessThanOrEqual(25);
  each(border, at, 0.085).forEach((far, i) => {
    expect(Math.abs((told[i] ?? Number.NaN) - far)).toBeLessThan(0.002);
  });
});
