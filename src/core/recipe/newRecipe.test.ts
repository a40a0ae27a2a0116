import { expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink } from '../../testing/resolvedRecipes';
import { INK_DEPTHS } from '../materials/ink/ink';
import { wholeFamilies } from './newRecipe';

test('a whole family has its three depths, pale to dark, whatever stands before it on the shelf', () => {
  const own = ink('Cow Parsley', '#d9e4c8');
  const families = wholeFamilies([own, ...DEMO_INKS]);
  expect(families).toEqual(wholeFamilies(DEMO_INKS));
  for (const family of families) {
    expect(family.map(({ depth }) => depth).toSorted()).toEqual(INK_DEPTHS.toSorted());
    expect(new Set(family.map((one) => one.family)).size).toBe(1);
  }
});

test('a depth that is only wished for, or not blended, makes no family whole', () => {
  const [first] = wholeFamilies(DEMO_INKS);
  const pale = first?.[0];
  const without = DEMO_INKS.map((one) => (one.id === pale?.id ? { ...one, wished: true } : one));
  expect(wholeFamilies(without)).toHaveLength(wholeFamilies(DEMO_INKS).length - 1);
});
