import { expect, test } from 'vitest';
import { type Constraints, NO_CONSTRAINTS, type TrioQuery } from './query';
import { type QueryPart, type QueryWords, querySentence, withoutPart } from './querySentence';

const asked = (constraints: Partial<Constraints> = {}, change: Partial<TrioQuery> = {}): TrioQuery => ({
  relation: 'tonal',
  constraints: { ...NO_CONSTRAINTS, ...constraints },
  sort: 'fit',
  seed: 1,
  keep: 10,
  ...change,
});
const words = { cardName: 'smooth white', notMade: false, nameOf: (id: string) => id.toUpperCase() };
const said = (query: TrioQuery, change: Partial<QueryWords> = {}) =>
  `${querySentence(query, { ...words, ...change })
    .map(({ before, text }) => before + text)
    .join('')}.`;

test('a search that asks nothing says only what is always said', () => {
  expect(said(asked())).toBe('Tonal trios of all inks, on smooth white, the most fitting first.');
});

const EVERYTHING: Partial<Constraints> = {
  mustContain: ['leat', 'weir'],
  mustNotContain: ['haw'],
  ownedOnly: true,
  kinds: ['dye'],
  palestAtLeast: 60,
  spacingAtLeast: 10,
  noDull: true,
  families: 'same',
  hues: [0, 99],
  farFromKept: 20,
};

test('whatever is asked stands in the sentence, in the words of the trade', () => {
  expect(
    said(asked(EVERYTHING, { relation: 'quieted', sort: 'chance' }), { notMade: true, tag: 'fair' }),
  ).toBe(
    'Quieted trios of inks I own tagged fair, dye only, with LEAT and WEIR, without HAW, without dull joins, of one family, in red or greys, palest at least 60 and steps of at least 10 L*, not made before, unlike those I keep, on smooth white, drawn by chance.',
  );
});

test('families are said as they are asked for', () => {
  expect(said(asked({ families: 'mixed' }))).toContain('of several families');
  expect(said(asked())).not.toContain('famil');
});

test('inks that must be in are joined by and, those that must not by or', () => {
  expect(said(asked({ mustContain: ['a', 'b', 'c'] }))).toContain('with A, B and C');
  expect(said(asked({ mustNotContain: ['a', 'b', 'c'] }))).toContain('without A, B or C');
});

test('a part that is taken out is no longer said, and the others stay', () => {
  const query = asked(EVERYTHING);
  const parts = querySentence(query, words).map(({ part }) => part);
  for (const part of parts) {
    const ALWAYS: readonly QueryPart[] = ['relation', 'own', 'card', 'sort'];
    if (ALWAYS.includes(part)) continue;
    const left = querySentence({ ...query, constraints: withoutPart(query.constraints, part) }, words);
    expect(left.map((piece) => piece.part)).toEqual(parts.filter((one) => one !== part));
  }
});
