import fc from 'fast-check';
import { expect, test } from 'vitest';
import { filmCurve } from './filmCurve';

test('the table of q·coth q keeps to the function, near zero, between entries and beyond its end', () => {
  expect(filmCurve(0)).toBe(1);
  fc.assert(
    fc.property(fc.double({ min: 1e-9, max: 400, noNaN: true }), (u) => {
      const q = Math.sqrt(u);
      const exact = q / Math.tanh(q);
      expect(Math.abs(filmCurve(u) - exact) / exact).toBeLessThan(3e-7);
    }),
  );
});
