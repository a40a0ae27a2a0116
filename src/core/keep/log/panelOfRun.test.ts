import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import type { DoneLine } from '../../make/sitting/begun';
import { groupOf } from '../../make/sitting/fromSheet';
import { knownSitting } from '../../make/sitting/known';
import { newSitting } from '../../make/sitting/record';
import { beginRun } from '../../make/sitting/run';
import { panelOfRun } from './panelOfRun';

const resolved = resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#009aab', 'dye')]);
const group = groupOf(resolved, 0);
const record = {
  ...newSitting('s', 'Kiln opening', '2026-11-29'),
  lots: [{ id: 'l', recipeId: 'test', count: 2 }],
};
const known = knownSitting(record, [{ resolved, group, heated: group }], {});
const last = group.operations.length - 1;
const done = (operation: number, change: Partial<DoneLine> = {}): DoneLine => ({
  does: 'operation',
  group: 0,
  panel: 0,
  operation,
  hand: 0,
  start: operation * 3,
  end: operation * 3 + 1.23456,
  ...change,
});
const panelOf = (lines: readonly DoneLine[], line: DoneLine) =>
  panelOfRun(known, { ...beginRun(0, []), lines }, line, '2026-11-30');

test('a panel goes to the log with its last piece of work, not before, with its recipe and its sitting’s name', () => {
  expect(last).toBeGreaterThan(1);
  expect(panelOf([], done(last - 1))).toBeUndefined();
  expect(panelOf([], done(last, { group: 4 }))).toBeUndefined();
  const panel = panelOf([], done(last));
  expect(panel).toMatchObject({ date: '2026-11-30', name: 'Test', occasion: 'Kiln opening', readings: [] });
  expect(panel?.made?.recipe).toEqual(resolved.recipe);
  expect(panel).not.toHaveProperty('times');
});

test('its times are those of its own steps, to the hundredth of a minute: no other panel’s, no cleaning, nothing spoiled', () => {
  const lines = [
    done(0, { spoiled: true, end: 50 }),
    done(0),
    done(0, { panel: 1, end: 60 }),
    done(0, { does: 'wash', brush: 0, end: 70 }),
    done(last),
  ];
  expect(panelOf(lines, done(last))?.times).toEqual(
    [0, last].map((step) => ({
      key: group.steps[step]?.key,
      title: group.steps[step]?.title,
      minutes: 1.23,
    })),
  );
});

test('a step that was left lying for more than a day has no time: a log with it could not be read again', () => {
  const lines = [done(0, { end: 24 * 60 + 1 }), done(last)];
  expect(panelOf(lines, done(last))?.times?.map(({ key }) => key)).toEqual([group.steps[last]?.key]);
});
