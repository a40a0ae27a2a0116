import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { shareEqually } from '../recipe/editLadder';
import { FileError } from './fileError';
import { RECIPE_FILE_LIMIT, readRecipeFile, writeRecipeFile } from './recipeFile';
import { recipeJsonSchema } from './recipeJsonSchema';

const resolved = resolvedOf([
  ink('Gorse', '#e3b20f'),
  ink('Weir', '#007a7c'),
  ink('Skerry', '#005487', 'dye'),
]);
const published = JSON.parse(readFileSync('docs/formats/recipe-6.schema.json', 'utf8'));
const allows = new Ajv({ allErrors: true }).compile(published);

/** The message for a file with one thing changed in it. */
function refusal(change: (file: ReturnType<typeof JSON.parse>) => void): string {
  const file = JSON.parse(writeRecipeFile(resolved));
  change(file);
  return refusalOf(JSON.stringify(file));
}
function refusalOf(text: string): string {
  try {
    readRecipeFile(text);
  } catch (error) {
    if (error instanceof FileError) return error.message;
    throw error;
  }
  throw new Error('the file was accepted');
}

test('a recipe comes back from its file with its inks and card', () => {
  const back = readRecipeFile(writeRecipeFile({ ...resolved, recipe: shareEqually(resolved.recipe) }));
  expect(back.card).toEqual(resolved.card);
  expect(back.inks).toEqual(resolved.inks);
  expect(back.recipe.rungs.map(({ inkId }) => inkId)).toEqual(['Gorse', 'Weir', 'Skerry']);
  expect(back.recipe.rungs[1]?.share).toBeCloseTo(1 / 3, 9);
});

test('what is written fits the published schema', () => {
  expect(allows(JSON.parse(writeRecipeFile(resolved)))).toBe(true);
});

test('the published schema is what the tables of kinds and the limits make it', async () => {
  await expect(`${JSON.stringify(recipeJsonSchema(), null, 2)}\n`).toMatchFileSnapshot(
    join(process.cwd(), 'docs/formats/recipe-6.schema.json'),
  );
});

describe('a wrong file is refused with the place and the reason', () => {
  test.each<[string, (file: ReturnType<typeof JSON.parse>) => void, RegExp]>([
    ['a share of −3', (f) => (f.recipe.rungs[1].share = -3), /recipe\.rungs\[1\]\.share.*greater than 0.*-3/],
    ['a share in words', (f) => (f.recipe.rungs[0].share = 'half'), /recipe\.rungs\[0\]\.share.*number/],
    ['ten rungs', (f) => (f.recipe.rungs = Array(10).fill(f.recipe.rungs[0])), /recipe\.rungs.*at most 5/],
    ['one rung', (f) => f.recipe.rungs.splice(1), /recipe\.rungs.*at least 2/],
    ['an unknown ink kind', (f) => (f.inks[2].kind = 'crayon'), /inks\[2\]\.kind.*dye, hybrid/],
    [
      'a colour that is none',
      (f) => (f.inks[0].overWhite = 'teal'),
      /inks\[0\]\.overWhite.*hexadecimal.*teal/,
    ],
    ['a panel of 3 m', (f) => (f.recipe.panel.height = 3000), /recipe\.panel\.height.*3000/],
    ['a field of its own', (f) => (f.recipe.script = 'x'), /recipe.*does not belong.*script/],
  ])('%s, as the published schema does', (_, change, told) => {
    expect(refusal(change)).toMatch(told);
    const file = JSON.parse(writeRecipeFile(resolved));
    change(file);
    expect(allows(file)).toBe(false);
  });

  test.each<[string, (file: ReturnType<typeof JSON.parse>) => void, RegExp]>([
    ['a version to come', (f) => (f.version = 7), /version: Version 7 is unknown/],
    ['another format', (f) => (f.format = 'shopping list'), /format: This is JSON, but not a recipe/],
    [
      'shares that do not add up',
      (f) => (f.recipe.rungs[0].share = 0.5),
      /recipe\.rungs: shares must add up to 1/,
    ],
    ['a missing ink', (f) => f.inks.pop(), /recipe\.rungs\[2\]\.inkId: no ink "Skerry"/],
    ['another card', (f) => (f.recipe.cardId = 'slate'), /recipe\.cardId.*slate.*white/],
    ['a missing joint', (f) => f.recipe.joints.pop(), /recipe\.joints: 3 rungs have 2 joints/],
    ['joints that cross', (f) => (f.recipe.joints[0].width = 60), /recipe\.joints\[0\]\.width: does not fit/],
    ['a stamping ink as a rung', (f) => (f.inks[2].kind = 'detail'), /recipe\.rungs\[2\]\.inkId.*stamped/],
  ])('%s', (_, change, told) => {
    expect(refusal(change)).toMatch(told);
  });

  test('text that is not JSON, an empty file and a huge one', () => {
    expect(refusalOf('{"format": ')).toMatch(/not JSON/);
    expect(refusalOf('')).toMatch(/not JSON/);
    expect(refusalOf('null')).toMatch(/not a recipe/);
    expect(refusalOf(' '.repeat(RECIPE_FILE_LIMIT.bytes + 1))).toMatch(/too large/);
  });

  test('no JSON value of any shape gets past, or breaks the reader', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.constantFrom('recipe', 'card', 'inks'), (value, field) => {
        const file = JSON.parse(writeRecipeFile(resolved));
        file[field] = value;
        expect(refusalOf(JSON.stringify(file))).not.toBe('');
      }),
    );
  });
});
