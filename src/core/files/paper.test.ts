import { deflateSync, strToU8 } from 'fflate';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { decode as decodeText } from 'png-chunk-text';
import extractChunks from 'png-chunks-extract';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { FONTS } from '../../testing/fonts';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import type { Design } from '../materials/design/design';
import { paintPanel, pixelsAt } from '../picture/paint';
import { setRun } from '../recipe/editLadder';
import { USUAL_PANEL } from '../recipe/panel';
import type { ResolvedRecipe } from '../recipe/resolved';
import { RUN_IDS } from '../recipe/runs/runs';
import { compileSheet } from '../sheet/compile';
import { FileError } from './fileError';
import { PAPERS } from './papers';
import { CODE_PREFIX, readRecipeCode, writeRecipeCode } from './recipeCode';
import { readRecipeFile, writeRecipeFile } from './recipeFile';
import { RECIPE_KEYWORD, readRecipePicture, rgbOf, writeRecipePicture } from './recipePicture';
import { writeSheetPdf } from './sheetPdf';
import { stagePictures } from './stagePictures';

// Fonts are cut down and pictures packed, which takes seconds on a busy machine.

const dark = ink('Tarn', '#133f7c');
const resolved = resolvedOf(
  [{ ...ink('Gorse', '#e3b20f'), name: 'Gorsé ½' }, ink('Weir', '#007a7c'), ink('Skerry', '#005487', 'dye')],
  WHITE_CARD,
  { panel: USUAL_PANEL },
);
const glowing: ResolvedRecipe = withPass({ ...resolved, recipe: setRun(resolved.recipe, 'glow') }, 'edge', {
  ink: dark,
});
const pictureOf = (of: ResolvedRecipe, dpi: number) => {
  const { width, height } = pixelsAt(of.recipe.panel, dpi);
  return paintPanel(of, 'dry', width, height);
};

describe('the panel as a picture', () => {
  const png = writeRecipePicture(glowing, pictureOf(glowing, 100), 100);

  test('an independent reader finds its size, its resolution and the recipe in its text', async () => {
    const { width, height, density } = await sharp(png).metadata();
    expect([width, height]).toEqual([425, 550]);
    expect(density).toBe(100);
    const texts = extractChunks(png)
      .filter(({ name }) => name === 'tEXt')
      .map(({ data }) => decodeText(data));
    const carried = texts.find(({ keyword }) => keyword === RECIPE_KEYWORD);
    expect(readRecipeFile(carried?.text ?? '').recipe.run.id).toBe('glow');
  });

  test('opens as the recipe it was made from', () => {
    const back = readRecipePicture(png);
    expect(back).toEqual(readRecipeFile(writeRecipeFile(glowing)));
    expect(back.inks[0]?.name).toBe('Gorsé ½');
  });

  test('without a recipe, cut short, or no picture at all, it is refused with the reason', () => {
    const refusal = (bytes: Uint8Array): string => {
      try {
        readRecipePicture(bytes);
      } catch (error) {
        if (error instanceof FileError) return error.message;
        throw error;
      }
      return 'accepted';
    };
    const plain = Uint8Array.from(png);
    const at = Buffer.from(plain).indexOf(RECIPE_KEYWORD);
    expect(refusal(plain.subarray(0, 300))).toMatch(/damaged/);
    plain[at] = 'x'.charCodeAt(0);
    expect(refusal(plain)).toMatch(/damaged|no recipe/);
    expect(refusal(new Uint8Array(100))).toMatch(/damaged/);
  });
});

describe('a recipe as a code', () => {
  test('comes back as itself, on every run, and fits a QR code', () => {
    for (const id of RUN_IDS) {
      const one = { ...resolved, recipe: setRun(resolved.recipe, id) };
      const code = writeRecipeCode(one);
      // What a QR code of version 40 holds at level L. Source: ISO/IEC 18004.
      expect(code.length).toBeLessThan(2953);
      expect(readRecipeCode(code).recipe.run).toEqual(readRecipeFile(writeRecipeFile(one)).recipe.run);
    }
  });

  test('changed, cut short or blown up it is refused', () => {
    const code = writeRecipeCode(resolved);
    const cut = code.slice(0, -40);
    const bomb = CODE_PREFIX + Buffer.from(deflated(' '.repeat(40_000_000))).toString('base64url');
    for (const wrong of [cut, `${code}!`, CODE_PREFIX, bomb])
      expect(() => readRecipeCode(wrong)).toThrow(FileError);
  });
});

const deflated = (text: string): Uint8Array => deflateSync(strToU8(text));

const POINT = 72 / 25.4;

