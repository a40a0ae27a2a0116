import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { groundOfCard } from '../../materials/card/card';
import { labOfSpectrum } from '../../materials/colour/lab';
import { BARE, type Ink } from '../../materials/ink/ink';
import { laidReflectance } from '../../materials/ink/laid';
import { figuresOf } from '../figures/figures';
import { filterLog, type LogFilter, unlikeness, WHOLE_LOG } from './filterLog';
import { type MadePanel, madeOf, nextNumber } from './made';
import { madeTrios } from './madeTrios';
import { twoInkCuts, untriedNeighbours } from './onward';

const [gorse, leat, skerry, rowan] = [
  ink('Gorse', '#f8d46f'),
  ink('Leat', '#009aab'),
  ink('Skerry', '#005487'),
  ink('Rowan', '#c8553d'),
];
const panelOf = (number: number, inks: readonly Ink[], more: Partial<MadePanel> = {}): MadePanel => ({
  id: `p${number}`,
  number,
  date: `2026-0${number}-10`,
  name: `panel ${number}`,
  made: madeOf(resolvedOf(inks)),
  readings: [],
  ...more,
});
const log = [
  panelOf(1, [gorse, leat, skerry], { rating: 5, occasion: 'the river walk', troubles: ['curl'] }),
  panelOf(2, [gorse, rowan, skerry], { rating: 2, favourite: true, tags: ['warm'] }),
  panelOf(4, [gorse, leat, skerry], { note: 'second try' }),
];
const found = (filter: Partial<LogFilter>, inHand?: Parameters<typeof filterLog>[2]) =>
  filterLog(log, { ...WHOLE_LOG, ...filter }, inHand).map(({ number }) => number);

describe('the log is looked through', () => {
  test('the last panel first, by what is written of it, by inks, rating, day, tag and trouble', () => {
    expect(found({})).toEqual([4, 2, 1]);
    expect(found({ text: 'RIVER walk' })).toEqual([1]);
    expect(found({ text: 'card curls' })).toEqual([1]);
    expect(found({ inks: ['Leat'] })).toEqual([4, 1]);
    expect(found({ inks: ['Leat', 'Rowan'] })).toEqual([]);
    expect(found({ rating: 3 })).toEqual([1]);
    expect(found({ favourite: true, tag: 'warm' })).toEqual([2]);
    expect(found({ trouble: 'curl' })).toEqual([1]);
    expect(found({ from: '2026-02-10', to: '2026-03-01' })).toEqual([2]);
    expect(found({ family: 'Rowan' })).toEqual([2]);
  });

  test('the most like a ladder in hand first, whichever way round it lies, and the loneliest first', () => {
    expect(found({ sort: 'like' }, resolvedOf([gorse, rowan, skerry]))[0]).toBe(2);
    expect(found({ sort: 'like' }, resolvedOf([skerry, rowan, gorse]))[0]).toBe(2);
    expect(found({ sort: 'unlike' })[0]).toBe(2);
    const one = [{ l: 50, a: 0, b: 0 }];
    expect(unlikeness(one, one)).toBe(0);
    expect(unlikeness(one, undefined)).toBe(Number.POSITIVE_INFINITY);
  });
});

test('figures count trios once, inks by use, months without a gap', () => {
  const { trios, inks, months } = figuresOf(log, [gorse, leat, skerry, rowan, ink('Moss', '#3d8342')]);
  expect(trios).toEqual({ made: 2, possible: 10 });
  expect(inks.map((one) => [one.ink.name, one.panels])).toEqual([
    ['Gorse', 3],
    ['Skerry', 3],
    ['Leat', 2],
    ['Rowan', 1],
    ['Moss', 0],
  ]);
  expect(months.map(({ panels }) => panels)).toEqual([1, 1, 0, 1]);
  expect(nextNumber(log)).toBe(5);
});

test('trios are counted of inks that are owned and blend; bare card makes no trio', () => {
  const [stamp, wished] = [
    ink('Soot', '#222222', 'detail'),
    { ...ink('Moss', '#3d8342'), wished: true as const },
  ];
  const shelf = [gorse, leat, skerry, stamp, wished];
  const made = [
    ...log,
    panelOf(5, [gorse, leat, BARE]),
    panelOf(6, [gorse, leat, { ...skerry, id: 'gone' }]),
    panelOf(7, [gorse, leat, wished]),
  ];
  const { trios, inks } = figuresOf(made, shelf);
  expect(trios).toEqual({ made: 1, possible: 1 });
  expect(inks.map((one) => one.ink.name)).toEqual(['Gorse', 'Leat', 'Skerry', 'Soot']);
});

test('months go back ten years at the most, over the turns of years, whatever year was mistyped', () => {
  const on = (date: string, i: number) => panelOf(i, [gorse, leat], { date });
  const months = (...dates: string[]) => figuresOf(dates.map(on), []).months;
  expect(months('2025-11-30', '2026-02-01').map(({ month }) => month)).toEqual([
    '2025-11',
    '2025-12',
    '2026-01',
    '2026-02',
  ]);
  const long = months('0226-05-01', '2026-05-01', '2026-05-20');
  expect(long).toHaveLength(120);
  expect(long.at(-1)).toEqual({ month: '2026-05', panels: 2 });
  expect(months()).toEqual([]);
});

test('an error is told by what was known when the panel was made', () => {
  const resolved = resolvedOf([gorse, leat]);
  const lab = labOfSpectrum(laidReflectance([{ ink: gorse, coats: 1 }], groundOfCard(resolved.card)));
  const made = madeOf(resolved);
  const read = (l: number) => [
    { at: { x: 40, y: 8 }, lab: { ...lab, l }, source: 'reader' as const, noise: 0.5 },
  ];
  const { errors } = figuresOf(
    [
      panelOf(1, [gorse, leat], { made, readings: read(lab.l) }),
      panelOf(2, [gorse, leat], { made, readings: read(lab.l - 8) }),
    ],
    [gorse, leat],
  );
  expect(errors[0]?.median).toBeLessThan(0.3);
  expect(errors[1]?.median).toBeGreaterThan(3);
});

test('a panel leads on to its two-ink cuts, and to neighbours that were never made and turn to no mud', () => {
  const demo = ['gorse-pale', 'leat-mid', 'skerry-deep'].map(
    (id) => DEMO_INKS.find((one) => one.id === id) as Ink,
  );
  const resolved = resolvedOf(demo);
  expect(twoInkCuts(resolved).map(({ recipe }) => recipe.rungs.length)).toEqual([2, 2, 2]);
  const first = untriedNeighbours(resolved, DEMO_INKS, new Set());
  expect(first).toHaveLength(3);
  const key = madeTrios(
    [panelOf(1, [])].map((one) => ({
      ...one,
      made: { ...madeOf(resolved), recipe: first[0]?.recipe as never },
    })),
  );
  const next = untriedNeighbours(resolved, DEMO_INKS, key);
  expect(next.map(({ how }) => how)).not.toContain(first[0]?.how);
});
