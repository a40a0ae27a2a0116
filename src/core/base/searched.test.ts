import fc from 'fast-check';
import { expect, test } from 'vitest';
import { cleanName } from './names';
import { searched, searchedWords } from './searched';

test('a name is found without its accents, in letters of any case and width, and however they were put together', () => {
  for (const [name, typed] of [
    ['Crème brûlée', 'creme BRULEE'],
    ['Škerík', 'skerik'],
    ['Cafe\u0301', 'Café'],
    ['350 g/m²', 'g/m2'],
    ['Ｔｅａｌ', 'teal'],
    ['\u2068ורוד\u2069', 'ורוד'],
    ['Жёлтый', 'желтый'],
    ['Weißdorn', 'weissdorn'],
    ['ΚΟΣΜΟΣ', 'κοσ'],
  ] as const) {
    const written = searched(name);
    expect(
      searchedWords(typed).every((word) => written.includes(word)),
      name,
    ).toBe(true);
  }
});

test('every name is found by itself and by its beginning, and by nothing it has not', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', minLength: 1 }), fc.nat(), (text, cut) => {
      const name = cleanName(text);
      const letters = [...new Intl.Segmenter().segment(name)].map(({ segment }) => segment);
      const beginning = letters.slice(0, cut % (letters.length + 1)).join('');
      for (const part of [name, beginning, name.toLowerCase()])
        expect(searchedWords(part).every((word) => searched(name).includes(word))).toBe(true);
      expect(searched(name).includes('\u0001')).toBe(false);
    }),
  );
});
