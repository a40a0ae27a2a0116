import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { shareEqually } from '../recipe/editLadder';
import { refuseLarger } from './limits';
import { LARGEST_RECIPE, openRecipe } from './open';
import { writeRecipeCode } from './recipeCode';
import { RECIPE_FILE_LIMIT, writeRecipeFile } from './recipeFile';
import { RECIPE_PICTURE_LIMIT, writeRecipePicture } from './recipePicture';

const plain = resolvedOf([ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')]);
const resolved = { ...plain, recipe: shareEqually(plain.recipe) };
const bytes = (text: string) => new TextEncoder().encode(text);

test('a recipe is the same recipe, whatever it comes in', () => {
  const picture = { width: 2, height: 2, pixels: new Uint8ClampedArray(16).fill(255) };
  const forms = [
    bytes(writeRecipeFile(resolved)),
    bytes(writeRecipeCode(resolved)),
    bytes(`\n ${writeRecipeCode(resolved)}\n`),
    writeRecipePicture(resolved, picture, 300),
    // As an editor keeps it that writes UTF-16.
    new Uint8Array(Uint16Array.from(`\uFEFF${writeRecipeFile(resolved)}`, (c) => c.charCodeAt(0)).buffer),
  ];
  for (const form of forms) {
    const { recipe, inks } = openRecipe(form);
    expect(recipe.rungs.map(({ inkId }) => inkId)).toEqual(['Gorse', 'Weir']);
    expect(inks.map(({ overWhite }) => overWhite)).toEqual(['#e3b20f', '#007a7c']);
  }
});

test('what is too large for its format is told so, and what is larger than all is not read at all', () => {
  expect(() => openRecipe(new Uint8Array(RECIPE_FILE_LIMIT.bytes + 1).fill(32))).toThrow(/at most 4 MB/);
  expect(LARGEST_RECIPE.bytes).toBe(RECIPE_PICTURE_LIMIT.bytes);
  expect(() => refuseLarger(LARGEST_RECIPE.bytes + 1, LARGEST_RECIPE)).toThrow(
    /JSON up to 4 MB, a picture up to/,
  );
  expect(() => refuseLarger(LARGEST_RECIPE.bytes, LARGEST_RECIPE)).not.toThrow();
});

test('what is no recipe at all is taken for JSON and told so', () => {
  for (const wrong of ['', 'hello', '\u0089PNX', '{"format": "shopping list"}'])
    expect(() => openRecipe(bytes(wrong))).toThrow(/not JSON|not a recipe/);
});
