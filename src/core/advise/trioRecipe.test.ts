import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { describeTrio } from '../choose/search/foundTrio';
import { dryInks, emptyPairTable, pairJudge } from '../choose/search/pairs/pairTable';
import { NO_CONSTRAINTS } from '../choose/search/query';
import { pagesOf } from '../choose/search/trioPages';
import { searchTrios } from '../choose/search/trios';
import type { Card } from '../materials/card/card';
import { OWN_DESIGNS } from '../materials/design/own';
import type { Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { rankTopCoats } from '../readings/legibility/topCoat';
import { resolve } from '../recipe/resolved';
import { trioRecipe } from './trioRecipe';

const shelf = { inks: DEMO_INKS, cards: DEMO_CARDS, designs: OWN_DESIGNS };
const white = DEMO_CARDS.find(({ id }) => id === 'smooth-white') as Card;
const inkOf = (id: string): Ink => DEMO_INKS.find((ink) => ink.id === id) as Ink;

test('light three open with resist and dark, and the dark that was told is the one the bench ranks first', () => {
  const dried = dryInks(
    DEMO_INKS.filter(({ kind }) => INK_KINDS[kind].blends),
    white,
  );
  const pairs = emptyPairTable(dried.inks.length);
  const judgeRow = pairJudge(dried, white);
  for (let row = 0; row < dried.inks.length; row++) judgeRow(row, pairs);
  const query = {
    relation: 'lightAndDark',
    constraints: NO_CONSTRAINTS,
    sort: 'fit',
    seed: 1,
    keep: 300,
  } as const;
  const search = searchTrios({ dried, pairs }, query);
  while (search.step());
  const judged = { dried, pairs };
  for (const trio of pagesOf(search.result().best, judged, query).next().slice(0, 6)) {
    const { inks, topCoat } = describeTrio(judged, white, trio, 'lightAndDark', trio.fit);
    const recipe = trioRecipe(inks, white, 'lightAndDark', shelf);
    expect(recipe.passes.map(({ kind }) => kind)).toEqual(['clearResist', 'coat']);
    expect(recipe.passes[1]?.placements[0]?.inkId).toBe(topCoat?.ink.id);
    const opened = resolve(recipe, shelf);
    const [first] = opened ? rankTopCoats(opened, DEMO_INKS) : [];
    expect([first?.ink.id, first?.worst]).toEqual([topCoat?.ink.id, topCoat?.worst]);
  }
});

test('a trio opens under its inks’ names, and only three of the relation that is kept under a dark come with one', () => {
  const three = ['weir-pale', 'kelp-pale', 'hawberry-pale'].map(inkOf);
  const passes = (inks: readonly Ink[], relation?: 'lightAndDark' | 'tonal') =>
    trioRecipe(inks, white, relation, shelf).passes.length;
  expect(trioRecipe(three, white, 'tonal', shelf).name).toBe('Weir Pale, Kelp Pale, Hawberry Pale');
  expect(passes(three, 'lightAndDark')).toBe(2);
  expect([passes(three, 'tonal'), passes(three), passes(three.slice(0, 2), 'lightAndDark')]).toEqual([
    0, 0, 0,
  ]);
});

test('three primaries open with more room for the yellow; two inks of them, or three of no relation, lie equally', () => {
  const three = ['thrift-mid', 'gorse-pale', 'skerry-mid'].map(inkOf);
  const shares = (inks: readonly Ink[], relation?: 'primaries') =>
    trioRecipe(inks, white, relation, shelf).rungs.map(({ share }) => share);
  const [red = 0, yellow = 0, blue = 0] = shares(three, 'primaries');
  expect(yellow).toBeGreaterThan(red);
  expect(red).toBeCloseTo(blue, 9);
  expect(shares(three)).toEqual([1 / 3, 1 / 3, 1 / 3]);
  expect(shares(three.slice(0, 2), 'primaries')).toEqual([0.5, 0.5]);
});
