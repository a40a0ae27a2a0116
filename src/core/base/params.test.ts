import fc from 'fast-check';
import { expect, test } from 'vitest';
import { PASS_KIND_IDS, PASS_KINDS } from '../recipe/passes/passes';
import { RUN_IDS, RUNS } from '../recipe/runs/runs';
import {
  choice,
  clampMeasure,
  describeParam,
  fitParams,
  formatMeasure,
  initialParams,
  isChoice,
  keyStep,
  type MeasureSpec,
  type ParamSpec,
  readMeasure,
  toldOn,
  toldSpec,
} from './params';

const SPECS: readonly MeasureSpec[] = [
  ...RUN_IDS.flatMap((id) => Object.values<ParamSpec>(RUNS[id].params)),
  ...PASS_KIND_IDS.flatMap((id) => Object.values<ParamSpec>(PASS_KINDS[id].params)),
].flatMap((spec) => (isChoice(spec) ? [] : [spec]));

test('a key changes what is shown of a length as a rule reads it, in either unit', () => {
  const lengths = SPECS.filter(({ unit, step }) => unit === 'mm' && step >= 0.5);
  fc.assert(
    fc.property(
      fc.constantFrom(...lengths),
      fc.double({ min: 0, max: 200, noNaN: true }),
      fc.constantFrom('mm' as const, 'in' as const),
      (spec, value, unit) => {
        const [before, after] = [value, value + keyStep(spec, unit)].map((one) =>
          formatMeasure(spec, one, unit),
        );
        expect(after).not.toBe(before);
      },
    ),
  );
});

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

test('words of a choice are its own: what every object has besides is none of them', () => {
  const spec = choice('side', { top: 'at the top', foot: 'at the foot' }, 'top');
  const panel = { width: 80, height: 100 };
  const fitted = (kept: string | number) => fitParams({ side: spec }, { side: kept }, panel).side;
  expect(fitted('foot')).toBe('foot');
  for (const wrong of ['middle', 'toString', '__proto__', 'constructor', 4])
    expect(fitted(wrong)).toBe('top');
  expect(describeParam(spec, 'foot', 'mm', panel)).toBe('at the foot');
  expect(describeParam(spec, 'toString', 'mm', panel)).toBe('none');
});

test('what is told from the foot is kept from the top, there and back', () => {
  const panel = { width: 80, height: 100 };
  const spec: MeasureSpec = {
    label: 'up',
    unit: 'mm',
    min: 10,
    max: 90,
    step: 0.5,
    initial: () => 30,
    toldFrom: 'foot',
  };
  expect(toldOn(spec, 30, panel)).toBe(70);
  expect(toldOn(spec, toldOn(spec, 12.5, panel), panel)).toBe(12.5);
  expect(toldSpec({ ...spec, min: 0, max: 40 }, panel)).toMatchObject({ min: 60, max: 100 });
  // A line for panels of any size is asked for on this one; a middle may lie beside it.
  expect(toldSpec({ ...spec, min: 0, max: 420 }, panel)).toMatchObject({ min: 0, max: 100 });
  expect(toldSpec({ ...spec, min: -20, max: 420 }, panel)).toMatchObject({ min: -320, max: 120 });
  expect(describeParam(spec, 30, 'mm', panel)).toBe('70 mm');
  expect(describeParam({ ...spec, unit: '°' }, undefined, 'mm', panel)).toBe('none');
});

test('a number is held to its range, and counts are whole', () => {
  const spec: MeasureSpec = { label: 'many', unit: '×', min: 1, max: 9, step: 1, initial: () => 3 };
  expect([0, 4.4, 4.6, 99].map((value) => clampMeasure(spec, value))).toEqual([1, 4, 5, 9]);
  expect(Object.is(clampMeasure({ ...spec, unit: 'mm', min: -5, max: 5 }, -0), 0)).toBe(true);
  expect(initialParams({ many: spec }, { width: 80, height: 100 })).toEqual({ many: 3 });
});
