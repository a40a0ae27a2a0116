import Color from 'colorjs.io';
import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { BLACK_CARD, ink, kitOf, WHITE_CARD } from '../../../testing/kits';
import { xyzOfHex } from '../../materials/colour/hex';
import { setRun } from '../../recipe/editLadder';
import { contrastOf, NEEDS } from './contrast';
import { bestImage, calmestPlace, imageInks, imagesSeen, legibilityOf, readsOn } from './legibility';
import { panelField } from './panelField';
import { BLACK_DYE, rankTopCoats, withBlack } from './topCoat';

const pale = [ink('Gorse', '#f8d46f'), ink('Thrift', '#f6b5c5'), ink('Leat', '#8fd1de')];
const dark = [ink('Tarn', '#133f7c'), ink('Sloe', '#393060'), ink('Weir', '#004c52')];
const imageOf = (kit: ReturnType<typeof kitOf>, id: string) => {
  const image = imageInks(kit, DEMO_INKS).find((one) => one.id === id);
  if (!image) throw new Error(`no image ${id}`);
  return image;
};

test('contrast is that of WCAG 2.2, as two independent libraries have it', () => {
  expect(contrastOf(1, 0)).toBe(21);
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

describe('what the trade says (common practice)', () => {
  test('black reads on a pale ladder and white does not; on a dark one it is the other way round', () => {
    for (const [inks, wins, loses] of [
      [pale, 'black', 'white'],
      [dark, 'white', 'black'],
    ] as const) {
      const kit = kitOf([...inks], WHITE_CARD);
      const field = panelField(kit);
      expect(readsOn(legibilityOf(field, imageOf(kit, wins)), NEEDS['bold shape'])).toBe(1);
      expect(readsOn(legibilityOf(field, imageOf(kit, loses)), NEEDS['bold shape'])).toBe(0);
    }
  });

  test('on a mid-toned ground black beats white', () => {
    const kit = kitOf([ink('Kilnfire', '#ef8023'), ink('Sedge', '#779c3b')]);
    const { images } = imagesSeen(kit, DEMO_INKS, 1);
    expect(bestImage(images, NEEDS.lettering)?.id).toBe('black');
  });

  test('white over a dark ground gains by a second and a third impression', () => {
    const kit = kitOf(dark, BLACK_CARD);
    const field = panelField(kit);
    const least = [1, 2, 3].map((impressions) => {
      const white = imageInks(kit, [], impressions).find(({ id }) => id === 'white');
      if (!white) throw new Error('no white');
      return legibilityOf(field, white).least;
    });
    expect(least[1]).toBeGreaterThan(least[0] ?? 0);
    expect(least[2]).toBeGreaterThan(least[1] ?? 0);
  });

  test('light three and one dark reads; a dark ink under the resist is lost', () => {
    const [best] = rankTopCoats(kitOf(pale), DEMO_INKS);
    expect(best?.worst).toBeGreaterThan(4);
    expect(best?.lost).toEqual([]);
    const coats = rankTopCoats(
      kitOf([pale[0] as (typeof pale)[number], dark[0] as (typeof dark)[number]]),
      DEMO_INKS,
    );
    for (const { lost } of coats) expect(lost.map(({ name }) => name)).toContain('Tarn');
    expect(coats.every(({ ink: { kind } }) => kind === 'dye' || kind === 'hybrid')).toBe(true);
  });
});

test('only what is owned is ranked as a coat; a black dye stands beside a shelf that has none, and reads best', () => {
  const wished = DEMO_INKS.map((one) => (one.kind === 'hybrid' ? { ...one, wished: true } : one));
  for (const { ink: coat } of rankTopCoats(kitOf(pale), wished)) expect(coat.kind).toBe('dye');
  const beside = withBlack(DEMO_INKS);
  expect(rankTopCoats(kitOf(pale), beside)[0]?.ink).toBe(BLACK_DYE);
  const black = ink('Char', '#1a1a1a');
  expect(withBlack([...DEMO_INKS, black])).not.toContain(BLACK_DYE);
  expect(withBlack([...DEMO_INKS, { ...black, wished: true }])).toContain(BLACK_DYE);
});

test('the calmest place lies in the panel, reads throughout where any place does, and is as even as any', () => {
  const kit = kitOf([pale[0] as (typeof pale)[number], ...dark.slice(0, 2)], WHITE_CARD, {
    joints: [{ width: 40 }, { width: 20 }],
  });
  for (const recipe of [kit.recipe, setRun(kit.recipe, 'glow')]) {
    const field = panelField({ ...kit, recipe });
    const legibility = legibilityOf(field, imageOf(kit, 'white'));
    const place = calmestPlace(field, legibility, { width: 40, height: 14 }, NEEDS.lettering);
    expect(place.x).toBeGreaterThanOrEqual(0);
    expect(place.x + place.width).toBeLessThanOrEqual(recipe.panel.width + 1e-6);
    expect(place.y + place.height).toBeLessThanOrEqual(recipe.panel.height + 1e-6);
    expect(place.least).toBeGreaterThanOrEqual(NEEDS.lettering);
    expect(place.restless).toBeLessThan(3);
  }
});

test('where nothing reads, the place nearest to reading is told, and it falls short', () => {
  const kit = kitOf(pale);
  const field = panelField(kit);
  const white = legibilityOf(field, imageOf(kit, 'white'));
  expect(calmestPlace(field, white, { width: 30, height: 10 }, NEEDS.lettering).least).toBeLessThan(
    NEEDS.lettering,
  );
});
