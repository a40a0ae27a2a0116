import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../../data/demo/inks';
import { WHITE_CARD } from '../../../../testing/resolvedRecipes';
import { chroma, type Lab } from '../../../materials/colour/lab';
import { INK_KINDS } from '../../../materials/ink/kinds';
import { HUE_SECTORS, hueSector } from '../../shelf/gaps';
import { dryInks } from '../pairs/pairTable';
import { describeMood, type HueSector, type Mood, type MoodFigure, moodTest } from './mood';
import { OWN_MOODS } from './moods';

const dried = dryInks(
  DEMO_INKS.filter(({ kind }) => INK_KINDS[kind].isUsual),
  WHITE_CARD,
);
const count = dried.inks.length;
const at = (name: string): number => dried.inks.findIndex((ink) => ink.name === name);
const moodOf = (id: string): Mood => OWN_MOODS.find((mood) => mood.id === id) as Mood;
const has = (id: string, names: readonly [string, string, string]): boolean =>
  moodTest(moodOf(id), dried)(at(names[0]), at(names[1]), at(names[2]));

/** Inks of a hue that are plainly of it, by their places. */
const inksOf = (hue: HueSector): number[] =>
  dried.labs.flatMap((lab, i) =>
    hueSector(lab) === HUE_SECTORS.indexOf(hue) && chroma(lab) > 20 ? [i] : [],
  );

/** All trios of a mood on the demo's shelf. */
function triosOf(mood: Mood): number[][] {
  const suits = moodTest(mood, dried);
  const found: number[][] = [];
  for (let i = 0; i < count; i++)
    for (let j = i + 1; j < count; j++)
      for (let k = j + 1; k < count; k++) if (suits(i, j, k)) found.push([i, j, k]);
  return found;
}

test('each mood has trios on the demo’s shelf, and not most of them', () => {
  for (const mood of OWN_MOODS) {
    const found = triosOf(mood).length;
    expect(found, mood.name).toBeGreaterThan(20);
    expect(found, mood.name).toBeLessThan((count * (count - 1) * (count - 2)) / 6 / 4);
  }
});

test('moods are what they are called (common practice)', () => {
  expect(has('autumn', ['Gorse Deep', 'Kilnfire Deep', 'Hawberry Deep'])).toBe(true);
  expect(has('autumn', ['Gorse Deep', 'Skerry Deep', 'Hawberry Deep'])).toBe(false);
  expect(has('night', ['Skerry Deep', 'Tarn Deep', 'Sloe Deep'])).toBe(true);
  expect(has('night', ['Gorse Pale', 'Tarn Deep', 'Sloe Deep'])).toBe(false);
  expect(has('spring', ['Alder Pale', 'Thrift Pale', 'Weir Pale'])).toBe(true);
  expect(has('spring', ['Alder Deep', 'Thrift Pale', 'Weir Pale'])).toBe(false);
  expect(has('bright', ['Gorse Mid', 'Thrift Mid', 'Leat Mid'])).toBe(true);
  expect(has('bright', ['Gorse Mid', 'Cobble Mid', 'Leat Mid'])).toBe(false);
});

describe('a mood of one’s own', () => {
  const open: Mood = { id: 'mine', name: 'Mine', limits: {}, hues: [], needs: [], drab: true };

  test('that asks nothing has every trio, and says so; each thing it asks leaves fewer', () => {
    const all = triosOf(open).length;
    expect(all).toBe((count * (count - 1) * (count - 2)) / 6);
    expect(describeMood(open)).toBe('Asks nothing yet.');
    for (const asks of [
      { limits: { warmth: { min: 40 } } },
      { limits: { contrast: { max: 20 } } },
      { hues: HUE_SECTORS.slice(0, 4) },
      { needs: [{ hues: ['green' as const], chroma: 20, count: 1 }] },
      { drab: false },
    ])
      expect(triosOf({ ...open, ...asks }).length).toBeLessThan(all);
  });

  test('each figure it may limit is that of its three inks', () => {
    const three = ['Gorse Mid', 'Hawberry Deep', 'Leat Mid'].map(at);
    const [i = 0, j = 0, k = 0] = three;
    const chromas = three.map((one) => chroma(dried.labs[one] as Lab));
    // Blues look livelier than their chroma.
    const lively = chromas.map((value, n) => (n === 2 ? 1.5 * value : value));
    const light = three.map((one) => dried.lightness[one] ?? 0);
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / 3;
    const figures: Omit<Record<MoodFigure, number>, 'warmth'> = {
      dullest: Math.min(...lively),
      liveliness: mean(lively),
      loudest: Math.max(...lively),
      chroma: mean(chromas),
      strongest: Math.max(...chromas),
      palest: Math.max(...light),
      lightness: mean(light),
      darkest: Math.min(...light),
      contrast: Math.max(...light) - Math.min(...light),
    };
    for (const [id, figure] of Object.entries(figures)) {
      const suits = (limit: Mood['limits'][MoodFigure]) =>
        moodTest({ ...open, limits: { [id]: limit } }, dried)(i, j, k);
      expect(suits({ min: figure - 0.01, max: figure + 0.01 }), id).toBe(true);
      expect([suits({ min: figure + 0.01 }), suits({ max: figure - 0.01 })], id).toEqual([false, false]);
    }
  });

  test('of some hues takes greys with them and no other hue; of an ink it needs, a loud one of those hues', () => {
    const [greens, reds] = [inksOf('green'), inksOf('red')];
    const grey = dried.labs.findIndex((lab) => chroma(lab) < 10);
    const [first = 0, second = 0] = greens;
    const green = { ...open, hues: ['green' as const] };
    const suits = (mood: Mood, third: number) => moodTest(mood, dried)(first, second, third);
    expect([grey, reds[0], greens[2]].map((third) => suits(green, third ?? 0))).toEqual([true, false, true]);
    const loudest = Math.max(...[first, second].map((one) => chroma(dried.labs[one] as Lab)));
    const needing = (least: number, count: number, hue: 'green' | 'red' = 'green') =>
      suits({ ...open, needs: [{ hues: [hue], chroma: least, count }] }, grey);
    // At least so colourful, and no grey counts, nor another hue.
    expect([needing(loudest, 1), needing(loudest + 0.01, 1), needing(0, 2), needing(0, 3)]).toEqual([
      true,
      false,
      true,
      false,
    ]);
    expect(needing(0, 1, 'red')).toBe(false);
  });

  test('is read back in a sentence with all it asks', () => {
    const mood: Mood = {
      ...open,
      limits: { dullest: { min: 20 }, lightness: { min: 40, max: 60 }, warmth: { max: -10 } },
      hues: ['blue', 'violet'],
      needs: [{ hues: ['blue'], chroma: 25, count: 2 }],
      drab: false,
    };
    expect(describeMood(mood)).toBe(
      'Liveliness of the dullest at least 20; mean lightness 40 to 60; warmth at most −10; every ink of blue, violet, or a grey; two of blue, chroma 25 and up; no brown, olive or grey.',
    );
  });
});
