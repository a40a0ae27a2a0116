import Color from 'colorjs.io';
import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { xyzOfHex } from '../../materials/colour/hex';
import { setRun } from '../../recipe/editLadder';
import { contrastOf, NEEDS, standsOff } from './contrast';
import {
  bestImage,
  calmestPlace,
  groundWord,
  imageInks,
  imagesSeen,
  legibilityOf,
  readsOn,
} from './legibility';
import { panelField } from './panelField';
import { BLACK_DYE, rankTopCoats, withBlack } from './topCoat';

const pale = [ink('Gorse', '#f8d46f'), ink('Thrift', '#f6b5c5'), ink('Leat', '#8fd1de')];
const dark = [ink('Tarn', '#133f7c'), ink('Sloe', '#393060'), ink('Weir', '#004c52')];
const imageOf = (resolved: ReturnType<typeof resolvedOf>, id: string) => {
  const image = imageInks(resolved, DEMO_INKS).find((one) => one.id === id);
  if (!image) throw new Error(`no image ${id}`);
  return image;
};

test('contrast is that of WCAG 2.2, as two independent libraries have it', () => {
  expect(contrastOf(1, 0)).toBe(21);
  // A strip stands off by what is usual along it, wherever that lies.
  expect([[1.2, 3, 1.1], [3, 1, 2], []].map(standsOff)).toEqual([false, true, true]);
  const hex = fc
    .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
    .map((rgb) => `#${rgb.map((v) => v.toString(16).padStart(2, '0')).join('')}` as `#${string}`);
  fc.assert(
    fc.property(hex, hex, (one, other) => {
      const ours = contrastOf(xyzOfHex(one).y, xyzOfHex(other).y);
      expect(ours).toBeCloseTo(wcagContrast(one, other), 1);
      expect(ours).toBeCloseTo(new Color(one).contrast(other, 'WCAG21'), 1);
    }),
  );
});

test('an image may be black, white, or the darkest and palest that the recipe blends and coats with, the pale ones in layers', () => {
  const detail = ink('Jackdaw', '#1d1d1f', 'detail');
  const resolved = { ...resolvedOf(pale.slice(0, 2)), passInks: [...dark, detail] };
  const shelf = [
    { ...ink('Wished', '#000000', 'detail'), wished: true },
    detail,
    ink('Slip', '#ffffff', 'white'),
  ];
  expect(imageInks(resolved, shelf, 3).map(({ id, label, impressions }) => [id, label, impressions])).toEqual(
    [
      ['black', 'Black: Jackdaw', 1],
      ['white', 'White: Slip', 3],
      ['darkest', 'Its own darkest: Sloe', 1],
      ['palest', 'Its own palest: Gorse', 3],
    ],
  );
  expect(
    imageInks(resolved, [])
      .map(({ label }) => label)
      .slice(0, 2),
  ).toEqual(['Black: detail black', 'White: white pigment']);
});

describe('what the trade says (common practice)', () => {
  test('black reads on a pale ladder and white does not; on a dark one it is the other way round', () => {
    for (const [inks, wins, loses] of [
      [pale, 'black', 'white'],
      [dark, 'white', 'black'],
    ] as const) {
      const resolved = resolvedOf([...inks], WHITE_CARD);
      const field = panelField(resolved);
      expect(readsOn(legibilityOf(field, imageOf(resolved, wins)), NEEDS['bold shape'])).toBe(1);
      expect(readsOn(legibilityOf(field, imageOf(resolved, loses)), NEEDS['bold shape'])).toBe(0);
    }
  });

  test('on a mid-toned ground black beats white', () => {
    const resolved = resolvedOf([ink('Kilnfire', '#ef8023'), ink('Sedge', '#779c3b')]);
    const { images } = imagesSeen(resolved, DEMO_INKS, 1);
    expect(bestImage(images, NEEDS.lettering)?.id).toBe('black');
  });

  test('white over a dark ground gains by a second and a third impression', () => {
    const resolved = resolvedOf(dark, BLACK_CARD);
    const field = panelField(resolved);
    const least = [1, 2, 3].map((impressions) => {
      const white = imageInks(resolved, [], impressions).find(({ id }) => id === 'white');
      if (!white) throw new Error('no white');
      return legibilityOf(field, white).least;
    });
    expect(least[1]).toBeGreaterThan(least[0] ?? 0);
    expect(least[2]).toBeGreaterThan(least[1] ?? 0);
  });

  test('light three and one dark reads; a dark ink under the resist is lost', () => {
    const [best] = rankTopCoats(resolvedOf(pale), DEMO_INKS);
    expect(best?.worst).toBeGreaterThan(4);
    expect(best?.lost).toEqual([]);
    const coats = rankTopCoats(
      resolvedOf([pale[0] as (typeof pale)[number], dark[0] as (typeof dark)[number]]),
      DEMO_INKS,
    );
    for (const { lost } of coats) expect(lost.map(({ name }) => name)).toContain('Tarn');
    expect(coats.every(({ ink: { kind } }) => kind === 'dye' || kind === 'hybrid')).toBe(true);
  });
});

