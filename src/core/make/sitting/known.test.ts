import { expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../../testing/resolvedRecipes';
import { BARE } from '../../materials/ink/ink';
import type { Maker } from '../../sheet/compile';
import { groupOf } from './fromSheet';
import { inkOf, knownSitting, numberOf, operationOf, stepOf, tellLine } from './known';
import { newSitting, tellBrushes } from './record';
import { beginRun } from './run';
import { type Planned, USUAL_TABLE } from './sitting';

const inks = [ink('Gorse', '#f8d46f'), ink('Leat', '#009aab', 'dye')];
const resolved = resolvedOf(inks);
const group = groupOf(resolved, 0);
const heated = groupOf(resolved, 0, { drying: 'heat' });
const sheet = { resolved, group, heated };
const record = {
  ...newSitting('s', 'Sunday', '2026-11-29'),
  lots: [5, 2, 3].map((count, i) => ({ id: `l${i}`, recipeId: `r${i}`, count })),
};
const line = (change: Partial<Planned> = {}): Planned => ({
  does: 'operation',
  group: 0,
  panel: 0,
  operation: 0,
  hand: 0,
  start: 0,
  end: 1,
  ...change,
});
const of = (sheets: Parameters<typeof knownSitting>[1], maker: Maker = {}) => ({
  ...knownSitting(record, sheets, maker),
  sheets: [],
});

test('panels are numbered through over the lots that are there; a lot whose recipe is gone is named', () => {
  const known = of([sheet, undefined, sheet]);
  expect(known.gone.map(({ id }) => id)).toEqual(['l1']);
  expect(known.lots.map(({ lot, before }) => [lot.id, before])).toEqual([
    ['l0', 0],
    ['l2', 5],
  ]);
  expect(known.sitting.groups.map(({ count }) => count)).toEqual([5, 3]);
  expect([0, 2].map((panel) => numberOf(known, { group: 1, panel }))).toEqual([6, 8]);
});

test('the planner is told of the work without its sheets, in air and with the heat tool', () => {
  const known = of([sheet, sheet, sheet]);
  for (const one of [...known.sitting.groups, ...known.heated])
    expect(Object.keys(one).sort()).toEqual(['count', 'name', 'operations']);
  expect(known.heated.map(({ count }) => count)).toEqual([5, 2, 3]);
  expect(known.heated[0]?.operations).toEqual(heated.operations);
});

test('a stamp is set up once for all panels of a recipe that are printed with it', () => {
  const printed = withPass(resolved, 'backgroundStamp');
  const one = {
    resolved: printed,
    group: groupOf(printed, 0),
    heated: groupOf(printed, 0, { drying: 'heat' }),
  };
  const [setUp, lays] = one.group.operations;
  expect([setUp?.name, setUp?.minutes]).toEqual(['Background stamp', 2]);
  for (const { operations, count } of of([one, one, one]).sitting.groups) {
    expect(operations[0]?.minutes).toBeCloseTo(2 / count, 9);
    expect(operations[1]).toBe(lays);
  }
});

test('a run stays with the pace it was begun with; else it is the maker’s of today', () => {
  const [today, then]: [Maker, Maker] = [{}, {}];
  expect(of([sheet, sheet, sheet], today).maker).toBe(today);
  const run = { ...beginRun(7, []), with: { maker: then, recipes: [] } };
  expect(knownSitting({ ...record, run }, [sheet, sheet, sheet], today).maker).toBe(then);
});

test('what a plan depends on is another text when something of it is: not the name, not the day', () => {
  const question = (change: object) =>
    knownSitting({ ...record, ...change }, [sheet, sheet, sheet], {}).question;
  const own = question({});
  expect(question({ name: 'Monday', date: '2026-12-01', putsTogether: true })).toBe(own);
  const others = [
    { lots: record.lots.slice(1) },
    { start: '18:00' },
    { breaks: [{ id: 'b', at: '20:00', minutes: 10 }] },
    { atHand: { ...record.atHand, mats: 3 } },
    { wants: 'fresh' },
    { run: beginRun(7, []) },
  ];
  expect(new Set([own, ...others.map(question)]).size).toBe(others.length + 1);
});

test('a line is told with its brush and, of several, its mat; what cleans is told as that', () => {
  const known = of([sheet, sheet, sheet]);
  const two = { ...known, sitting: { ...known.sitting, atHand: { ...USUAL_TABLE, mats: 2 } } };
  const name = group.operations[0]?.name ?? '';
  expect(tellLine(known, line())).toBe(name);
  expect(tellLine(known, line({ brush: 1, mat: 1 }))).toBe(`${name}, brush B`);
  expect(tellLine(two, line({ brush: 1, mat: 1 }))).toBe(`${name}, brush B, mat 2`);
  expect(tellLine(known, line({ does: 'wipe', mat: 1 }))).toBe('Wipe and dry mat 2');
  expect(tellLine(known, line({ does: 'wash', brush: 2 }))).toBe('Wash brush C');
});

test('a line’s step and ink are those of its sheet; bare card, and what cleans, is no ink', () => {
  const known = of([sheet, sheet, sheet]);
  const lays = group.steps.findIndex((step) => step.ink !== undefined);
  const laid = line({ operation: lays });
  expect(operationOf(known, laid)).toBe(group.operations[lays]);
  expect(stepOf(known, laid)).toBe(group.steps[lays]);
  expect(inkOf(known, laid)?.name).toBe(group.steps[lays]?.ink?.name);
  expect(inkOf(known, { ...laid, does: 'wash' })).toBeUndefined();
  const bare = { ...group, steps: group.steps.map((step) => ({ ...step, ink: BARE })) };
  expect(inkOf(of([{ ...sheet, group: bare }, sheet, sheet]), laid)).toBeUndefined();
  expect(operationOf(known, line({ group: 9 }))).toBeUndefined();
});

test('brushes are told by what they are for: three for pigment are none for dye', () => {
  expect(tellBrushes({})).toBe('as many brushes as it takes');
  expect(tellBrushes({ 'dye and hybrid': 5, pigment: 1 })).toBe(
    '5 brushes for dye and hybrid, 1 brush for pigment',
  );
  expect(tellBrushes({ 'dye and hybrid': 1, 'dye and hybrid, daubers': 2 })).toBe(
    '1 brush for dye and hybrid, 2 daubers for dye and hybrid',
  );
});
