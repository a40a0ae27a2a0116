import { expect, test } from 'vitest';
import { ink, kitOf, WHITE_CARD } from '../../testing/kits';
import { USUAL_PANEL } from '../panel/panel';
import { brushesFor } from './brushes';
import { compileSheet, sheetText } from './compile';
import { layingOrder } from './school';
import { tellMinutes } from './times';

const yellow = ink('Gorse', '#e3b20f');
const white = ink('Mist', '#e4e9ee');
const blue = ink('Skerry', '#005487');
const teal = ink('Weir', '#007a7c');

test('pale first lays yellow before all others, even before a paler ink (common practice)', () => {
  expect(layingOrder(kitOf([blue, white, yellow]))).toEqual([2, 1, 0]);
  expect(layingOrder(kitOf([blue, teal, white]))).toEqual([2, 1, 0]);
});

test('every new ink is followed by going back with each neighbour that is down already', () => {
  const { steps } = compileSheet(kitOf([yellow, teal, blue]), 'mm');
  expect(steps.map(({ title }) => title)).toEqual([
    'Prepare',
    'Gorse',
    'Weir',
    'Back with Gorse',
    'Skerry',
    'Back with Weir',
    'Dry',
    'Check, dry',
  ]);
});

test('an ink laid last between two neighbours is gone back over on both sides', () => {
  const { steps } = compileSheet(kitOf([teal, blue, yellow]), 'mm');
  const titles = steps.map(({ title }) => title);
  expect(titles.slice(titles.indexOf('Skerry'))).toEqual([
    'Skerry',
    'Back with Weir',
    'Back with Gorse',
    'Dry',
    'Check, dry',
  ]);
});

test('marks are measured from the foot and come from the geometry', () => {
  const kit = kitOf([yellow, teal, blue], WHITE_CARD, { panel: { width: 80, height: 120 } });
  const { steps } = compileSheet(kit, 'mm');
  expect(steps[0]?.work).toContain('35, 45, 75, 85 mm');
  expect(steps[1]?.work).toBe('Solid from 85 mm to the top edge; fade down to nothing by 75.');
  expect(steps[2]?.work).toBe('Solid 45 to 75 mm; fade up to nothing by 85, down to nothing by 35.');
  expect(steps[4]?.work).toBe('Solid from the foot to 35 mm; fade up to nothing by 45.');
  expect(compileSheet(kit, 'in').steps[3]?.work).toContain('2 15/16 to 3 3/8 in');
});

test('the mat is wiped before every ink but the first, and times add up', () => {
  const kit = kitOf([yellow, teal, blue], WHITE_CARD, { panel: USUAL_PANEL });
  const { steps, workMinutes, dryMinutes } = compileSheet(kit, 'mm');
  const wiped = steps.filter(({ care }) => care.some((line) => line.startsWith('Wipe and dry the mat')));
  expect(wiped.map(({ title }) => title)).toEqual(['Weir', 'Skerry']);
  expect(workMinutes).toBeCloseTo(3 * 2 + 2 * 0.5 + 2 * 0.75, 9);
  expect(dryMinutes).toBe(15);
});

test('a family shares its brush and pigment never shares with dye or hybrid (common practice)', () => {
  const deep = { ...ink('Weir Deep', '#004c52'), family: 'Weir' };
  const mid = { ...ink('Weir Mid', '#007a7c', 'dye'), family: 'Weir' };
  const opaque = { ...ink('Weir Pale', '#5bbfc5', 'pigment'), family: 'Weir' };
  const brushes = brushesFor([mid, deep, opaque]);
  expect(brushes.map(({ brush }) => brush.letter)).toEqual(['A', 'A', 'B']);
  expect(brushes[1]?.usedBefore?.name).toBe('Weir Mid');
});

test('thin card is warned of, heat carries its caution once', () => {
  const thin = compileSheet(kitOf([yellow, blue], { ...WHITE_CARD, grammage: 176 }), 'mm');
  expect(thin.steps[0]?.care.join(' ')).toContain('curls');
  expect(compileSheet(kitOf([yellow, blue]), 'mm').steps[0]?.care.join(' ')).not.toContain('curls');
  expect(sheetText(kitOf([yellow, blue]), 'mm').match(/hot air and hot card burn/g)).toHaveLength(1);
});

test('minutes are told as a maker says them', () => {
  expect([0.75, 2, 2.5, 60, 75].map(tellMinutes)).toEqual(['45 s', '2 min', '2½ min', '1 h', '1 h 15 min']);
});