/** What a reader finds: the pages' sizes, the panel's size as it is placed, and the text. */
async function read(pdf: Uint8Array) {
  const document = await getDocument({ data: pdf, verbosity: 0 }).promise;
  const page = await document.getPage(1);
  const { fnArray, argsArray } = await page.getOperatorList();
  const at = fnArray.indexOf(OPS.paintImageXObject);
  const image = await new Promise<{ width: number; height: number; data: Uint8Array }>((resolve) =>
    page.objs.get((argsArray[at] as string[])[0] ?? '', resolve),
  );
  let [width, height] = [0, 0];
  for (let i = 0; i < at; i++)
    if (fnArray[i] === OPS.transform) {
      const [a, , , d] = argsArray[i] as number[];
      if ((a ?? 0) > 1) width = a ?? 0;
      if ((d ?? 0) > 1) height = d ?? 0;
    }
  const texts: string[] = [];
  for (let n = 1; n <= document.numPages; n++) {
    const { items } = await (await document.getPage(n)).getTextContent();
    texts.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  const [, , pageWidth = 0, pageHeight = 0] = page.view;
  return {
    pages: document.numPages,
    size: [pageWidth, pageHeight],
    panel: { width, height },
    image,
    text: texts.join(' '),
  };
}

test.each(['A4', 'Letter'] as const)(
  'the sheet on %s is one page with the panel at true size',
  async (paper) => {
    const picture = pictureOf(glowing, 72);
    const pdf = await writeSheetPdf({
      resolved: glowing,
      unit: 'mm',
      maker: {},
      paper,
      picture,
      stages: stagePictures(glowing, compileSheet(glowing, 'mm').steps),
      fonts: FONTS,
    });
    const { pages, size, panel, image, text } = await read(pdf);
    expect(pages).toBe(1);
    expect([image.width, image.height]).toEqual([picture.width, picture.height]);
    expect(Buffer.compare(image.data, rgbOf(picture))).toBe(0);
    expect((size[0] ?? 0) / POINT).toBeCloseTo(PAPERS[paper].width, 1);
    expect((size[1] ?? 0) / POINT).toBeCloseTo(PAPERS[paper].height, 1);
    expect(panel.width / POINT).toBeCloseTo(USUAL_PANEL.width, 2);
    expect(panel.height / POINT).toBeCloseTo(USUAL_PANEL.height, 2);
    for (const word of [
      'Gorsé ½',
      'Skerry',
      'Back with Weir',
      'Edge: Tarn',
      'hot air',
      'At every ink',
      'Notes',
    ])
      expect(text).toContain(word);
  },
);

test('a step that changes nothing on the panel has no small picture, the others keep their numbers', () => {
  const { steps } = compileSheet(glowing, 'mm');
  const shown = stagePictures(glowing, steps).map(({ step }) => steps[step - 1]?.kind);
  expect(shown[0]).toBe('prepare');
  expect(shown).toContain('lay');
  expect(shown).toContain('dry');
  // The last look finds the panel as drying left it.
  expect(steps.at(-1)?.kind).toBe('check');
  expect(shown).not.toContain('check');
});

test('a panel larger than the paper is drawn smaller, and the page says so', async () => {
  const large = { ...resolved, recipe: { ...resolved.recipe, panel: { width: 297, height: 420 } } };
  const pdf = await writeSheetPdf({
    resolved: large,
    unit: 'mm',
    maker: {},
    paper: 'A4',
    picture: pictureOf(large, 20),
    stages: [],
    fonts: FONTS,
  });
  const { text, panel } = await read(pdf);
  expect(panel.width / POINT).toBeLessThan(200);
  expect(text).toMatch(/drawn at \d\d % of its size/);
});

test('a recipe whose own designs are too large for a code still becomes a sheet, and says so', async () => {
  const busy: Design = {
    id: 'busy',
    name: 'Busy',
    use: 'image',
    width: 60,
    height: 60,
    shapes: Array.from({ length: 400 }, (_, i) => ({
      d: `M${(i * 7.31) % 60} ${(i * 3.77) % 60}L${(i * 5.13) % 60} ${(i * 9.91) % 60}`,
      rule: 'nonzero',
      stroke: 0.4,
    })),
  };
  const drawn = withPass(resolved, 'silhouette', { ink: dark, design: busy });
  const pdf = await writeSheetPdf({
    resolved: drawn,
    unit: 'mm',
    maker: {},
    paper: 'A4',
    picture: pictureOf(drawn, 40),
    stages: [],
    fonts: FONTS,
  });
  const page = await (await getDocument({ data: pdf.slice() }).promise).getPage(1);
  const words = (await page.getTextContent()).items
    .flatMap((item) => ('str' in item ? [item.str] : []))
    .join(' ');
  expect(words).toContain('too large for a code');
  expect(readRecipeFile(writeRecipeFile(drawn)).designs).toEqual([busy]);
});
