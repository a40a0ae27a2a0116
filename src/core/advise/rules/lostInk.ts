import { INK_KINDS } from '../../materials/ink/kinds';
import { setInk } from '../../recipe/editLadder';
import type { Rule } from './definition';
import { nearestShowing } from './nearest';

/** An ink that cannot be told from the card; a dye on dark or kraft, mostly. */
export const lostInk: Rule = {
  id: 'lostInk',
  check: ({ resolved: { card }, readings, shelf }) =>
    readings.rungs.flatMap(({ ink, presence }, rung) => {
      if (presence !== 'vanishes') return [];
      const other = nearestShowing(
        ink,
        shelf,
        card,
        ({ kind }) => INK_KINDS[kind].blends && kind !== 'white',
      );
      return [
        {
          key: `lost ${rung} ${ink.id}`,
          message: `${ink.name}, a ${INK_KINDS[ink.kind].label}, is lost on ${card.name}.`,
          ...(other
            ? { fix: { label: `Put ${other.name} there`, apply: (recipe) => setInk(recipe, rung, other.id) } }
            : {}),
        },
      ];
    }),
};
