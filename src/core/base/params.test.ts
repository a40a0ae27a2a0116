import fc from 'fast-check';
import { expect, test } from 'vitest';
import { PASS_KIND_IDS, PASS_KINDS } from '../recipe/passes/passes';
import { RUN_IDS, RUNS } from '../recipe/runs/runs';
import { formatMeasure, isChoice, type MeasureSpec, type ParamSpec, readMeasure } from './params';

const SPECS: readonly MeasureSpec[] = [
  ...RUN_IDS.flatMap((id) => Object.values<ParamSpec>(RUNS[id].params)),
  ...PASS_KIND_IDS.flatMap((id) => Object.values<ParamSpec>(PASS_KINDS[id].params)),
].flatMap((spec) => (isChoice(spec) ? [] : [spec]));

test('every number of every run and pass may be typed as it is told, its limits too, in either unit', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SPECS),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.constantFrom('mm' as const, 'in' as const),
      (spec, part, unit) => {
        const value = spec.min + part * (spec.max - spec.min);
        for (const number of [value, spec.min, spec.max]) {
          const read = readMeasure(spec, formatMeasure(spec, number, unit), unit);
          expect(read).toBeGreaterThanOrEqual(spec.min);
          expect(read).toBeLessThanOrEqual(spec.max);
          // Told again it reads the same: nothing drifts by being looked at.
          expect(formatMeasure(spec, read ?? Number.NaN, unit)).toBe(formatMeasure(spec, number, unit));
        }
      },
    ),
    { numRuns: 300 },
  );
});

test('a step of an arrow key is seen in what is told, in millimetres', () => {
  for (const spec of SPECS)
    expect(formatMeasure(spec, spec.min + spec.step, 'mm'), spec.label).not.toBe(
      formatMeasure(spec, spec.min, 'mm'),
    );
});

test('what is no number, or lies beyond, is not read', () => {
  for (const spec of SPECS)
    for (const wrong of ['', ' ', 'wide', '1/0', `${spec.max * 2 + 1}`, `${spec.min - 5}`])
      expect(readMeasure(spec, wrong, 'mm'), `${spec.label} ${wrong}`).toBeUndefined();
});
