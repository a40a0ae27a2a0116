import { blendGround } from '../../engine/blend';
import { isBare } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { setInk } from '../../recipe/editLadder';
import type { Rule } from './definition';
import { isSameHue, nearestShowing } from './nearest';

/** One ink stays open so many times as long as the other: they are no longer wet together. By eye. */
const TOO_UNLIKE = 4;

/** A dye and a pigment laid wet into each other: the one has dried before the other is worked in. */
export const mixedKinds: Rule = {
  id: 'mixedKinds',
  check: ({ resolved, shelf }) => {
    const { inks } = resolved;
    return inks.slice(1).flatMap((second, joint) => {
      const first = inks[joint];
      if (!first || isBare(first) || isBare(second)) return [];
      const isFirstQuick = INK_KINDS[first.kind].openMinutes < INK_KINDS[second.kind].openMinutes;
      const [quick, slow] = isFirstQuick ? [first, second] : [second, first];
      const [quickKind, slowKind] = [INK_KINDS[quick.kind], INK_KINDS[slow.kind]];
      if (slowKind.openMinutes < TOO_UNLIKE * quickKind.openMinutes || !slowKind.isUsual) return [];
      const other = nearestShowing(
        quick,
        shelf,
        blendGround(resolved),
        (one) => one.kind === slow.kind && isSameHue(one, quick) && !inks.some(({ id }) => id === one.id),
      );
      return [
        {
          key: `kinds ${joint} ${first.id} ${second.id}`,
          message: `${quick.name}, a ${quickKind.label}, dries while ${slow.name}, a ${slowKind.label}, is still open: work their joint at once, or take two of one kind.`,
          ...(other
            ? {
                fix: {
                  label: `Put ${other.name} there`,
                  apply: (recipe) => setInk(recipe, isFirstQuick ? joint : joint + 1, other.id),
                },
              }
            : {}),
        },
      ];
    });
  },
};
