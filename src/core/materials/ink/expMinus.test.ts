import fc from 'fast-check';
import { expect, test } from 'vitest';
import { expMinus } from './expMinus';

test('e to the power −t is that of the machine to 2e-12, from nought on, and nought far out', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 45, noNaN: true }), (t) => {
      expect(Math.abs(expMinus(t) - Math.exp(-t))).toBeLessThan(2e-12);
    }),
    { numRuns: 1000 },
  );
  expect(expMinus(0)).toBe(1);
  for (let i = 0; i < 1280; i++) expect(expMinus(i / 32)).toBe(Math.exp(-i / 32));
  expect([expMinus(40), expMinus(1e9), expMinus(Number.POSITIVE_INFINITY)]).toEqual([0, 0, 0]);
});
