import bidiFactory from 'bidi-js';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { isLeftward, isolated, isUnseen } from '../base/direction';
import { fromTheLeft } from './fromTheLeft';

const bidi = bidiFactory();

test('pieces stand from the left as a reference implementation of Unicode Standard Annex 9 turns the letters', () => {
  const words = fc.constantFrom('ורוד', 'أزرق', 'Gorse', '71', ', ', ' (', ')', ' → ', ' ', '-', '.', '½');
  fc.assert(
    fc.property(fc.array(words, { maxLength: 9 }), (parts) => {
      const line = parts.join('');
      const whole = isolated(line);
      const turned = bidi.getReorderedString(whole, bidi.getEmbeddingLevels(whole, 'ltr'));
      // Words are turned by what sets their letters.
      const set = fromTheLeft(line).map((piece) =>
        isLeftward(piece) ? [...piece].reverse().join('') : piece,
      );
      expect(set.join('')).toBe([...turned].filter((letter) => !isUnseen(letter)).join(''));
    }),
  );
  expect(fromTheLeft('Gorse (71), 113')).toEqual(['Gorse (71), 113']);
});
