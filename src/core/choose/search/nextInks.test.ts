import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { WHITE_CARD } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { hexOfLab, labOfHex } from '../../materials/colour/hex';
import type { Ink } from '../../materials/ink/ink';
import { dryShelf } from '../../readings/driedShelf';
import { inksOfGaps } from '../shelf/gaps';
import { type NextInk, nextInks, variedBest } from './nextInks';
import { trioKey } from './query';

function weighed(owned: readonly Ink[], candidates: readonly Ink[]): { found: NextInk[]; parts: number[] } {
  const work = nextInks(owned, candidates, WHITE_CARD);
  const parts: number[] = [];
  for (let now = work.next(); ; now = work.next()) {
    if (now.done) return { found: now.value, parts };
    parts.push(now.value);
  }
}
const without = (family: string) => DEMO_INKS.filter((ink) => ink.family !== family);
const wishedOf = (family: string) =>
  DEMO_INKS.filter((ink) => ink.family === family).map((ink) => ({ ...ink, wished: true }));
const gapsOf = (owned: readonly Ink[]) => inksOfGaps(dryShelf(owned, bareGround(WHITE_CARD)));

describe('which ink next', () => {
  test('a shelf that lost its only yellows is told a pale yellow first', () => {
    const owned = without('Gorse');
    const { found } = weighed(owned, [...wishedOf('Gorse'), ...gapsOf(owned)]);
    expect(found[0]?.ink.name).toBe('Gorse Pale');
    expect(found[0]?.best).toHaveLength(3);
    for (const { best, ink, count } of found) {
      expect(count).toBeGreaterThan(0);
      for (const { inks } of best) expect(inks.map(({ id }) => id)).toContain(ink.id);
      // Three that belong together in two ways are shown once.
      expect(new Set(best.map(({ inks }) => trioKey(inks.map(({ id }) => id)))).size).toBe(best.length);
    }
  });

  test('an ink that is owned already, or nearly, brings nothing', () => {
    const twin = { ...(DEMO_INKS.find(({ id }) => id === 'leat-mid') as Ink), id: 'twin', wished: true };
    expect(weighed(DEMO_INKS, [twin]).found).toEqual([]);
  });

  test('what an owned ink near to it makes as well is not counted as new, and what it makes with that one is', () => {
    const near = DEMO_INKS.find(({ id }) => id === 'leat-mid') as Ink;
    const lab = labOfHex(near.overWhite);
    const paler = { ...near, id: 'paler', overWhite: hexOfLab({ ...lab, l: lab.l + 10 }), wished: true };
    const others = DEMO_INKS.filter(
      ({ overWhite }) => deltaE00(labOfHex(overWhite), labOfHex(paler.overWhite)) >= 20,
    );
    const [alone] = weighed(others, [paler]).found;
    const [beside] = weighed([...others, near], [paler]).found;
    expect(beside?.count).toBeGreaterThan(0);
    expect(beside?.count).toBeLessThan((alone?.count ?? 0) / 2);
    const withIt = beside?.best.filter(({ inks }) => inks.some(({ id }) => id === near.id)) ?? [];
    expect(withIt.length).toBeGreaterThan(0);
  });

  test('what an ink would bring is measured by what is owned, not by what else could be bought', () => {
    const owned = DEMO_INKS.filter(({ family }) => ['Haar', 'Dunnock', 'Sloe', 'Sedge'].includes(family));
    const [first, ...others] = DEMO_INKS.filter(
      ({ family }) => family === 'Gorse' || family === 'Leat' || family === 'Thrift',
    ).map((ink) => ({ ...ink, wished: true }));
    if (!first) throw new Error('no candidate');
    const [alone] = weighed(owned, [first]).found;
    const among = weighed(owned, [first, ...others]).found.find(({ ink }) => ink.id === first.id);
    expect(alone?.count).toBeGreaterThan(0);
    expect(among?.count).toBe(alone?.count);
  });

  test('of two alike that are worth the same the second comes after what is unlike both', () => {
    const owned = without('Gorse').filter(({ family }) => family !== 'Betony');
    const gorse = wishedOf('Gorse').find(({ depth }) => depth === 'pale');
    const betony = wishedOf('Betony').find(({ depth }) => depth === 'mid');
    if (!gorse || !betony) throw new Error('no candidate');
    const twin = { ...gorse, id: 'twin', name: 'Twin' };
    const { found } = weighed(owned, [gorse, twin, betony]);
    const worthOf = (id: string) => found.find(({ ink }) => ink.id === id)?.worth ?? 0;
    expect(worthOf('twin')).toBeCloseTo(worthOf(gorse.id), 9);
    // Worth more than the other by itself, it is told last, since the first has nearly all that it brings.
    expect(worthOf('twin')).toBeGreaterThan(worthOf(betony.id));
    expect(found.map(({ ink }) => ink.id)).toEqual([gorse.id, betony.id, 'twin']);
  });

  test('of its trios the ten best count, no more than three of them with the same partner', () => {
    const trio = (value: number, ...partners: [number, number]) => ({ value, partners });
    const valuesOf = (...trios: readonly ReturnType<typeof trio>[]) =>
      variedBest(trios).map(({ value }) => value);
    // One ink is a partner of the first five, and then the other of two.
    const withOne = [trio(5, 7, 1), trio(9, 7, 2), trio(8, 3, 7), trio(6, 7, 4), trio(7, 7, 5)];
    expect(valuesOf(...withOne)).toEqual([9, 8, 7]);
    expect(valuesOf(...withOne, trio(1, 10, 11), trio(2, 12, 7))).toEqual([9, 8, 7, 1]);
    const unlike = Array.from({ length: 12 }, (_, i) => trio(i, 2 * i, 2 * i + 1));
    expect(valuesOf(...unlike)).toEqual([11, 10, 9, 8, 7, 6, 5, 4, 3, 2]);
  });

  test('it tells how far it is, never back, and asks for two inks of one’s own', () => {
    const { parts } = weighed(DEMO_INKS.slice(0, 20), gapsOf(DEMO_INKS.slice(0, 20)));
    expect(parts).toEqual(parts.toSorted((p, q) => p - q));
    expect(parts.at(-1)).toBeCloseTo(1, 6);
    expect(weighed(DEMO_INKS.slice(0, 1), wishedOf('Leat')).found).toEqual([]);
  });

  test('empty places are wished-for inks that dry where nothing stands', () => {
    const gaps = gapsOf(DEMO_INKS);
    expect(gaps.length).toBeGreaterThan(5);
    const shelf = dryShelf(DEMO_INKS, bareGround(WHITE_CARD));
    for (const { lab } of dryShelf(gaps, bareGround(WHITE_CARD)))
      expect(Math.min(...shelf.map((one) => deltaE00(one.lab, lab)))).toBeGreaterThan(1);
    expect(gapsOf([...DEMO_INKS, ...gaps])).toHaveLength(0);
  });
});
