import { scaleLinear } from 'd3-scale';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inBands } from './resample';
import { BANDS, FIRST_NM, STEP_NM } from './spectrum';

const wavelengths = Array.from({ length: BANDS }, (_, band) => FIRST_NM + band * STEP_NM);

describe('a spectrum that was read, in bands', () => {
  test('at its own wavelengths is itself', () => {
    const values = wavelengths.map((nm) => nm / 1000);
    expect([...inBands({ nm: wavelengths, values })]).toEqual(values);
  });

  test('is a straight line between neighbours, as a general scale draws it, and goes on as it ends', () => {
    const steps = fc.array(
      fc.record({
        step: fc.integer({ min: 1, max: 37 }),
        value: fc.double({ min: 0, max: 1.2, noNaN: true }),
      }),
      { minLength: 2, maxLength: 60 },
    );
    fc.assert(
      fc.property(fc.integer({ min: 340, max: 460 }), steps, (first, all) => {
        let at = first;
        const nm = all.map(({ step }) => (at += step));
        const values = all.map(({ value }) => value);
        const theirs = scaleLinear().domain(nm).range(values).clamp(true);
        inBands({ nm, values }).forEach((value, band) => {
          expect(value).toBeCloseTo(theirs(wavelengths[band] ?? 0), 9);
        });
      }),
    );
  });

  test('of one wavelength is even, and of none is nothing', () => {
    expect(new Set(inBands({ nm: [550], values: [0.4] }))).toEqual(new Set([0.4]));
    expect(new Set(inBands({ nm: [], values: [] }))).toEqual(new Set([0]));
  });
});