test('of two darks that read alike the one that keeps its colour goes before; what reads goes before what does not', () => {
  const [vetch, tarn] = [ink('Vetch', '#6b3f8f', 'dye'), ink('Tarn', '#1c4583')];
  const [first, second] = rankTopCoats(resolvedOf(pale), [vetch, tarn]);
  expect([first?.ink, second?.ink]).toEqual([tarn, vetch]);
  expect(first?.muddied).toEqual([]);
  expect(second?.muddied.map(({ name }) => name)).toEqual(['Gorse']);
  const yellow = resolvedOf([pale[0] as (typeof pale)[number], ink('Kilnfire', '#ef8023')]);
  const coats = rankTopCoats(yellow, DEMO_INKS).map(({ worst }) => Number(worst >= NEEDS['bold shape']));
  expect(coats).toEqual(coats.toSorted((p, q) => q - p));
});

test('only what is owned is ranked as a coat; a black dye stands beside a shelf that has none, and reads best', () => {
  const wished = DEMO_INKS.map((one) => (one.kind === 'hybrid' ? { ...one, wished: true } : one));
  for (const { ink: coat } of rankTopCoats(resolvedOf(pale), wished)) expect(coat.kind).toBe('dye');
  const beside = withBlack(DEMO_INKS);
  expect(rankTopCoats(resolvedOf(pale), beside)[0]?.ink).toBe(BLACK_DYE);
  const black = ink('Char', '#1a1a1a');
  expect(withBlack([...DEMO_INKS, black])).not.toContain(BLACK_DYE);
  expect(withBlack([...DEMO_INKS, { ...black, wished: true }])).toContain(BLACK_DYE);
});

test('the calmest place lies in the panel, reads throughout where any place does, and is as even as the evenest', () => {
  const resolved = resolvedOf([pale[0] as (typeof pale)[number], ...dark.slice(0, 2)], WHITE_CARD, {
    joints: [{ width: 40 }, { width: 20 }],
  });
  for (const recipe of [resolved.recipe, setRun(resolved.recipe, 'glow')]) {
    const field = panelField({ ...resolved, recipe });
    const legibility = legibilityOf(field, imageOf(resolved, 'white'));
    const place = calmestPlace(field, legibility, { width: 40, height: 14 }, NEEDS.lettering);
    expect(place.x).toBeGreaterThanOrEqual(0);
    expect(place.x + place.width).toBeLessThanOrEqual(recipe.panel.width + 1e-6);
    expect(place.y + place.height).toBeLessThanOrEqual(recipe.panel.height + 1e-6);
    expect(place.least).toBeGreaterThanOrEqual(NEEDS.lettering);
    expect(place.restless).toBeLessThan(3);
  }
});

test('where nothing reads, the place nearest to reading is told, and it falls short', () => {
  const resolved = resolvedOf(pale);
  const field = panelField(resolved);
  const white = legibilityOf(field, imageOf(resolved, 'white'));
  expect(calmestPlace(field, white, { width: 30, height: 10 }, NEEDS.lettering).least).toBeLessThan(
    NEEDS.lettering,
  );
});

test('a ground is told as even, calm or restless by how far its lightness wanders', () => {
  expect([0, 1.4, 1.5, 4.9, 5, 30].map((restless) => groundWord({ restless }))).toEqual([
    'even',
    'even',
    'calm',
    'calm',
    'restless',
    'restless',
  ]);
});

describe('the calmest place on a made-up ground', () => {
  const cells = { columns: 11, rows: 3, width: 5, height: 5 };
  const count = cells.columns * cells.rows;
  const even = new Float64Array(count).fill(0.5);
  const flat = { cells, spectra: [], luminance: even };
  const reading = (ratio: Float64Array) => ({ ratio, least: Math.min(...ratio), most: Math.max(...ratio) });
  const place = (field: typeof flat, ratio: Float64Array) =>
    calmestPlace(field, reading(ratio), { width: 15, height: 5 }, 4.5);

  test('of equally calm ones is the one nearest the middle, and of those the one that reads best', () => {
    const ratio = new Float64Array(count).fill(7);
    ratio.fill(9, 11, 22);
    expect(place(flat, ratio)).toMatchObject({ x: 20, y: 5, width: 15, height: 5, least: 9, restless: 0 });
  });

  test('is where it reads throughout, though elsewhere be calmer', () => {
    const ratio = new Float64Array(count).fill(3);
    const luminance = even.slice();
    // A restless corner is the only one to read.
    for (const at of [0, 1, 2]) {
      ratio[at] = 5;
      luminance[at] = 0.3 + 0.2 * at;
    }
    expect(place({ ...flat, luminance }, ratio)).toMatchObject({ x: 0, y: 0, least: 5 });
    ratio.fill(3);
    ratio.fill(4, 30, 33);
    expect(place({ ...flat, luminance }, ratio)).toMatchObject({ x: 40, y: 10, least: 4 });
  });

  test('is calmer by a ground that is more even, not by one nearer the middle', () => {
    const luminance = even.slice();
    for (let at = 0; at < count; at++) if (at % 11 > 2) luminance[at] = at % 2 === 0 ? 0.4 : 0.6;
    expect(place({ ...flat, luminance }, new Float64Array(count).fill(7))).toMatchObject({
      x: 0,
      restless: 0,
    });
  });
});
