import { expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import { removeRung } from '../recipe/editLadder';
import type { Recipe } from '../recipe/recipe';
import { compileSheet, sheetText } from './compile';

const [gorse, leat, weir] = [ink('Gorse', '#e9c85a'), ink('Leat', '#2a8f8a'), ink('Weir', '#1f4f7a')];
const laid = (change: Partial<Recipe> = {}) => resolvedOf([gorse, leat, weir], undefined, change);

test('a note stays in sight when another order, a rung less or a pass left out takes its step away', () => {
  const coated = withPass(laid({ school: 'paleFirst' }), 'coat', { ink: weir });
  const keys = compileSheet(coated, 'mm').steps.map(({ key }) => key);
  const notes = Object.fromEntries(keys.map((key) => [key, `to ${key}`]));
  const noted = (change: Partial<Recipe>) => ({ ...coated, recipe: { ...coated.recipe, notes, ...change } });
  expect(compileSheet(noted({}), 'mm').strayNotes).toEqual([]);

  for (const change of [
    { school: 'darkFirst' as const },
    { passes: coated.recipe.passes.map((pass) => ({ ...pass, enabled: false })) },
  ]) {
    const { steps, strayNotes } = compileSheet(noted(change), 'mm');
    const told = [...steps.flatMap(({ note }) => note ?? []), ...strayNotes.map(({ note }) => note)];
    expect(told.toSorted()).toEqual(Object.values(notes).toSorted());
    expect(strayNotes.length).toBeGreaterThan(0);
  }
});

test('it says of which inks or pass it was; of one whose rung is gone, of what is left', () => {
  const coated = withPass(laid({ school: 'darkFirst' }), 'coat', { ink: weir });
  const [first, second] = coated.recipe.rungs;
  const [pass] = coated.recipe.passes;
  const notes = {
    [`back ${first?.id} over ${second?.id}`]: 'gently',
    [`pass ${pass?.id} 7`]: 'juicy',
    'dry 9': 'long',
  };
  const off = { ...coated, recipe: { ...coated.recipe, notes } };
  expect(compileSheet(off, 'mm').strayNotes.map(({ of }) => of)).toEqual(['Gorse over Leat', 'Top coat', '']);
  expect(sheetText(off, 'mm')).toContain(
    'Note to a step that is not in this order, Gorse over Leat: gently\n\n',
  );
  expect(sheetText(off, 'mm')).toContain('Note to a step that is not in this order: long');
  const fewer = { ...off, recipe: removeRung(off.recipe, 0), inks: [leat, weir] };
  expect(compileSheet(fewer, 'mm').strayNotes[0]?.of).toBe('Leat');
});
