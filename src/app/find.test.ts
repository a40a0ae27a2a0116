import { expect, test } from 'vitest';
import { findAmong } from './find';

const THINGS = [
  { id: 'tour', label: 'Show me round the bench', sort: 'Help' },
  { id: 'new', label: 'New recipe', also: 'create start', sort: 'Recipe' },
  { id: 'pink', label: 'Lantern Pink', sort: 'ink' },
  { id: 'kiln', label: 'Tonal, pale inks of the kiln', sort: 'recipe' },
  { id: 'cut', label: 'Cut cards from sheets', also: 'batch many', sort: 'Cards' },
  { id: 'glow', label: 'Glow: where two rungs are, one after the other', sort: 'word' },
];
const found = (typed: string) => findAmong(THINGS, typed).map(({ id }) => id);

test('a beginning goes before a part, and scattered letters find nothing where a name does', () => {
  expect(found('new rec')).toEqual(['new']);
  expect(found('pink')).toEqual(['pink']);
  expect(found('in')[0]).toBe('kiln');
});

test('other words that people use find it; words may come in any order', () => {
  expect(found('batch')).toEqual(['cut']);
  expect(found('recipe new')).toEqual(['new']);
  expect(found('create')).toEqual(['new']);
});

test('scattered letters are the last resort, and nothing is nothing', () => {
  expect(found('shwbnch')).toEqual(['tour']);
  expect(findAmong(THINGS, 'shwbnch', false)).toEqual([]);
  expect(findAmong(THINGS, 'pink', false)).toHaveLength(1);
  expect(found('xyzzy')).toEqual([]);
  // A sentence has almost any letters in it.
  expect(found('wrong')).toEqual([]);
  expect(found('one after')).toEqual(['glow']);
  expect(found(' ')).toHaveLength(THINGS.length);
});

test('what a word means is found last, after what is called so', () => {
  const piece = {
    id: 'piece',
    label: 'Piece of work: what the hands do at one go in a sitting, such as a step of one sheet',
    sort: 'word',
  };
  const work = { id: 'work', label: 'Work step by step', sort: 'Recipe' };
  const print = { id: 'print', label: 'Print the order of work', also: 'full sheet pdf', sort: 'Recipe' };
  const all = [piece, work, print];
  expect(findAmong(all, 'step').map(({ id }) => id)).toEqual(['work', 'piece']);
  expect(findAmong(all, 'sheet').map(({ id }) => id)).toEqual(['print', 'piece']);
  expect(findAmong(all, 'full sheet').map(({ id }) => id)).toEqual(['print']);
  expect(findAmong(all, 'piece').map(({ id }) => id)).toEqual(['piece']);
});

test('what is called exactly so goes before what only begins so, also behind what is done with it', () => {
  const all = [
    { id: 'grey', label: 'mist grey 270 g/m²', sort: 'card' },
    { id: 'pass', label: 'Add a pass: mist', sort: 'Passes' },
  ];
  expect(findAmong(all, 'mist').map(({ id }) => id)).toEqual(['pass', 'grey']);
  expect(findAmong(all, 'mist g').map(({ id }) => id)).toEqual(['grey']);
});
