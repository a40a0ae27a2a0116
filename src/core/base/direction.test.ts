import bidiFactory from 'bidi-js';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { isLeftward, isolated, isUnseen } from './direction';

const bidi = bidiFactory();
/** How a line of an English page looks from the left, by a reference implementation of Unicode Standard Annex 9. */
const seen = (line: string): string =>
  [...bidi.getReorderedString(line, bidi.getEmbeddingLevels(line, 'ltr'))]
    .filter((letter) => !isUnseen(letter))
    .join('');
const turned = (name: string): string => [...name].reverse().join('');

const [ROSE, SKY] = ['ורוד', 'أزرق'];

test('figures after a name that runs from right to left stay after it, and names in a row in their order', () => {
  const join = `Over the join with ${ROSE}, 71 to 113 mm`;
  expect(seen(join)).toContain('71 ,');
  expect(seen(isolated(join))).toBe(`Over the join with ${turned(ROSE)}, 71 to 113 mm`);
  expect(seen(isolated(`${ROSE}, ${SKY}`))).toBe(`${turned(ROSE)}, ${turned(SKY)}`);
  // A figure of the name's own is read from the right with it.
  expect(seen(isolated(`${ROSE} 3, ${SKY} 12`))).toBe(`3 ${turned(ROSE)}, 12 ${turned(SKY)}`);
});

test('a text is changed only where letters run from right to left, once, and by nothing that is seen', () => {
  const words = fc.constantFrom(ROSE, SKY, 'Gorse', '71', ', ', ' → ', ' ', '½', 'ß', '粉', 'é');
  fc.assert(
    fc.property(fc.array(words, { maxLength: 8 }), (parts) => {
      const text = parts.join('');
      const own = isolated(text);
      expect([...own].filter((letter) => !isUnseen(letter)).join('')).toBe(text);
      expect(own === text).toBe(!isLeftward(text));
      expect(isolated(own)).toBe(own);
    }),
  );
});
