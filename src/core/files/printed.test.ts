import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { FONTS } from '../../testing/fonts';
import { WHITE_CARD } from '../../testing/resolvedRecipes';
import { ROWS_A_PAGE, swatchPages } from '../keep/swatches/page';
import { type Label, writeLabels } from './labelsPdf';
import { PAPERS } from './papers';
import { writeSwatchPdf } from './swatchPdf';
import { writeWeakPairs } from './weakPairsPdf';

// Fonts are cut down, which takes seconds on a busy machine.

const POINT = 72 / 25.4;

/** What an independent reader finds on each page: its size in mm, its words with where they begin, and its boxes, mm. */
async function pagesOf(pdf: Uint8Array) {
  const document = await getDocument({ data: pdf, verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: document.numPages }, async (_, i) => {
      const page = await document.getPage(i + 1);
      const [, , width = 0, height = 0] = page.view;
      const { items } = await page.getTextContent();
      const { fnArray } = await page.getOperatorList();
      return {
        width: width / POINT,
        height: height / POINT,
        words: items.flatMap((item) =>
          'str' in item && item.str.trim() !== ''
            ? [
                {
                  text: item.str,
                  x: item.transform[4] / POINT,
                  y: item.transform[5] / POINT,
                  width: item.width / POINT,
                },
              ]
            : [],
        ),
        paths: fnArray.filter((one) => one === OPS.constructPath).length,
      };
    }),
  );
}

test('labels stand in three columns at true size, on as many pages as they need, and long names are made to fit', async () => {
  const long = 'An ink whose name is as long as a name may be, and longer than any label';
  const labels = Array.from(
    { length: 56 },
    (_, i): Label => ({ text: i === 0 ? long : `Ink ${i}`, under: 'dye and hybrid', colour: '#336699' }),
  );
  const pages = await pagesOf(await writeLabels(labels, 'A4', FONTS));
  expect(pages.map(({ width, height }) => [Math.round(width), Math.round(height)])).toEqual([
    [210, 297],
    [210, 297],
  ]);
  const texts = pages.flatMap(({ words }) => words.map(({ text }) => text));
  for (const { text } of labels.slice(1)) expect(texts).toContain(text);
  const first = pages[0]?.words.find(({ text }) => text.startsWith('An ink'));
  // A label is 62 mm wide, and its dot takes the first fifteen.
  expect(first?.width).toBeLessThan(62 - 15);
  expect(first?.x).toBeCloseTo(12 + 15, 1);
  const columns = new Set(
    pages[0]?.words.filter(({ text }) => text.startsWith('Ink ')).map(({ x }) => Math.round(x)),
  );
  expect([...columns].toSorted((p, q) => p - q)).toEqual([27, 89, 151]);
  expect(await pagesOf(await writeLabels([], 'A4', FONTS))).toHaveLength(1);
});

describe('a page of swatches', () => {
  test.each(['A4', 'Letter'] as const)(
    'has on %s a row for each ink where its reader looks for it, and says on which card and when',
    async (paper) => {
      const inks = DEMO_INKS.slice(0, ROWS_A_PAGE + 2);
      const pages = await pagesOf(await writeSwatchPdf(inks, WHITE_CARD, '2026-11-27', paper, FONTS));
      const laid = swatchPages(inks);
      expect(pages).toHaveLength(2);
      pages.forEach(({ words, width, height }, i) => {
        const page = laid[i];
        if (!page) throw new Error('a page too many');
        expect([width, height]).toEqual([
          expect.closeTo(PAPERS[paper].width, 1),
          expect.closeTo(PAPERS[paper].height, 1),
        ]);
        const [left, top] = [(width - page.width) / 2, (height - page.height) / 2];
        expect(Math.min(left, top)).toBeGreaterThan(-0.05);
        expect(words.some(({ text }) => text.includes('smooth white 350 g/m², 2026-11-27'))).toBe(true);
        expect(words.some(({ text }) => text.startsWith(`page ${i + 1} of 2`))).toBe(true);
        for (const { name, label } of page.rows) {
          const word = words.find(({ text }) => text === name);
          const down = height - top - (word?.y ?? 0);
          expect(word?.x, name).toBeCloseTo(left + label.x, 1);
          expect(down).toBeGreaterThan(label.y);
          expect(down).toBeLessThan(label.y + 10);
        }
      });
      expect(pages[0]?.words.filter(({ text }) => text === 'drop of water, dabbed at once')).toHaveLength(
        ROWS_A_PAGE,
      );
    },
  );
});

test('names in letters that the application’s own faces have not are printed as they are, on labels and on swatch pages', async () => {
  const name = 'Ржавый вереск';
  const labels = await pagesOf(await writeLabels([{ text: name, under: 'pad' }], 'A4', FONTS));
  const inks = DEMO_INKS.slice(0, 1).map((ink) => ({ ...ink, name }));
  const swatches = await pagesOf(
    await writeSwatchPdf(inks, { ...WHITE_CARD, name: 'белый' }, '2026-11-27', 'A4', FONTS),
  );
  const told = [labels, swatches].map((pages) => pages[0]?.words.map(({ text }) => text).join(' '));
  for (const text of told) expect(text?.replace(/ +/g, ' ')).toContain(name);
  expect(told[1]).toContain('белый');
});

test('labels and pairs keep within US Letter, where that is the paper', async () => {
  const labels = Array.from({ length: 60 }, (_, i): Label => ({ text: `Ink ${i}`, under: 'pad' }));
  const pairs = Array.from({ length: 12 }, () => [
    { name: 'Leat', hex: '#009aab' } as const,
    { name: 'Gorse', hex: '#f8d46f' } as const,
  ]);
  for (const pdf of [
    await writeLabels(labels, 'Letter', FONTS),
    await writeWeakPairs(pairs, 'Letter', FONTS),
  ])
    for (const { width, height, words } of await pagesOf(pdf)) {
      expect([width, height]).toEqual([expect.closeTo(215.9, 1), expect.closeTo(279.4, 1)]);
      for (const { x, y, width: long } of words) {
        expect(Math.min(x, y)).toBeGreaterThan(5);
        expect(x + long).toBeLessThan(215.9 - 5);
      }
    }
});

test('pairs to blend have a strip each, with both inks at its ends and room for a guess', async () => {
  const pairs = DEMO_INKS.slice(0, 9).map((ink, i) => [
    { name: ink.name, hex: ink.overWhite },
    { name: DEMO_INKS[i + 10]?.name ?? '', hex: DEMO_INKS[i + 10]?.overWhite ?? '#000000' },
  ]);
  const pages = await pagesOf(await writeWeakPairs(pairs, 'A4', FONTS));
  expect(pages.length).toBe(2);
  const words = pages.flatMap((page) => page.words.map(({ text }) => text));
  for (const [left, right] of pairs) {
    expect(words).toContain(`left: ${left?.name}`);
    expect(words).toContain(`right: ${right?.name}`);
  }
  expect(words.filter((word) => word.startsWith('I guess:'))).toHaveLength(9);
  for (const page of pages) for (const { x, width } of page.words) expect(x + width).toBeLessThan(210 - 5);
});
