import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink } from '../../testing/resolvedRecipes';
import { blankRecipe } from './newRecipe';

const begun = (inks: typeof DEMO_INKS) =>
  blankRecipe({ inks, cards: DEMO_CARDS })?.rungs.map(({ inkId }) => inkId);

test('a new recipe begins with three depths of one family, pale to dark, whatever ink was added before them', () => {
  const own = ink('Cow Parsley', '#d9e4c8');
  expect(begun([own, ...DEMO_INKS])).toEqual(begun(DEMO_INKS));
  const depths = DEMO_INKS.filter(({ id }) => begun(DEMO_INKS)?.includes(id));
  expect(new Set(depths.map(({ family }) => family)).size).toBe(1);
});

test('without a whole family it takes the first inks that are owned, still pale to dark', () => {
  const dark = ink('dark', '#203040');
  const pale = ink('pale', '#e8e0c0');
  const wished = { ...ink('wished', '#c04040'), wished: true };
  expect(begun([wished, dark, pale])).toEqual(['pale', 'dark']);
  expect(begun([dark])).toBeUndefined();
});
