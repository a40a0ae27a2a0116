import { expect, test } from 'vitest';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import type { Painted } from '../../workers/picture.worker';
import { pictureGrades } from './grades';

const [first, second, third]: readonly ResolvedRecipe[] = Array.from({ length: 3 }, () =>
  resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#009aab')]),
) as [ResolvedRecipe, ResolvedRecipe, ResolvedRecipe];
const halves = (width: number, took: number): readonly Painted[] =>
  [0, 1].map(() => ({ width, height: width / 2, took: took / 2, pixels: new Uint8ClampedArray() }));
const PIXELS = 400 * 400;

test('what takes long is coarse while the hand moves, from the second change on, and as it is when that rests', () => {
  const grades = pictureGrades();
  grades.painted(halves(400, 100));
  grades.changed(first, PIXELS, 1000);
  expect(grades.of(first)).toBe(1);
  grades.changed(second, PIXELS, 1040);
  expect([grades.of(first), grades.of(second)]).toEqual([1, 2]);
  grades.rested();
  expect(grades.of(second)).toBe(1);
  grades.changed(third, PIXELS, 1400);
  expect(grades.of(third)).toBe(1);
});

test('it stays coarse for one movement, even where the coarse one says that it need not be', () => {
  const grades = pictureGrades();
  grades.painted(halves(400, 60));
  grades.changed(first, PIXELS, 1000);
  grades.changed(second, PIXELS, 1040);
  grades.painted(halves(200, 8));
  grades.changed(third, PIXELS, 1080);
  expect(grades.of(third)).toBe(2);
});

test('what is painted soon is never coarse', () => {
  const grades = pictureGrades();
  grades.painted(halves(400, 12));
  grades.changed(first, PIXELS, 1000);
  grades.changed(second, PIXELS, 1010);
  expect(grades.of(second)).toBe(1);
});
