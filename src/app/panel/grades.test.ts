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
const heavy = () => {
  const grades = pictureGrades();
  for (let i = 0; i < 2; i++) grades.painted(halves(400, 100));
  return grades;
};

test('what takes long is coarse while the hand moves, from the second change on, and as it is when that rests', () => {
  const grades = heavy();
  grades.changed(first, PIXELS, 1000);
  expect(grades.of(first)).toBe(1);
  grades.changed(second, PIXELS, 1040);
  expect([grades.of(first), grades.of(second)]).toEqual([1, 2]);
  grades.rested();
  expect(grades.of(second)).toBe(1);
  grades.changed(third, PIXELS, 1400);
  expect(grades.of(third)).toBe(1);
});

test('once coarse it stays so where it is nearly light enough, and no longer where it is light', () => {
  for (const [took, grade] of [
    [8, 2],
    [4, 1],
  ] as const) {
    const grades = heavy();
    grades.changed(first, PIXELS, 1000);
    grades.changed(second, PIXELS, 1040);
    grades.painted(halves(200, took));
    grades.changed(third, PIXELS, 1080);
    expect(grades.of(third)).toBe(grade);
  }
});

test('what is painted soon is not coarse, even where one picture took long', () => {
  const grades = pictureGrades();
  for (const took of [12, 90, 12]) {
    grades.painted(halves(400, took));
    grades.changed(first, PIXELS, 1000);
    grades.changed(second, PIXELS, 1010);
    expect(grades.of(second)).toBe(1);
  }
});
