import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bestOfEveryOrder } from '../../../testing/bestOfEveryOrder';
import { lowerBound } from './bound';
import { type AtHand, type Break, type Operation, type PanelGroup, USUAL_TABLE } from './sitting';
import { workbenchOf } from './workbench';

const group = (count: number, ...operations: Operation[]): PanelGroup => ({ name: 'one', count, operations });
const work = (minutes: number, more: Partial<Operation> = {}): Operation => ({
  name: 'work',
  minutes,
  ...more,
});
const boundOf = (groups: readonly PanelGroup[], atHand: Partial<AtHand> = {}, breaks?: readonly Break[]) =>
  lowerBound(workbenchOf({ groups, atHand: { ...USUAL_TABLE, ...atHand }, ...(breaks ? { breaks } : {}) }));

describe('no evening ends before', () => {
  test('all its work is done by the hands there are', () => {
    expect(boundOf([group(5, work(4))])).toBe(20);
    expect(boundOf([group(5, work(4))], { hands: 2 })).toBe(10);
    expect(boundOf([])).toBe(0);
    expect(boundOf([group(0, work(4)), group(2, work(3))])).toBe(6);
  });

  test('its longest panel has dried', () => {
    expect(boundOf([group(1, work(2, { rest: { min: 30 } }), work(1))])).toBe(33);
    expect(boundOf([group(2, work(2, { rest: { min: 30 } }), work(1))])).toBe(35);
    // The last one worked on dries too: the shorter drying comes last.
    expect(boundOf([group(1, work(2, { rest: { min: 30 } })), group(1, work(2, { rest: { min: 5 } }))])).toBe(
      32,
    );
  });

  test('breaks are over: nobody works in them, and what dries dries', () => {
    const rest = [{ start: 5, minutes: 10 }];
    expect(boundOf([group(4, work(3))], {}, rest)).toBe(22);
    expect(boundOf([group(1, work(3, { rest: { min: 20 } }))], {}, rest)).toBe(23);
  });

  test('each mat that no order spares is wiped, and each brush washed', () => {
    const change = group(1, work(2, { ink: 'Gorse', rest: { max: 2 } }), work(2, { ink: 'Leat' }));
    expect(boundOf([change])).toBe(4.5);
    expect(boundOf([change], { mats: 2 })).toBe(4);
    const brushes = ['gold', 'blue', 'red'].map((holds) =>
      group(1, work(2, { brush: { holds, set: 'dye' } })),
    );
    expect(boundOf(brushes, { brushes: { dye: 1 } })).toBe(6 + 2 * USUAL_TABLE.washMinutes);
    expect(boundOf(brushes, { brushes: { dye: 3 } })).toBe(6);
  });
});

test('a bound is one: of few pieces of work no order of any ends earlier', () => {
  const minutes = fc.integer({ min: 1, max: 8 }).map((n) => n / 2);
  const operation = fc
    .record({
      minutes,
      ink: fc.constantFrom('Gorse', 'Leat', undefined),
      min: fc.integer({ min: 0, max: 9 }),
      joins: fc.boolean(),
    })
    .map(
      ({ minutes: takes, ink, min, joins }): Operation =>
        work(takes, { ...(ink ? { ink } : {}), rest: joins ? { max: 3 } : { min } }),
    );
  const few = fc.array(fc.array(operation, { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 3 });
  fc.assert(
    fc.property(few, fc.integer({ min: 1, max: 2 }), (panels, mats) => {
      const groups = panels.map((own) => group(1, ...own));
      const sitting = { groups, atHand: { ...USUAL_TABLE, mats } };
      // Whatever the order, all is done by then.
      const late = 10 + panels.flat().reduce((sum, one) => sum + one.minutes + (one.rest?.min ?? 3) + 1, 0);
      expect(lowerBound(workbenchOf(sitting))).toBeLessThanOrEqual(bestOfEveryOrder(sitting, late) + 1e-9);
    }),
    { numRuns: 150 },
  );
});
