import { isBare } from '../../materials/ink/ink';
import { removeRung } from '../../recipe/editLadder';
import { RUNG_LIMITS } from '../../recipe/recipe';
import type { Rule } from './definition';

/** Two rungs that dry to one colour: the ladder has one fewer than it seems. */
export const alikeRungs: Rule = {
  id: 'alikeRungs',
  check: ({ resolved: { inks }, readings }) =>
    readings.joints.flatMap(({ verdict, difference }, joint) => {
      const [first, last] = [inks[joint], inks[joint + 1]];
      if (verdict.kind !== 'too alike' || !first || !last) return [];
      // Bare card is left on purpose, to fade out on or to keep two apart; an ink that is lost on it is told as lost.
      if (isBare(first) || isBare(last)) return [];
      return [
        {
          key: `alike ${joint} ${first.id} ${last.id}`,
          message: `${first.name} and ${last.name} dry to about one colour (ΔE00 ${difference.toFixed(1)}).`,
          ...(inks.length > RUNG_LIMITS.min
            ? { fix: { label: `Take ${last.name} off`, apply: (recipe) => removeRung(recipe, joint + 1) } }
            : {}),
        },
      ];
    }),
};
