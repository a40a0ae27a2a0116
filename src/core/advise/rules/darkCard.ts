import { labOfHex } from '../../materials/colour/hex';
import { isBare } from '../../materials/ink/ink';
import { addPass } from '../../recipe/editPasses';
import { passesInOrder } from '../../recipe/passesInOrder';
import { startFor } from '../passStart';
import type { Rule } from './rules';

/** A card darker than this, L*, takes the colour out of all but pigment. */
const DARK_BELOW = 45;

/** Colours straight on dark card: a white base lets them show. */
export const darkCard: Rule = {
  id: 'darkCard',
  check: ({ kit, readings, shelf }) => {
    if (labOfHex(kit.card.colour).l >= DARK_BELOW) return [];
    if (passesInOrder(kit.recipe).some(({ kind }) => kind === 'whiteBase')) return [];
    const faint = readings.rungs.filter(({ ink }) => ink.kind !== 'pigment' && !isBare(ink));
    const start = startFor('whiteBase', kit, shelf, []);
    if (faint.length === 0 || !start.inkId) return [];
    return [
      {
        key: `dark ${kit.card.id}`,
        told: `Colours sink on ${kit.card.name}. Over a white base, dried first, they show, as pastels.`,
        fix: { label: 'Lay a white base', mend: (recipe) => addPass(recipe, 'whiteBase', start) },
      },
    ];
  },
};
