import fc from 'fast-check';
import { expect, test } from 'vitest';
import { compareWith, withRun } from '../bench/history';

const runsOf = (values: readonly number[]) =>
  values.map((value, i) => ({ at: `${i}`, values: { row: value } }));

test('the last ten runs stay, the newest last', () => {
  const runs = runsOf(Array.from({ length: 12 }, (_, i) => i)).reduce<ReturnType<typeof withRun>>(
    withRun,
    [],
  );
  expect(runs).toHaveLength(10);
  expect(runs.at(-1)?.at).toBe('11');
  expect(runs[0]?.at).toBe('2');
});

test('a row is only said to have moved beyond its own noise, and with five earlier runs', () => {
  const steady = runsOf([100, 101, 99, 100, 102, 98]);
  expect(compareWith(steady.slice(0, 4), 'row', 200)).toBeUndefined();
  expect(compareWith(steady, 'other', 200)).toBeUndefined();
  expect(compareWith(steady, 'row', 104)?.moved).toBeUndefined();
  expect(compareWith(steady, 'row', 120)).toMatchObject({ usual: 100, moved: 'up' });
  expect(compareWith(steady, 'row', 80)?.moved).toBe('down');
  // The same step on a row that varies as much by itself says nothing.
  expect(compareWith(runsOf([100, 130, 80, 120, 75, 110]), 'row', 120)?.moved).toBeUndefined();
});

test('whatever a row was before, the same again has not moved, and twice the most there was has', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 1, max: 1000, noNaN: true }), { minLength: 5, maxLength: 10 }),
      (values) => {
        const runs = runsOf(values);
        const { usual, spread } = compareWith(runs, 'row', 1) ?? { usual: 0, spread: 0 };
        expect(compareWith(runs, 'row', usual)?.moved).toBeUndefined();
        expect(compareWith(runs, 'row', 1.1 * (usual + 3 * spread))?.moved).toBe('up');
      },
    ),
  );
});
