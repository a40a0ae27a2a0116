import fc from 'fast-check';
import { expect, test } from 'vitest';
import { firstSentence, listed, unbroken, wrapWords } from './words';

test('words are listed as they are said, however many', () => {
  expect([[], ['gold'], ['gold', 'blue'], ['gold', 'blue', 'red']].map((words) => listed(words))).toEqual([
    '',
    'gold',
    'gold and blue',
    'gold, blue and red',
  ]);
});

test('the first sentence ends at its full stop, not at a figure’s point', () => {
  expect(firstSentence('Solid to 104.5 mm. Then fade.')).toBe('Solid to 104.5 mm.');
  expect(firstSentence('Dry it')).toBe('Dry it');
  expect(firstSentence('Dried? Look again.')).toBe('Dried?');
});

test('no line ends inside a figure: a fraction stays with its inches, a unit with its number', () => {
  const text = 'Solid 2 11/16 to 3 5/8 in; about 60 % for 2 min.';
  expect(unbroken(text).split(' ')).toEqual([
    'Solid',
    '2\u00a011/16',
    'to',
    '3\u00a05/8\u00a0in;',
    'about',
    '60\u00a0%',
    'for',
    '2\u00a0min.',
  ]);
  expect(unbroken('at 5.6 : 1 there')).toBe('at 5.6\u00a0:\u00a01 there');
  expect(unbroken('3 inks and 2 mats')).toBe('3 inks and 2 mats');
});

test('wrapped, a text is the same words in lines that fit, but for a word that is too long', () => {
  const words = fc.array(fc.stringMatching(/^[a-z]{5,12}$|^\d \d\/\d$/), { minLength: 1, maxLength: 20 });
  fc.assert(
    fc.property(words, fc.integer({ min: 4, max: 30 }), (said, room) => {
      const lines = wrapWords(said.join(' '), (line) => line.length <= room);
      expect(lines.join(' ')).toBe(said.join(' '));
      for (const line of lines) expect(line.length <= room || said.includes(line)).toBe(true);
    }),
  );
});
