import fc from 'fast-check';
import { expect, test } from 'vitest';
import { deltaE00 } from '../../materials/colour/difference';
import { countsFor, lossOf, turned, weighed, weightOf, weightsFor } from './residual';

const anyLab = fc.record({
  l: fc.double({ min: 10, max: 95, noNaN: true }),
  a: fc.double({ min: -60, max: 60, noNaN: true }),
  b: fc.double({ min: -60, max: 60, noNaN: true }),
});
const anyStep = fc.tuple(...Array.from({ length: 3 }, () => fc.double({ min: -0.2, max: 0.2, noNaN: true })));

test('three residuals square to the distance in units of the noise of one part', () => {
  fc.assert(
    fc.property(anyLab, anyStep, fc.double({ min: 0.5, max: 4, noNaN: true }), (lab, step, noise) => {
      const [l = 0, a = 0, b = 0] = step;
      const far = deltaE00(lab, { l: lab.l + l, a: lab.a + a, b: lab.b + b });
      const weights = weightsFor(lab, noise);
      const squares = [0, 1, 2].reduce(
        (sum, row) => sum + weighed(weights, row, (i) => [l, a, b][i] ?? 0) ** 2,
        0,
      );
      // Near a colour ΔE00 is no quadratic form exactly.
      expect(Math.abs(Math.sqrt(squares) - (Math.sqrt(3) * far) / noise)).toBeLessThan(0.04 + 0.1 * far);
    }),
  );
});

test('how much a reading counts is what the loss grows by: the slope of it, twice', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 200, noNaN: true }), (squares) => {
      const step = 1e-5 * (1 + squares);
      const slope = (lossOf(squares + step) - lossOf(squares)) / step;
      expect(2 * slope).toBeCloseTo(weightOf(squares), 3);
    }),
  );
  expect(lossOf(0)).toBe(0);
  // A misread ten times as far off as usual counts a thirtieth of one at its place.
  expect(weightOf(100) / weightOf(1)).toBeLessThan(1 / 30);
  expect(countsFor(1.5, 1.5)).toBe(1);
  expect(countsFor(15, 1.5)).toBeLessThan(1 / 50);
});

test('slopes of a colour are turned as its differences are', () => {
  fc.assert(
    fc.property(anyLab, anyStep, anyStep, (lab, one, other) => {
      const weights = weightsFor(lab, 1);
      const slopes = [0, 1, 2].map((part) => Float64Array.of(one[part] ?? 0, other[part] ?? 0));
      const [first, second, third] = turned(weights, slopes);
      for (const [row, line] of [first, second, third].entries()) {
        expect(line?.[0]).toBeCloseTo(
          weighed(weights, row, (i) => one[i] ?? 0),
          9,
        );
        expect(line?.[1]).toBeCloseTo(
          weighed(weights, row, (i) => other[i] ?? 0),
          9,
        );
      }
    }),
  );
});
