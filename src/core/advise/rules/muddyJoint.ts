import { bridgeBetween } from '../../choose/search/bridges';
import { aPlainColour } from '../../materials/colour/plainWords';
import { BARE } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { addRung } from '../../recipe/editLadder';
import { RUNG_LIMITS } from '../../recipe/recipe';
import type { Choice, Fix, Rule } from './definition';

/** A joint this narrow, mm, hides most of its mud. Common practice. */
const NARROW = 4;

/** Middle inks to choose from. */
const CANDIDATES = 6;

/** Opposite hues overlapped; a middle ink between keeps both joints clean. */
export const muddyJoint: Rule = {
  id: 'muddyJoint',
  check: ({ resolved: { recipe, card, inks }, readings, shelf }) =>
    readings.joints.flatMap(({ verdict }, joint) => {
      const [first, last] = [inks[joint], inks[joint + 1]];
      if (verdict.kind !== 'mud' || !first || !last) return [];
      const owned = shelf.filter(({ kind, wished }) => INK_KINDS[kind].isUsual && !wished);
      const hasRoom = inks.length < RUNG_LIMITS.max;
      const choice: Choice = {
        label: 'Put a middle ink between …',
        among: () =>
          bridgeBetween(first, last, owned, card)
            .middles.filter(({ joints }) => joints.every(({ verdict }) => verdict.kind !== 'mud'))
            .slice(0, CANDIDATES)
            .map(({ ink }) => ({
              label: ink.name,
              apply: (recipe) => addRung(recipe, joint + 1, ink.id),
            })),
        none: 'No ink of the shelf keeps both joints clean.',
      };
      const bareGap: Fix = {
        label: 'Leave a bare strip between',
        apply: (recipe) => addRung(recipe, joint + 1, BARE.id),
      };
      const narrow: Fix = {
        label: 'Make the joint narrow',
        apply: (recipe) => ({
          ...recipe,
          joints: recipe.joints.with(joint, { width: NARROW }),
        }),
      };
      const isNarrow = (recipe.joints[joint]?.width ?? 0) <= NARROW;
      const ways = [...(hasRoom ? [bareGap] : []), ...(isNarrow ? [] : [narrow])];
      const [fix, ...others] = ways;
      return [
        {
          key: `mud ${joint} ${first.id} ${last.id}`,
          message: `${first.name} and ${last.name} turn to ${aPlainColour(verdict.decidedBy.lab)} where they meet.`,
          ...(hasRoom ? { choice } : {}),
          ...(fix ? { fix } : {}),
          ...(others.length > 0 ? { others } : {}),
        },
      ];
    }),
};
