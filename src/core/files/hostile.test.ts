import { zlibSync } from 'fflate';
import encodeChunks from 'png-chunks-encode';
import sharp from 'sharp';
import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { readCutRequest } from './cutRequest';
import { readDesignPng } from './designPng';
import { checkSvg, readDesignSvg } from './designSvg';
import { FileError } from './fileError';
import { rowsOfGpl } from './gpl';
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

/** What a PNG says of its pixels. Source: PNG specification, W3C, 11.2.2. */
interface PngKind {
  readonly colourType: 0 | 2 | 3 | 4 | 6;
  readonly depth: 1 | 2 | 4 | 8 | 16;
  /** The value, or triple, that is no colour at all. */
  readonly open?: readonly number[];
}

const CHANNELS = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 } as const;
const PALETTE = [0, 0, 0, 255, 255, 255];

/** A picture of a kind, its samples packed as the PNG specification (W3C, 7.2) says. */
function pngOf(
  { colourType, depth, open }: PngKind,
  width: number,
  height: number,
  samplesAt: (x: number, y: number) => readonly number[],
): Uint8Array {
  const bitsAPixel = CHANNELS[colourType] * depth;
  const rowBytes = 1 + Math.ceil((width * bitsAPixel) / 8);
  const raw = new Uint8Array(height * rowBytes);
  const put = (bit: number, bits: number, value: number): void => {
    for (let i = 0; i < bits; i++) {
      const at = bit + i;
      if ((value >> (bits - 1 - i)) & 1) raw[at >> 3] = (raw[at >> 3] ?? 0) | (128 >> (at & 7));
    }
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (const [i, value] of samplesAt(x, y).entries())
        put((y * rowBytes + 1) * 8 + x * bitsAPixel + i * depth, depth, value);
  const head = new Uint8Array(13);
  const view = new DataView(head.buffer);
  view.setUint32(0, width);
  view.setUint32(4, height);
  head.set([depth, colourType], 8);
  return encodeChunks([
    { name: 'IHDR', data: head },
    ...(colourType === 3 ? [{ name: 'PLTE', data: Uint8Array.from(PALETTE) }] : []),
    ...(open ? [{ name: 'tRNS', data: Uint8Array.from(open.flatMap((one) => [one >> 8, one & 255])) }] : []),
    { name: 'IDAT', data: zlibSync(raw) },
    { name: 'IEND', data: new Uint8Array() },
  ]);
}

const KINDS: readonly PngKind[] = [
  ...([1, 2, 4, 8, 16] as const).map((depth) => ({ colourType: 0, depth }) as const),
  ...([1, 2, 4, 8] as const).map((depth) => ({ colourType: 3, depth }) as const),
  ...([2, 4, 6] as const).flatMap((colourType) => ([8, 16] as const).map((depth) => ({ colourType, depth }))),
  { colourType: 2, depth: 8, open: [40, 20, 10] },
  { colourType: 0, depth: 8, open: [70] },
];

test('a stencil of every colour type and depth is read as another decoder reads it', async () => {
  for (const kind of KINDS) {
    const { colourType, depth, open } = kind;
    const most = 2 ** depth - 1;
    const samples = (x: number, y: number): readonly number[] => {
      const disc = Math.hypot(x - 30, y - 24) < 18;
      if (open && Math.hypot(x - 30, y - 24) < 8) return open;
      if (colourType === 3) return [disc ? 0 : 1];
      const colours = Array.from({ length: colourType === 2 || colourType === 6 ? 3 : 1 }, () =>
        disc ? 0 : most,
      );
      return colourType < 4 ? colours : [...colours, x > 40 ? 0 : most];
    };
    const bytes = pngOf(kind, 61, 48, samples);
    const other = await sharp(bytes).flatten({ background: '#fff' }).toColourspace('srgb').raw().toBuffer();
    const plain = pngOf({ colourType: 2, depth: 8 }, 61, 48, (x, y) =>
      [0, 1, 2].map((i) => other[(y * 61 + x) * 3 + i] ?? 0),
    );
    const read = (from: Uint8Array) => readDesignPng(from, 'a', 'Disc').design.shapes;
    expect([kind, read(bytes)]).toEqual([kind, read(plain)]);
  }
});

test('a picture whose sum does not hold, or that is woven of bits, is refused and says why', () => {
  const disc = (x: number, y: number) => [Math.hypot(x - 30, y - 24) < 18 ? 0 : 1];
  const bytes = pngOf({ colourType: 0, depth: 1 }, 61, 48, disc);
  const spoiled = bytes.with(bytes.length - 20, (bytes.at(-20) ?? 0) ^ 4);
  expect(refusal(() => readDesignPng(spoiled, 'a', 'Disc'))[0]?.problem).toContain('damaged');
});

test('values no drawing needs so long are passed over at once, groups without end are told', () => {
  const svg = (inner: string, head = 'viewBox="0 0 10 10"') =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;
  const digits = '1'.repeat(200_000);
  expect(refusal(() => readDesignSvg(svg('', `width="${digits}!" height="4"`), 'a', 'b'))[0]?.place).toBe(
    'svg',
  );
  expect(
    readDesignSvg(svg(`<rect fill="rgb(${digits})" width="5" height="5"/>`), 'a', 'b').design.shapes.length,
  ).toBe(1);
  expect(rowsOfGpl(`GIMP Palette\n1 2 3${' '.repeat(200_000)}\u2028`, []).length).toBe(1);
  expect(refusal(() => checkSvg(`<svg>${'<g>'.repeat(11_000)}`))[0]?.problem).toContain(
    'are nested more than',
  );
});

test('a piece no blade could cut is refused with the least side', () => {
  const asked = {
    sheet: { width: 210, height: 297 },
    pieces: [{ name: 'a', width: 1e-9, height: 5, count: 1 }],
  };
  expect(refusal(() => readCutRequest(JSON.stringify(asked)))[0]).toEqual({
    place: 'pieces[0].width',
    problem: expect.stringContaining('1'),
  });
});
