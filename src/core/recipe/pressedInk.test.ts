import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import type { Lab } from '../materials/colour/lab';
import { addRung } from './editLadder';
import { marksOf } from './marks';
import { fittingAim, takePressedInk } from './pressedInk';
import { jointSpans, type Recipe } from './recipe';

const grey = (l: number): Lab => ({ l, a: 0, b: 0 });
const resolved = resolvedOf([ink('Gorse', '#f2c230'), ink('Leat', '#0098a8'), ink('Tarn', '#1f4f7a')]);
const { recipe } = resolved;
const dried = [grey(82), grey(58), grey(33)];
const laid = ({ rungs }: Recipe) => rungs.map(({ inkId }) => inkId);
const press = (aim: Parameters<typeof takePressedInk>[1], l: number, of = recipe) =>
  laid(takePressedInk(of, aim, dried, { id: 'new', lab: grey(l) }));

test('an ink that is pressed goes on the rung nearest in lightness, or on the one that was chosen', () => {
  expect(press('nearest', 60)).toEqual(['Gorse', 'new', 'Tarn']);
  expect(press('nearest', 20)).toEqual(['Gorse', 'Leat', 'new']);
  expect(press({ rung: recipe.rungs[0]?.id ?? '' }, 20)).toEqual(['new', 'Leat', 'Tarn']);
});

test('a new rung keeps the ladder in order, whichever way it goes; a full one takes no more', () => {
  expect(press('new', 70)).toEqual(['Gorse', 'new', 'Leat', 'Tarn']);
  const reversed = { ...recipe, rungs: recipe.rungs.toReversed() };
  expect(laid(takePressedInk(reversed, 'new', dried.toReversed(), { id: 'new', lab: grey(70) }))).toEqual([
    'Tarn',
    'Leat',
    'new',
    'Gorse',
  ]);
  const full = addRung(addRung(recipe, 1, 'Sloe'), 1, 'Haar');
  expect(fittingAim('new', full)).toBe('nearest');
  expect(press('new', 82, full)).toHaveLength(5);
});

test('an aim at a rung that is gone is at the nearest', () => {
  expect(fittingAim({ rung: 'r9' }, recipe)).toBe('nearest');
  expect(fittingAim({ rung: 'r2' }, recipe)).toEqual({ rung: 'r2' });
});

test('marks stand at the ends of the joints, and say what is solid and what has faded there', () => {
  const marks = marksOf(resolved);
  expect(marks.map(({ along }) => along)).toEqual(
    jointSpans(recipe).flatMap(({ start, end }) => [start, end]),
  );
  expect(marks.map(({ solid, faded }) => `${solid}; ${faded}`)).toEqual([
    'Gorse solid to; Leat',
    'Leat solid from; Gorse',
    'Leat solid to; Tarn',
    'Tarn solid from; Leat',
  ]);
  expect(new Set(marks.map(({ id }) => id)).size).toBe(4);
});
