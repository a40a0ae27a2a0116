import { blendGround } from '../../engine/blend';
import { INK_KINDS } from '../../materials/ink/kinds';
import { groundName } from '../../readings/readings';
import { setInk } from '../../recipe/editLadder';
import type { Rule } from './definition';
import { isSameHue, nearestShowing } from './nearest';

/** An ink that cannot be told from what it is laid on; a dye on dark or kraft, mostly. */
export const lostInk: Rule = {
  id: 'lostInk',
  check: ({ resolved, readings, shelf }) => {
    const ground = blendGround(resolved);
    const on = groundName(readings, resolved.card.name);
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
