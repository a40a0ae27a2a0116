import fc from 'fast-check';
import { expect, test } from 'vitest';
import { distancesOn, type Rectangle } from './distances';

const rectangle = fc.record({
  left: fc.nat(50),
  top: fc.nat(50),
  columns: fc.integer({ min: 1, max: 9 }),
  rows: fc.integer({ min: 1, max: 9 }),
});
const SIDE = 60;
const picture = (pixel: number) => distancesOn({ width: SIDE * pixel, height: SIDE * pixel }, SIDE, SIDE);
type Border = (x: number, y: number) => number;
const asked = (border: Border, at: Rectangle, pixel: number, distancesAt = picture(pixel)): Float64Array => {
  const into = new Float64Array(at.columns * at.rows).fill(Number.NaN);
  distancesAt(border, at, into);
  return into;
};
const each = (border: Border, { left, top, columns, rows }: Rectangle, pixel: number) =>
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
          expect(told[i]).toBeCloseTo(far, 5);
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

test('a pixel is told the same in whichever rectangles it is asked for, and its place is asked once', () => {
  fc.assert(
    fc.property(rectangle, rectangle, fc.constantFrom(0.085, 0.25), (one, other, pixel) => {
      const places = new Map<string, number>();
      const border = (x: number, y: number) => {
        places.set(`${x} ${y}`, (places.get(`${x} ${y}`) ?? 0) + 1);
        return Math.sin(3 * x) + y * y;
      };
      const distancesAt = picture(pixel);
      const [first, second] = [one, other].map((at) => asked(border, at, pixel, distancesAt));
      first?.forEach((far, i) => {
        const column = one.left + (i % one.columns) - other.left;
        const row = one.top + Math.floor(i / one.columns) - other.top;
        if (column < 0 || row < 0 || column >= other.columns || row >= other.rows) return;
        expect(second?.[row * other.columns + column]).toBe(far);
      });
      expect([...places.values()].every((count) => count === 1)).toBe(true);
    }),
  );
});
