import { zlibSync } from 'fflate';
import encodeChunks from 'png-chunks-encode';
import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { readCutRequest } from './cutRequest';
import { readDesignPng } from './designPng';
import { FileError } from './fileError';
import { openRecipe } from './open';
import { readRecipeFile, writeRecipeFile } from './recipeFile';

const good = writeRecipeFile(resolvedOf([ink('Gorse', '#f2c230'), ink('Tarn', '#1f4f7a')]));
const changed = (change: (file: { recipe: Record<string, unknown> }) => void): string => {
  const file = JSON.parse(good);
  change(file);
  return JSON.stringify(file);
};
const refusal = (read: () => unknown): readonly { place: string; problem: string }[] => {
  try {
    read();
  } catch (error) {
    if (error instanceof FileError) return error.faults;
    throw error;
  }
  return [];
};

test('fifty-six bytes that claim to be a quarter of a gigabyte are refused by their length', () => {
  for (const claimed of [0x0fffffff, 0x7ffffff0]) {
    const bytes = new Uint8Array(56);
    bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
    new DataView(bytes.buffer).setUint32(8, claimed);
    bytes.set([0x49, 0x48, 0x44, 0x52], 12);
    expect(refusal(() => openRecipe(bytes))[0]?.problem).toContain('ends before it says it does');
  }
});

test('a crowd is refused by its count, before each of it is looked at', () => {
  for (const count of [2000, 100_000]) {
    const rungs = Array.from({ length: count }, () => ({}));
    const [fault] = refusal(() => readRecipeFile(changed(({ recipe }) => Object.assign(recipe, { rungs }))));
    expect(fault).toEqual({
      place: 'recipe.rungs',
      problem: `must have at most 5 entries (it has ${count})`,
    });
  }
  const pieces = JSON.stringify({ sheet: { width: 1, height: 1 }, pieces: Array(100_000).fill({}) });
  expect(refusal(() => readCutRequest(pieces))[0]?.place).toBe('pieces');
  const fields = Object.fromEntries(Array.from({ length: 60_000 }, (_, i) => [`f${i}`, i]));
  expect(
    refusal(() => readRecipeFile(changed(({ recipe }) => Object.assign(recipe, fields))))[0]?.problem,
  ).toContain('fields, far more than belong there');
});

test('what is nested too deep is refused, brackets in texts apart; a byte order mark is no fault', () => {
  const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
  expect(refusal(() => readCutRequest(deep))[0]?.problem).toContain('nested more than 64 deep');
  const named = changed(({ recipe }) => Object.assign(recipe, { name: '[[{{"\\'.repeat(12).trim() }));
  expect(refusal(() => readRecipeFile(named))).toEqual([]);
  expect(refusal(() => readRecipeFile(`\uFEFF${good}`))).toEqual([]);
});

test('many faults are told by their first twenty and the count of the rest', () => {
  const passes = Array.from({ length: 12 }, () => ({}));
  const faults = refusal(() => readRecipeFile(changed(({ recipe }) => Object.assign(recipe, { passes }))));
  expect(faults.length).toBe(21);
  expect(faults.at(-1)?.problem).toMatch(/^And \d+ more faults\.$/);
});

/** A grey picture of so many bits a pixel, its pixels packed as the PNG specification (W3C, 7.2) says. */
function greyPng(
  depth: 1 | 2 | 4 | 8,
  width: number,
  height: number,
  isDark: (x: number, y: number) => boolean,
) {
  const rowBytes = Math.ceil((width * depth) / 8);
  const raw = new Uint8Array(height * (rowBytes + 1));
  const white = 2 ** depth - 1;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const bit = x * depth;
      const at = y * (rowBytes + 1) + 1 + (bit >> 3);
      raw[at] = (raw[at] ?? 0) | ((isDark(x, y) ? 0 : white) << (8 - depth - (bit & 7)));
    }
  const head = new Uint8Array(13);
  const view = new DataView(head.buffer);
  view.setUint32(0, width);
  view.setUint32(4, height);
  head.set([depth, 0, 0, 0, 0], 8);
  return encodeChunks([
    { name: 'IHDR', data: head },
    { name: 'IDAT', data: zlibSync(raw) },
    { name: 'IEND', data: new Uint8Array() },
  ]);
}

test('stencils of one, two and four bits a pixel are read as the same picture of eight', () => {
  const disc = (x: number, y: number) => Math.hypot(x - 30, y - 24) < 18;
  const whole = readDesignPng(greyPng(8, 61, 48, disc), 'a', 'Disc').design;
  for (const depth of [1, 2, 4] as const)
    expect(readDesignPng(greyPng(depth, 61, 48, disc), 'a', 'Disc').design).toEqual(whole);
});
