import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { pictureGrades } from './grades';

const [first, second, third]: readonly ResolvedRecipe[] = Array.from({ length: 3 }, () =>
  resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#009aab')]),
) as [ResolvedRecipe, ResolvedRecipe, ResolvedRecipe];
const PIXELS = 400 * 400;
/** What has painted two pictures of all pixels, in so many ms each. */
const gradesAfter = (took: number) => {
  const grades = pictureGrades();
  for (let i = 0; i < 2; i++) grades.worked({ pixels: PIXELS, took });
  return grades;
};

test('what takes long is coarse while the hand moves, from the second change on, and as it is when that rests', () => {
  const grades = gradesAfter(100);
  grades.changed(first, PIXELS, 1, 1000);
  expect(grades.of(first)).toBe(1);
  grades.changed(second, PIXELS, 1, 1040);
  expect([grades.of(first), grades.of(second)]).toEqual([1, 2]);
  grades.rested();
  expect(grades.of(second)).toBe(1);
  grades.changed(third, PIXELS, 1, 1400);
  expect(grades.of(third)).toBe(1);
});

test('it is known from what was given up, too: a quick hand may see no other picture', () => {
  const grades = pictureGrades();
  grades.changed(first, PIXELS, 1, 1000);
  for (let i = 0; i < 2; i++) grades.worked({ pixels: PIXELS / 10, took: 10 });
  grades.changed(second, PIXELS, 1, 1040);
  expect(grades.of(second)).toBe(2);
});

test('once coarse it stays so where it is nearly light enough, and no longer where it is light', () => {
  for (const [took, grade] of [
    [8, 2],
    [4, 1],
  ] as const) {
    const grades = gradesAfter(100);
    grades.changed(first, PIXELS, 1, 1000);
    grades.changed(second, PIXELS, 1, 1040);
    grades.worked({ pixels: PIXELS / 4, took });
    grades.changed(third, PIXELS, 1, 1080);
    expect(grades.of(third)).toBe(grade);
  }
});

test('what is painted soon is not coarse, even where one picture took long', () => {
  const grades = pictureGrades();
  for (const took of [12, 90, 12]) {
    grades.worked({ pixels: PIXELS, took });
    grades.changed(first, PIXELS, 1, 1000);
    grades.changed(second, PIXELS, 1, 1010);
    expect(grades.of(second)).toBe(1);
  }
});

test('the longer it takes the coarser, as coarse as it has to be, and never beyond 2 CSS px', () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 2000, noNaN: true }), fc.constantFrom(1, 1.5, 2), (took, ratio) => {
      const grades = gradesAfter(took);
      grades.changed(first, PIXELS, ratio, 1000);
      grades.changed(second, PIXELS, ratio, 1040);
      const grade = grades.of(second);
      if (grade < 2 * ratio) expect(took / grade ** 2).toBeLessThanOrEqual(40);
      if (grade > 1) expect(took / (grade - 1) ** 2).toBeGreaterThan(40);
      expect(grade).toBeLessThanOrEqual(2 * ratio);
    }),
  );
});
