import { expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf } from '../../testing/resolvedRecipes';
import { describePanel, recipeSentence } from './sentence';

const resolved = resolvedOf([ink('Gorse', '#f2c230'), ink('Tarn', '#1f4f7a')]);
const said = (...of: Parameters<typeof recipeSentence>) =>
  `${recipeSentence(...of)
    .map(({ before, text }) => before + text)
    .join('')}.`;

test('a recipe is one sentence, and each of its parts can be found in it', () => {
  expect(said(resolved, 'mm', 'dried')).toBe(
    'A straight run of two inks, with a blending brush, on smooth white 350 g/m², 80 × 100 mm, seen dried.',
  );
  const parts = recipeSentence(resolved, 'mm', 'wet').map(({ part }) => part);
  expect(parts).toEqual(['run', 'inks', 'tool', 'card', 'size', 'seen']);
});

test('a second card is said with the first; a size of one’s own in one’s own unit', () => {
  expect(said({ ...resolved, alsoOn: BLACK_CARD }, 'in', 'wet')).toContain(
    'on smooth white 350 g/m² and black 300 g/m², 3 1/8 × 3 15/16 in, seen wet.',
  );
  expect(said({ ...resolved, alsoOn: resolved.card }, 'mm', 'wet')).toContain(
    'on two panels of smooth white 350 g/m², 80',
  );
  expect(describePanel({ width: 120, height: 120 }, 'mm')).toBe('12 × 12 cm square');
});
