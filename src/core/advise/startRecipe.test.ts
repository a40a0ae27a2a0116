import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../data/demo/cards';
import { DEMO_INKS } from '../../data/demo/inks';
import { perceivedShares } from '../readings/perceived';
import { readLadder } from '../readings/readings';
import { usualCard, wholeFamilies } from '../recipe/newRecipe';
import { resolve } from '../recipe/resolved';
import { startRecipe } from './startRecipe';

const shelf = { inks: DEMO_INKS, cards: DEMO_CARDS, designs: [] };
const card = usualCard(DEMO_CARDS);
if (!card) throw new Error('no card');

test('any family of the demo begins light to dark, and each depth shows on a third of the panel', () => {
  fc.assert(
    fc.property(fc.constantFrom(...wholeFamilies(DEMO_INKS)), (family) => {
      const resolved = resolve(startRecipe('Mine', family.toReversed(), card), shelf);
      if (!resolved) throw new Error('an ink is missing');
      const lightness = readLadder(resolved).rungs.map(({ lab }) => lab.l);
      expect(lightness).toEqual(lightness.toSorted((p, q) => q - p));
      for (const share of perceivedShares(resolved)) expect(share).toBeCloseTo(1 / 3, 1);
    }),
    { numRuns: 12 },
  );
});
