import { labOfHex } from '../../materials/colour/hex';
import { isBare } from '../../materials/ink/ink';
import { addPass } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { whiteBase } from '../../recipe/passes/whiteBase';
import { passesInOrder } from '../../recipe/recipe';
import { startFor } from '../passStart';
import type { Rule } from './definition';

/** A card darker than this, L*, takes the colour out of all but pigment. */
const DARK_BELOW = 45;

/** Colours straight on dark card: a white base lets them show. */
export const darkCard: Rule = {
  id: 'darkCard',
  check: ({ resolved, readings, shelf }) => {
    if (labOfHex(resolved.card.colour).l >= DARK_BELOW) return [];
    if (passesInOrder(resolved.recipe).some(({ kind }) => PASS_KINDS[kind].isBase)) return [];
    const faint = readings.rungs.filter(({ ink }) => ink.kind !== 'pigment' && !isBare(ink));
    const start = startFor(whiteBase.id, resolved, shelf, []);
    if (faint.length === 0 || !start.inkId) return [];
    return [
      {
        key: `dark ${resolved.card.id}`,
        message: `Colours sink on ${resolved.card.name}. Over a white base, dried first, they show, as pastels.`,
        fix: { label: 'Lay a white base', apply: (recipe) => addPass(recipe, whiteBase.id, start) },
      },
    ];
  },
};
