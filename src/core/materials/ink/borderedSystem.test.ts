import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { expect, test } from 'vitest';
import { BANDS } from '../colour/spectrum';
import { solveBordered } from './borderedSystem';

const numbers = (length: number, min: number, max: number) =>
  fc
    .array(fc.double({ min, max, noNaN: true }), { minLength: length, maxLength: length })
    .map((values) => Float64Array.from(values));

/** A system as spectra ask for it: neighbours pull on each other, and three sums have to be met. */
const systems = fc.integer({ min: 3, max: BANDS }).chain((n) =>
  fc.record({
    diagonal: numbers(n, 2.5, 6),
    off: fc.double({ min: -1.2, max: 1.2, noNaN: true }),
    border: fc.tuple(numbers(n, 0, 1), numbers(n, 0, 1), numbers(n, 0, 1)).map((rows) =>
      // Each row counts most somewhere else, as the three observer functions do: none is made of the others.
      rows.map((row, k) => row.map((value, i) => value + (i % 3 === k ? 2 : 0))),
    ),
    gradient: numbers(n, -5, 5),
    miss: fc.tuple(...[0, 1, 2].map(() => fc.double({ min: -2, max: 2, noNaN: true }))),
  }),
);

test('what is solved in one sweep is what a general library solves as one large system', () => {
  fc.assert(
    fc.property(systems, ({ diagonal, off, border, gradient, miss }) => {
      const n = diagonal.length;
      const whole = Matrix.zeros(n + 3, n + 3);
      diagonal.forEach((value, i) => {
        whole.set(i, i, value);
        if (i > 0) whole.set(i, i - 1, off).set(i - 1, i, off);
        border.forEach((row, k) => {
          whole.set(n + k, i, row[i] ?? 0).set(i, n + k, row[i] ?? 0);
        });
      });
      const theirs = solve(whole, Matrix.columnVector([...gradient, ...miss.map((one) => -one)]));
      const ours = solveBordered(
        diagonal,
        off,
        border as [Float64Array, Float64Array, Float64Array],
        gradient,
        miss as unknown as [number, number, number],
      );
      expect(ours).toBeDefined();
      [...(ours?.step ?? []), ...(ours?.multiplier ?? [])].forEach((value, i) => {
        const expected = theirs.get(i, 0);
        expect(Math.abs(value - expected)).toBeLessThan(1e-6 * Math.max(1, Math.abs(expected)));
      });
    }),
  );
});

test('what has no one solution is told as none: a pivot that vanishes, or a sum asked for twice', () => {
  const ones = new Float64Array(4).fill(1);
  const rows: [Float64Array, Float64Array, Float64Array] = [
    ones,
    Float64Array.of(1, 0, 0, 0),
    Float64Array.of(0, 1, 0, 0),
  ];
  expect(solveBordered(Float64Array.of(0, 3, 3, 3), 1, rows, ones, [0, 0, 0])).toBeUndefined();
  const full = new Float64Array(4).fill(3);
  expect(solveBordered(full, 1, rows, ones, [0, 0, 0])).toBeDefined();
  const nothing = new Float64Array(4);
  expect(solveBordered(full, 1, [ones, nothing, nothing], ones, [0, 0, 0])).toBeUndefined();
});
