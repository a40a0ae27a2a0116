import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { expect, test } from 'vitest';
import { anyRecipe } from '../../testing/anyRecipe';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { FileError } from './fileError';
import { readRecipeFile, writeRecipeFile } from './recipeFile';
import { looksLikeZip, readRecipesZip, writeRecipesZip } from './recipesZip';

const resolved = resolvedOf([ink('Gorse', '#f2c230'), ink('Tarn', '#1f4f7a')]);
const faultsOf = (bytes: Uint8Array) => {
  try {
    readRecipesZip(bytes);
  } catch (error) {
    if (error instanceof FileError) return error.faults;
  }
  return [];
};

test('recipes that go out as a zip come in the same, two of one name too', () => {
  fc.assert(
    fc.property(fc.array(anyRecipe(2), { minLength: 1, maxLength: 3 }), (recipes) => {
      const twice = [...recipes, recipes[0] as (typeof recipes)[0]];
      const zip = writeRecipesZip(twice);
      expect(looksLikeZip(zip)).toBe(true);
      expect(readRecipesZip(zip)).toEqual(twice.map((one) => readRecipeFile(writeRecipeFile(one))));
    }),
    { numRuns: 10 },
  );
});

test('what cannot be read is named, and then nothing is brought in', () => {
  expect(faultsOf(zipSync({ 'dusk.json': strToU8('{"nothing": 1}') }))[0]?.place).toMatch(/^dusk\.json/);
  expect(faultsOf(zipSync({ 'picture.txt': strToU8('hello') }))[0]?.problem).toContain('holds no recipe');
  expect(faultsOf(writeRecipesZip([resolved]).slice(0, 120))[0]?.problem).toContain('damaged');
});

test('a few bytes that stand for very many are refused unread', () => {
  const bomb = zipSync({ 'bomb.json': new Uint8Array(90_000_000) }, { level: 9 });
  expect(bomb.length).toBeLessThan(200_000);
  expect(faultsOf(bomb)[0]).toMatchObject({ place: 'bomb.json' });
});
