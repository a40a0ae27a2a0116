import ICAL from 'ical.js';
import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { writePadReminders } from '../../files/padReminders';
import { type MadePanel, madeOf } from '../log/made';
import { drynessAfter, dueDay, inkPerCoat, padStates, padWord, tellPad } from './pad';

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

test('what a coat takes is corrected by what was laid between re-inkings: the more was laid, the less a coat takes', () => {
  const pads = [{ inkId: leat.id, reinked: ['2026-01-01', '2026-06-01'] }];
  const laid = (count: number) => Array.from({ length: count }, () => panel('2026-03-01'));
  expect(inkPerCoat([leat, gorse], pads, laid(2))).toBeUndefined();
  const [some, many] = [
    inkPerCoat([leat, gorse], pads, laid(80)),
    inkPerCoat([leat, gorse], pads, laid(160)),
  ];
  expect(some?.perCoat).toBeCloseTo(2 * (many?.perCoat ?? 0), 6);
  expect(some?.refills).toBe(1);
  const state = stateOf('2026-11-01', []);
  expect(drynessAfter(state, 600)).toBeGreaterThan(drynessAfter(state, 0));
});
