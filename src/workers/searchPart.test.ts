import { describe, expect, test, vi } from 'vitest';
import { emptyDullnesses, emptyPairTable, UNJUDGED } from '../core/choose/search/pairs/pairTable';
import { NO_CONSTRAINTS, type TrioQuery } from '../core/choose/search/query';
import { mergeResults } from '../core/choose/search/trios';
import { DEMO_CARDS } from '../data/demo/cards';
import { DEMO_INKS } from '../data/demo/inks';
import { WHITE_CARD } from '../testing/resolvedRecipes';
import { beginAgain, benchOf, COUNTS, judgeAhead, type SharedSearch, stopAll, takePart } from './searchPart';
import { emptyFilms } from './sharedFilms';

// The names that ship beside the application are what would be worked out (search.test.ts).
vi.mock('./nouns', () => ({ nounsPrepared: async () => {} }));

const inks = DEMO_INKS.filter(({ kind }) => kind !== 'detail' && kind !== 'white').slice(0, 40);
const query: TrioQuery = {
  relation: 'newColour',
  constraints: NO_CONSTRAINTS,
  sort: 'fit',
  seed: 1,
  keep: 50,
};

function shared(onWhite = emptyDullnesses(inks.length)): SharedSearch {
  return {
    films: emptyFilms(inks.length),
    onWhite,
    pairs: emptyPairTable(inks.length),
    counts: new Int32Array(COUNTS),
  };
}
async function benchFor(search: SharedSearch, card = WHITE_CARD) {
  const bench = await benchOf(inks, card, search, () => true);
  if (!bench) throw new Error('nobody wanted it');
  return bench;
}
const going = () => true;

describe('a search by several, on one table', () => {
  test('finds what one alone finds, however the work falls', async () => {
    const alone = shared();
    const found = await takePart(await benchFor(alone), alone, query, going);
    const both = shared();
    const [one, other] = await Promise.all([benchFor(both), benchFor(both)]);
    const parts = await Promise.all([one, other].map((bench) => takePart(bench, both, query, going)));
    const merged = mergeResults(
      parts.filter((part) => part !== null),
      query.keep,
    );
    expect(merged.count).toBe(found?.count);
    expect(merged.best).toEqual(found?.best);
    expect(both.pairs).toEqual(alone.pairs);
  });

  test('made ready ahead, and stopped in the midst of that, it finds the same', async () => {
    const plain = shared();
    const expected = await takePart(await benchFor(plain), plain, query, going);
    const ahead = shared();
    const bench = await benchFor(ahead);
    const known = () => ahead.pairs.verdict.filter((code) => code < UNJUDGED).length;
    const preparing = judgeAhead(bench, ahead);
    stopAll(ahead);
    await preparing;
    const before = known();
    expect(before).toBeGreaterThan(0);
    // What is judged is not judged again: a figure that this relation does not read stays as it is put there.
    ahead.pairs.bow.fill(7);
    beginAgain(ahead);
    await judgeAhead(bench, ahead);
    const all = inks.length * (inks.length - 1);
    expect([known(), ahead.pairs.bow.filter((bow) => bow !== 7).length]).toEqual([all, all - before]);
    ahead.pairs.bow.fill(7);
    beginAgain(ahead);
    expect(await takePart(bench, ahead, query, going)).toEqual(expected);
    expect(ahead.pairs.bow.every((bow) => bow === 7)).toBe(true);
  });

  test('judges the joints it reads; those that are left can be judged after it has answered', async () => {
    const search = shared();
    const bench = await benchFor(search);
    await takePart(bench, search, { ...query, relation: 'tonal' }, going);
    const left = () => search.pairs.verdict.filter((code) => code === UNJUDGED).length;
    expect(left()).toBeGreaterThan((inks.length * (inks.length - 1)) / 2);
    beginAgain(search);
    await judgeAhead(bench, search);
    expect(left()).toBe(0);
  });

  test('ends with nothing once it is no longer wanted, and the next one begins where it was', async () => {
    const search = shared();
    const bench = await benchFor(search);
    stopAll(search);
    expect(await takePart(bench, search, query, going)).toBeNull();
    beginAgain(search);
    expect((await takePart(bench, search, query, going))?.count).toBeGreaterThan(0);
  });
});

test('what is known of joints on white serves on another card: there is found what is found from nothing', async () => {
  const kraft = DEMO_CARDS.find(({ finish }) => finish === 'kraft') ?? WHITE_CARD;
  const onWhite = emptyDullnesses(inks.length);
  const first = shared(onWhite);
  await takePart(await benchFor(first), first, query, going);
  const [known, fresh] = [shared(onWhite), shared()];
  const [again, anew] = [
    await takePart(await benchFor(known, kraft), known, query, going),
    await takePart(await benchFor(fresh, kraft), fresh, query, going),
  ];
  expect(again).toEqual(anew);
  expect(again?.best).not.toEqual((await takePart(await benchFor(first), first, query, going))?.best);
});
