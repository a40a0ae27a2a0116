import { blendGround } from '../../engine/blend';
import { groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfSpectrum } from '../../materials/colour/lab';
import { INK_KINDS } from '../../materials/ink/kinds';
import { setInk } from '../../recipe/editLadder';
import type { Rule } from './definition';
import { isSameHue, nearestShowing } from './nearest';

/** What the blend is laid on is the bare card, as far as anybody sees, CIEDE2000. */
const SAME_GROUND = 1;

/** An ink that cannot be told from what it is laid on; a dye on dark or kraft, mostly. */
export const lostInk: Rule = {
  id: 'lostInk',
  check: ({ resolved, readings, shelf }) => {
    const ground = blendGround(resolved);
    const isOnCard = deltaE00(readings.ground, labOfSpectrum(groundOfCard(resolved.card))) < SAME_GROUND;
    const on = isOnCard ? resolved.card.name : 'what lies under the blend';
    return readings.rungs.flatMap(({ ink, presence }, rung) => {
      // White that softens a fade into the card is meant to vanish there.
      if (presence !== 'vanishes' || ink.kind === 'white') return [];
      const other = nearestShowing(
        ink,
        shelf,
        ground,
        // The ladder keeps its hues: a green in place of a yellow would be another one.
        (one) =>
          INK_KINDS[one.kind].blends &&
          one.kind !== 'white' &&
          isSameHue(one, ink) &&
          !resolved.inks.some(({ id }) => id === one.id),
      );
      return [
        {
          key: `lost ${rung} ${ink.id}`,
          message: `${ink.name}, a ${INK_KINDS[ink.kind].label}, is lost on ${on}.`,
          ...(other
            ? { fix: { label: `Put ${other.name} there`, apply: (recipe) => setInk(recipe, rung, other.id) } }
            : {}),
        },
      ];
    });
  },
};
