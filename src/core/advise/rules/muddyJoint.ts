import { bridgeBetween } from '../../choose/search/bridges';
import { INK_KINDS } from '../../materials/ink/kinds';
import { addRung } from '../../recipe/editLadder';
import { RUNG_LIMITS } from '../../recipe/recipe';
import type { Rule } from './definition';

/** Opposite hues overlapped; a middle ink between keeps both joints clean. */
export const muddyJoint: Rule = {
  id: 'muddyJoint',
  check: ({ resolved: { card, inks }, readings, shelf }) =>
    readings.joints.flatMap(({ verdict }, joint) => {
      const [first, last] = [inks[joint], inks[joint + 1]];
      if (verdict.kind !== 'mud' || !first || !last) return [];
      const owned = shelf.filter(({ kind, wished }) => INK_KINDS[kind].blends && kind !== 'white' && !wished);
      return [
        {
          key: `mud ${joint} ${first.id} ${last.id}`,
          message: `${first.name} and ${last.name} turn to ${verdict.decidedBy.colour.name} where they meet.`,
          ...(inks.length < RUNG_LIMITS.max
            ? {
                fix: {
                  label: 'Put a middle ink between',
                  // Walking every ink of the shelf takes a while: only when it is asked for.
                  apply: (recipe) => {
                    const [best] = bridgeBetween(first, last, owned, card).middles;
                    return best ? addRung(recipe, joint + 1, best.ink.id) : recipe;
                  },
                },
              }
            : {}),
        },
      ];
    }),
};
