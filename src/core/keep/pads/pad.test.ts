import ICAL from 'ical.js';
import { describe, expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { writePadReminders } from '../../files/padReminders';
import { BARE } from '../../materials/ink/ink';
import { type MadePanel, madeOf } from '../log/made';
import { drynessAfter, dueDay, inkPerCoat, isPadKnown, padStates, padWord, tellPad } from './pad';

const leat = ink('Leat', '#2a6f8a');
const gorse = ink('Gorse', '#e3b20f');
const panel = (date: string): MadePanel => ({
  id: date,
  number: 1,
  date,
  name: 'one',
  made: madeOf(resolvedOf([leat, gorse])),
  readings: [],
});
const TODAY = '2026-11-27';
const stateOf = (inked: string | undefined, panels: readonly MadePanel[]) => {
  const pads = inked === undefined ? [] : [{ inkId: leat.id, reinked: ['2020-01-01', inked] }];
  return padStates([leat], pads, panels, TODAY)[0] as never;
};
const dryness = (inked: string | undefined, panels: readonly MadePanel[]) =>
  (stateOf(inked, panels) as { dryness: number }).dryness;

test('the longer ago, and the more was laid with it, the drier a pad is guessed', () => {
  const some = Array.from({ length: 8 }, () => panel('2026-11-20'));
  expect(dryness('2026-11-20', [])).toBeLessThan(dryness('2026-05-01', []));
  expect(dryness('2026-05-01', [])).toBeLessThan(dryness('2026-05-01', some));
  expect(dryness('2026-05-01', some)).toBeGreaterThan(1);
  expect(dryness('2026-11-26', [panel('2026-01-01')])).toBe(dryness('2026-11-26', []));
  expect(padWord(dryness('2026-11-26', []))).toBe('fresh');
  expect(padWord(dryness('2025-01-01', []))).toBe('dry');
});

test('it is told in words, and a pad whose re-inking was never noted is told as that', () => {
  expect(tellPad(stateOf('2026-04-27', [panel('2026-11-20')]))).toBe(
    'last re-inked 7 months ago, 1 panel since',
  );
  expect(tellPad(stateOf(TODAY, []))).toBe('last re-inked today, unused since');
  expect(tellPad(stateOf(undefined, []))).toBe('re-inking never noted');
  // Nothing of it says that it is fresh, until so much was laid that it is due whenever it was re-inked.
  const laid = (count: number) => Array.from({ length: count }, () => panel('2026-11-20'));
  expect(isPadKnown(stateOf(undefined, laid(10)))).toBe(false);
  expect(isPadKnown(stateOf(undefined, laid(140)))).toBe(true);
  expect(isPadKnown(stateOf('2026-04-27', []))).toBe(true);
  expect(tellPad(stateOf('2026-11-26', []))).toBe('last re-inked 1 day ago, unused since');
  expect(tellPad(stateOf('2026-10-13', []))).toBe('last re-inked 1 month ago, unused since');
  // Noted under a clock that was ahead.
  expect(tellPad(stateOf('2026-12-24', []))).toBe('last re-inked today, unused since');
  expect(dryness('2026-12-24', [])).toBe(0);
});

test('reminders are a calendar that another program reads, a whole day each, on the day it is due', () => {
  const state = stateOf('2026-04-27', []);
  const text = writePadReminders([state, stateOf(undefined, [])], new Date(2026, 10, 27));
  const calendar = new ICAL.Component(ICAL.parse(text));
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  expect(events).toHaveLength(1);
  expect(events[0]?.summary).toBe('Re-ink Leat');
  expect(events[0]?.startDate.isDate).toBe(true);
  const due = dueDay(state) as Date;
  expect(events[0]?.startDate.toJSDate().toDateString()).toBe(due.toDateString());
  expect(events[0]?.component.getAllSubcomponents('valarm')).toHaveLength(1);
});

describe('how dry a pad is guessed, by hand', () => {
  const many = (count: number, date: string) => Array.from({ length: count }, () => panel(date));

  test('a year of little use dries it, half a year of a panel a month; which it is depends on the panels since', () => {
    // 2025-11-27 is 365 days before; 2026-05-29 is 182.
    expect(dryness('2025-11-27', [])).toBe(1);
    expect(dryness('2026-05-29', [])).toBeCloseTo(182 / 365, 10);
    // 182 days are 6.07 months: seven panels are more than one a month, six are not.
    expect(dryness('2026-05-29', many(7, '2026-06-01'))).toBe(1);
    expect(dryness('2026-05-29', many(6, '2026-06-01'))).toBeCloseTo(182 / 365, 10);
  });

  test('6000 cm² of full coats dry it too, and a pad of unknown age by that alone', () => {
    const [state] = padStates([leat], [], many(10, '2026-06-01'), TODAY);
    // Half of a panel of 8 × 10 cm, ten times.
    expect(state?.area).toBeCloseTo(400, 6);
    expect(state?.dryness).toBeCloseTo(400 / 6000, 10);
    expect(state && drynessAfter(state, 2600)).toBeCloseTo(0.5, 10);
    const [unlogged] = padStates(
      [leat],
      [],
      [{ id: 'x', number: 1, date: TODAY, name: 'x', readings: [], inkNames: ['Leat', 'Gorse', 'Rowan'] }],
      TODAY,
    );
    expect(unlogged?.area).toBe(50);
  });

  test('words change at their thresholds', () => {
    expect([0, 0.34, 0.35, 0.89, 0.9, 1.29, 1.3].map(padWord)).toEqual([
      'fresh',
      'fresh',
      'good',
      'good',
      'due',
      'due',
      'dry',
    ]);
  });

  test('a day is said at which it is due: as it went on, and within a year', () => {
    const day = (state: never) => dueDay(state)?.toDateString();
    expect(day(stateOf('2026-05-29', many(7, '2026-06-01')))).toBe(new Date(2026, 10, 27).toDateString());
    expect(day(stateOf('2026-11-20', []))).toBe(new Date(2027, 10, 20).toDateString());
    expect(day(stateOf(TODAY, []))).toBe(new Date(2027, 10, 27).toDateString());
    expect(dueDay(stateOf(undefined, []))).toBeUndefined();
  });

  test('the driest is told first, wished inks and bare card not at all', () => {
    const pads = [{ inkId: gorse.id, reinked: ['2025-01-01'] }];
    const rowan = { ...ink('Rowan', '#b8322f'), wished: true as const };
    expect(padStates([leat, gorse, rowan, BARE], pads, [], TODAY).map((one) => one.ink.name)).toEqual([
      'Gorse',
      'Leat',
    ]);
  });
});

test('what a coat takes is corrected by what was laid between re-inkings: the more was laid, the less a coat takes', () => {
  const pads = [{ inkId: leat.id, reinked: ['2026-01-01', '2026-06-01'] }];
  const laid = (count: number) => Array.from({ length: count }, () => panel('2026-03-01'));
  expect(inkPerCoat([leat, gorse], pads, laid(2))).toBeUndefined();
  expect(inkPerCoat([leat, gorse], pads, laid(49))).toBeUndefined();
  // 1.5 ml over 60 × 40 cm², which is 0.24 m².
  expect(inkPerCoat([leat, gorse], pads, laid(60))).toEqual({ perCoat: 6.25, refills: 1 });
  expect(inkPerCoat([leat, gorse], pads, laid(120))?.perCoat).toBeCloseTo(3.125, 10);
  // Nobody’s coat takes less than 2 ml a m²: then something was not noted.
  expect(inkPerCoat([leat, gorse], pads, laid(600))?.perCoat).toBe(2);
  // What was laid after the last re-inking says nothing yet, nor does a pad whose ink is gone.
  const after = Array.from({ length: 60 }, () => panel('2026-06-01'));
  expect(inkPerCoat([leat], pads, after)).toBeUndefined();
  expect(inkPerCoat([gorse], pads, laid(60))).toBeUndefined();
});
