import { describe, expect, test } from 'vitest';
import { whyThen } from './critical';
import { type Operation, type Planned, type Sitting, USUAL_TABLE } from './sitting';

const lay: Operation = {
  name: 'lay',
  minutes: 2,
  ink: 'leat',
  brush: { holds: 'leat', set: 'dye and hybrid' },
};
const dried: Operation = { ...lay, name: 'last coat', rest: { min: 15 } };
const heat: Operation = { name: 'emboss', minutes: 2, heat: true };
const sitting = (change: Partial<Sitting> = {}): Sitting => ({
  groups: [{ name: 'cards', count: 3, operations: [lay, dried, heat] }],
  atHand: USUAL_TABLE,
  ...change,
});
const line = (operation: number, start: number, change: Partial<Planned> = {}): Planned => ({
  does: 'operation',
  group: 0,
  panel: 0,
  operation,
  hand: 0,
  start,
  end: start + 2,
  ...change,
});
const why = (lines: readonly Planned[], last: Planned, of = sitting()) => whyThen(of, [...lines, last], last);

describe('why a piece begins then and no earlier', () => {
  test('the very first waits for nothing', () => {
    expect(why([], line(0, 0))).toBeUndefined();
  });

  test('its hands, the brush, the mat and the heat tool are told in that order, with what held them', () => {
    const before = line(0, 0, { panel: 1, brush: 0, mat: 0 });
    expect(why([before], line(0, 2, { brush: 0, mat: 0 }))).toEqual({ for: 'the hands', after: before });
    expect(why([before], line(0, 2, { hand: 1, brush: 0, mat: 0 }))?.for).toBe('the brush');
    expect(why([before], line(0, 2, { hand: 1, brush: 1, mat: 0 }))?.for).toBe('the mat');
    expect(why([before], line(0, 2, { hand: 1, brush: 1, mat: 1 }))).toBeUndefined();
    const heated = line(2, 0, { panel: 1 });
    expect(why([heated], line(2, 2, { hand: 1 }))?.for).toBe('the heat tool');
    expect(why([heated], line(0, 2, { hand: 1 }))).toBeUndefined();
  });

  test('a stamp that is in the other hands is told', () => {
    const print = (stamp: string): Operation => ({ name: 'print', minutes: 2, things: [stamp] });
    const stamped = sitting({
      groups: [{ name: 'cards', count: 3, operations: [print('reeds'), print('hills')] }],
    });
    const before = line(0, 0, { panel: 1 });
    expect(why([before], line(0, 2, { hand: 1 }), stamped)).toEqual({
      for: 'the stamp or stencil',
      after: before,
    });
    expect(why([before], line(1, 2, { hand: 1 }), stamped)).toBeUndefined();
  });

  test('its own drying, which nobody can hurry, is told before the hands that were free just then', () => {
    const coat = line(1, 0);
    const other = line(0, 15, { panel: 2 });
    expect(why([coat, other], line(2, 17))).toEqual({ for: 'its drying', after: coat });
    // Another panel's drying is nothing to it.
    expect(why([line(1, 0, { panel: 1 })], line(2, 17))).toBeUndefined();
  });

  test('a washed brush is waited for until it is dry', () => {
    const wash = line(0, 0, { does: 'wash', hand: 1, brush: 0, panel: 2 });
    const damp = USUAL_TABLE.dampMinutes;
    expect(why([wash], line(0, 2 + damp, { brush: 0 }))).toEqual({ for: 'the brush', after: wash });
    expect(why([wash], line(0, 2 + damp, { brush: 1 }))).toBeUndefined();
  });

  test('a break that was just over, and nothing else', () => {
    const paused = sitting({ breaks: [{ start: 10, minutes: 15 }] });
    expect(why([], line(0, 25), paused)).toEqual({ for: 'a break' });
    expect(why([], line(0, 26), paused)).toBeUndefined();
  });

  test('a join whose brush comes dry only later, or room for one panel more to dry', () => {
    const wash = line(0, 3, { does: 'wash', hand: 1, brush: 0, panel: 2 });
    const later = line(1, 5 + USUAL_TABLE.dampMinutes, { brush: 0 });
    const first = line(0, 4, { hand: 0 });
    expect(whyThen(sitting(), [wash, first, later], first)).toEqual({ for: 'its join' });
    const drying = [1, 2].map((panel) => line(1, panel - 1, { panel, hand: 1 }));
    const next = line(0, 12);
    const narrow = (places: number) => sitting({ atHand: { ...USUAL_TABLE, places } });
    expect(why(drying, next, narrow(2))).toEqual({ for: 'room to dry' });
    expect(why(drying, next, narrow(3))).toBeUndefined();
    // By then one of them is dry, and its place is free.
    expect(why(drying, line(0, 17.5), narrow(2))).toBeUndefined();
  });
});
