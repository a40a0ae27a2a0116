import { strFromU8, unzipSync } from 'fflate';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { FONTS } from '../../testing/fonts';
import { planCuts } from '../make/cutting/cutPlan';
import { sheetsAlike } from '../make/cutting/cutText';
import { writeCutPdf } from './cutPdf';
import { cutDrawings, writeCutSvg } from './cutSvg';

// A font is cut down, which takes a moment on a busy machine.

const LETTER = { width: 215.9, height: 279.4 };
const plan = planCuts(LETTER, [
  { name: 'panel <trimmed> & "rim"', width: 101.6, height: 133.4, count: 3 },
  { name: 'greeting strip', width: 60, height: 16, count: 5 },
]);
const [sheet] = plan.sheets;
if (!sheet) throw new Error('nothing was laid out');
const POINT = 72 / 25.4;

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly foot: number;
}

describe('a cut plan on paper, as readers from the registry find it', () => {
  test('the PDF has a page for each way sheets are cut, of the sheet’s own size, and every cut where it is to be cut, to 0.01 mm', async () => {
    const pdf = await getDocument({ data: await writeCutPdf(plan, FONTS), verbosity: 0 }).promise;
    expect(pdf.numPages).toBe(sheetsAlike(plan).length);
    const page = await pdf.getPage(1);
    const [, , width = 0, height = 0] = page.view;
    expect(width / POINT).toBeCloseTo(LETTER.width, 2);
    expect(height / POINT).toBeCloseTo(LETTER.height, 2);

    const { fnArray, argsArray } = await page.getOperatorList();
    const drawn = fnArray.flatMap((operator, i): Box[] => {
      if (operator !== OPS.constructPath) return [];
      const [left, low, right, high] = Object.values(argsArray[i]?.[2] as Record<string, number>).map(
        (at) => at / POINT,
      ) as [number, number, number, number];
      return [{ left, right, top: LETTER.height - high, foot: LETTER.height - low }];
    });
    const lines = drawn.filter(({ left, right, top, foot }) => right - left < 0.01 || foot - top < 0.01);
    expect(lines).toEqual(
      sheet.cuts.map(({ from, to }) => ({
        left: expect.closeTo(from.x, 2),
        right: expect.closeTo(to.x, 2),
        top: expect.closeTo(from.y, 2),
        foot: expect.closeTo(to.y, 2),
      })),
    );
    const { items } = await page.getTextContent();
    // Every number stands on the sheet, whichever way its cut goes.
    for (const item of items)
      if ('str' in item && /^\d+$/.test(item.str)) {
        const [, , , size = 0, left = 0, low = 0] = item.transform as number[];
        expect(left).toBeGreaterThan(0);
        expect(low).toBeGreaterThan(0);
        expect(low + size * 0.7).toBeLessThan(height);
      }
    const words = items.flatMap((item) => ('str' in item && item.str.trim() ? [item.str] : []));
    expect(words.filter((word) => word === 'panel <trimmed> & "rim"')).toHaveLength(
      sheet.placed.filter(({ name }) => name.startsWith('panel')).length,
    );
  });

  test('the SVG is the sheet in millimetres: dark along each piece’s outline, bare between', async () => {
    const svg = writeCutSvg(plan, 0);
    expect(svg).toContain(`width="${LETTER.width}mm" height="${LETTER.height}mm"`);
    const { data, info } = await sharp(Buffer.from(svg), { density: 120 })
      .flatten({ background: '#fff' })
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const perMm = info.width / LETTER.width;
    expect(info.height / perMm).toBeCloseTo(LETTER.height, 0);
    const lightAt = (x: number, y: number): number =>
      data[(Math.round(y * perMm) * info.width + Math.round(x * perMm)) * info.channels] ?? 0;
    for (const { x, y, width, height } of sheet.placed) {
      // Beside the middle, where no number stands.
      const [across, down] = [x + width * 0.3, y + height * 0.3];
      expect(Math.min(lightAt(x + width, down), lightAt(across, y + height))).toBeLessThan(140);
      expect(lightAt(across, down)).toBe(255);
    }
  });

  test('one way of cutting comes out as its drawing, several as a zip of one each, named by their sheets', () => {
    const alike = planCuts(LETTER, [{ name: 'panel', width: 200, height: 260, count: 3 }]);
    expect(cutDrawings(alike, 'cut')).toEqual({
      name: 'cut.svg',
      type: 'image/svg+xml',
      contents: writeCutSvg(alike, 0),
    });
    const mixed = planCuts(LETTER, [
      { name: 'panel', width: 200, height: 260, count: 3 },
      { name: 'mat', width: 190, height: 130, count: 3 },
    ]);
    const { name, contents } = cutDrawings(mixed, 'cut');
    expect(name).toBe('cut.zip');
    const inside = unzipSync(contents as Uint8Array);
    expect(Object.keys(inside).toSorted()).toEqual(
      sheetsAlike(mixed)
        .map((kind) => `cut, ${kind.name.toLowerCase()}.svg`)
        .toSorted(),
    );
    expect(
      sheetsAlike(mixed)
        .flatMap(({ places }) => places)
        .toSorted(),
    ).toEqual(mixed.sheets.map((_, i) => i));
    for (const drawing of Object.values(inside)) expect(strFromU8(drawing)).toContain('</svg>');
  });

  test('a sheet that is not there is an empty one', () => {
    expect(writeCutSvg(plan, 99)).not.toContain('<line');
  });
});
