import { describe, expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { BARE, type Ink } from '../materials/ink/ink';
import type { BrushUse } from './brushes';
import { addStep, clearDesk, takeBack, takeUp } from './desk';
import { settingOf } from './setting';
import { USUAL_PACE } from './times';

const [gorse, leat] = [ink('Gorse', '#f8d46f'), ink('Leat', '#009aab', 'dye')];
const resolved = resolvedOf([gorse, leat], undefined, { notes: { second: 'mind the corner' } });
const setting = () => settingOf(resolved, 'mm', USUAL_PACE);
const told = (key: string, more: object = {}) => ({
  key,
  kind: 'lay' as const,
  title: key,
  work: '',
  care: [],
  ...more,
});

test('a middle is brewed of two inks that share brushes and make no mud, and of no others', () => {
  const brews = (...inks: readonly Ink[]) => settingOf(resolvedOf(inks), 'mm', USUAL_PACE).brews;
  const [skerry, red, green] = [
    ink('Skerry', '#005487'),
    ink('Hawberry', '#b3262f'),
    ink('Alder', '#5b8f3a'),
  ];
  expect(brews(gorse, skerry)).toBe(true);
  expect(brews(gorse, leat)).toBe(true);
  expect(brews(gorse, { ...skerry, kind: 'pigment' })).toBe(false);
  expect(brews(red, green)).toBe(false);
  expect(brews(gorse, green, skerry)).toBe(false);
});

describe('a desk', () => {
  test('counts minutes in hand and minutes waited apart; each step begins when those before it are done', () => {
    const desk = [
      told('first', { minutes: 2 }),
      told('wait', { minutes: 10, waits: 'air' }),
      told('second', { minutes: 0.5 }),
      told('look'),
    ].reduce((one, step) => addStep(one, resolved, step), clearDesk(resolved.recipe));
    expect(desk).toMatchObject({ worked: 2.5, clock: 12.5 });
    expect(desk.steps.map(({ begins }) => begins)).toEqual([0, 2, 12, 12.5]);
    // What a step does not tell of itself it has none of.
    expect(desk.steps[1]).toMatchObject({ ownBrushes: [], marks: [], deeds: [], needs: [], dangers: [] });
    expect(desk.steps.map(({ note }) => note)).toEqual([undefined, undefined, 'mind the corner', undefined]);
  });

  test('tells a panel as wet while anything but bare card is, and keeps what was taken to hand once', () => {
    const clear = clearDesk(resolved.recipe);
    const [wet, bare] = [[leat], [BARE]].map((inks) =>
      addStep({ ...clear, wet: inks }, resolved, told('one')),
    );
    expect(wet?.steps[0]?.stands).toBe('wet');
    expect(bare?.steps[0]?.stands).toBe('dry');
    const twice = ['a', 'b'].reduce(
      (desk, key) => addStep(desk, resolved, told(key, { needs: ['a ruler'], dangers: ['heat'] })),
      clear,
    );
    expect([...twice.things]).toEqual(['a ruler']);
    expect(twice.steps.map(({ dangers }) => dangers)).toEqual([['heat'], ['heat']]);
  });
});

const brush = { letter: 'B', label: 'Leat' };
const use = (more: Partial<BrushUse> = {}): BrushUse => ({
  brush,
  set: 'dye and hybrid',
  isFresh: false,
  touched: false,
  ...more,
});

describe('a brush', () => {
  test('is taken up fresh, cleaned, or as it is; the mat is wiped for it unless it is the first', () => {
    const taken = (one: BrushUse, mat: readonly Ink[] = [gorse]) => takeUp({ mat }, one, [leat], setting());
    expect(takeUp({}, use({ isFresh: true }), [leat], setting())).toEqual({
      care: [],
      ownBrushes: [],
      minutes: 0,
      deeds: [{ does: 'load', brush: 'B', inks: [leat], load: 'full' }],
    });
    expect(taken(use({ isFresh: true })).care[0]).toMatch(/^Wipe and dry the mat\. Fresh /);
    expect(taken(use()).care[0]).toMatch(/B holds it already\.$/);
    const washed = taken(use({ cleaned: { of: [gorse], how: 'washed' } }));
    expect(washed.care[0]).toMatch(/worked with Gorse: it has to be washed by now, and dry\.$/);
    expect(washed.deeds.map(({ does }) => does)).toEqual(['wipe mat', 'clean', 'load']);
    expect(washed.deeds[0]).toMatchObject({ minutes: USUAL_PACE.wipeMat });
    expect(taken(use({ cleaned: { of: [leat], how: 'wiped' } })).care[0]).toMatch(
      /until no colour comes off/,
    );
  });

  test('goes back with what it holds, or with a touch of its ink where that had to come off', () => {
    expect(takeBack(use(), leat, setting())).toMatchObject({
      care: ['No new ink.'],
      ownBrushes: [],
      deeds: [],
    });
    const touched = takeBack(
      use({ touched: true, cleaned: { of: [gorse], how: 'washed' } }),
      leat,
      setting(),
    );
    expect(touched.care[0]).toMatch(/B worked with Gorse.*Leat again, hardly any\.$/);
    expect(touched.deeds).toEqual([
      { does: 'clean', brush: 'B', how: 'washed', minutes: 0 },
      { does: 'load', brush: 'B', inks: [leat], load: 'touch' },
    ]);
  });
});
