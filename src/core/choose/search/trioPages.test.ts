import { beforeEach, describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { WHITE_CARD } from '../../../testing/resolvedRecipes';
import { hueApart } from '../../materials/colour/difference';
import { INK_KINDS } from '../../materials/ink/kinds';
import type { FoldedTrio } from './foldTrios';
import { dryInks, emptyPairTable, type PairTable, pairJudge } from './pairs/pairTable';
import { NO_CONSTRAINTS, type TrioQuery } from './query';
import { leastHueApart, wayRound } from './relations/measures';
import { RELATION_IDS, RELATIONS, type RelationId } from './relations/relations';
import { PAGE, pagesOf } from './trioPages';
import { searchTrios } from './trios';

const dried = dryInks(
  DEMO_INKS.filter(({ kind }) => INK_KINDS[kind].blends),
  WHITE_CARD,
);
const { hue, lightness, inks } = dried;
let pairs: PairTable;
beforeEach(() => {
  pairs = emptyPairTable(inks.length);
  const judgeRow = pairJudge(dried, WHITE_CARD);
  for (let row = 0; row < inks.length; row++) judgeRow(row, pairs);
});
const at = (figures: ArrayLike<number>, place: number): number => figures[place] as number;

function searched(relation: RelationId, change: Partial<TrioQuery> = {}) {
  const query: TrioQuery = {
    relation,
    constraints: NO_CONSTRAINTS,
    sort: 'fit',
    seed: 1,
    keep: 3000,
    ...change,
  };
  const search = searchTrios({ dried, pairs }, query);
  while (search.step());
  return pagesOf(search.result().best, { dried, pairs }, query);
}
const usesOf = (page: readonly FoldedTrio[]): number[] => {
  const uses = new Map<number, number>();
  for (const { first, middle, last } of page)
    for (const ink of [first, middle, last]) uses.set(ink, (uses.get(ink) ?? 0) + 1);
  return [...uses.values()];
};

test('a page of more than it holds is just full', () => {
  const full = RELATION_IDS.map((relation) => searched(relation).next().length);
  expect(Math.max(...full)).toBe(PAGE);
});

describe.each(RELATION_IDS)('the first page of %s', (relation) => {
  const firstPage = () => searched(relation).next();

  test('begins with the best, is of many inks, and has neither fluorescents nor white unasked', () => {
    const page = firstPage();
    expect(page.length).toBeGreaterThan(10);
    expect(page.length).toBeLessThanOrEqual(PAGE);
    expect(page[0]?.fit).toBe(Math.max(...page.map(({ fit }) => fit)));
    // A shelf has two or three yellows: three primaries share them.
    expect(Math.max(...usesOf(page))).toBeLessThanOrEqual(RELATIONS[relation].middleAtMost ?? 3);
    for (const { first, middle, last } of page)
      for (const ink of [first, middle, last])
        expect(INK_KINDS[inks[ink]?.kind ?? 'bare'].isUsual).toBe(true);
  });

  test('has no two at the very top that tie', () => {
    const [first, second] = firstPage();
    expect(first?.fit).toBeGreaterThan(second?.fit ?? 1);
  });
});

test('pages go on until all that is worth it is told, nothing twice', () => {
  const pages = searched('quieted');
  const left = pages.left();
  const told: FoldedTrio[] = [];
  for (let page = pages.next(); page.length > 0; page = pages.next()) told.push(...page);
  expect(told).toHaveLength(left);
  expect(new Set(told).size).toBe(told.length);
  expect(pages.left()).toBe(0);
});

test('an ink that was asked for may stand in every one of them', () => {
  const page = searched('newColour', {
    constraints: { ...NO_CONSTRAINTS, mustContain: ['leat-mid'] },
  }).next();
  const asked = inks.findIndex(({ id }) => id === 'leat-mid');
  expect(page.length).toBeGreaterThan(3);
  for (const { first, middle, last } of page) expect([first, middle, last]).toContain(asked);
});

test('by another figure than fit they come as they rank', () => {
  const pages = searched('tonal', { sort: 'chroma' });
  const ranks = [...pages.next(), ...pages.next()].map(({ rank }) => rank);
  expect(ranks).toEqual(ranks.toSorted((p, q) => q - p));
});

describe('what a page shows (common practice)', () => {
  test('two loud inks far apart are quieted by a third between them in lightness, never by a black bar', () => {
    for (const { first, middle, last } of searched('quieted').next()) {
      expect(hueApart(at(hue, first), at(hue, last))).toBeGreaterThanOrEqual(60);
      const ends = [at(lightness, first), at(lightness, last)];
      expect(at(lightness, middle)).toBeGreaterThan(Math.min(...ends) - 3.01);
      expect(at(lightness, middle)).toBeLessThan(Math.max(...ends) + 3.01);
    }
  });

  test('the middle of a bridge lies on the way round, and between its ends in lightness or nearly', () => {
    for (const { first, middle, last } of searched('bridge').next()) {
      const round = wayRound(at(hue, first), at(hue, last), at(pairs.bow, first * inks.length + last));
      const part = wayRound(at(hue, first), at(hue, middle), 0);
      expect(Math.sign(part)).toBe(Math.sign(round));
      const [darker = 0, paler = 0] = [at(lightness, first), at(lightness, last)].sort((p, q) => p - q);
      expect(at(lightness, middle)).toBeGreaterThan(darker - 6.01);
      expect(at(lightness, middle)).toBeLessThan(paler + 6.01);
    }
  });

  test('light three under a dark are three different colours', () => {
    for (const { first, middle, last } of searched('lightAndDark').next())
      expect(leastHueApart(dried, first, middle, last)).toBeGreaterThanOrEqual(35);
  });
});
