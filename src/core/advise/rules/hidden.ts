import { percentOf } from '../../base/words';
import { isBare } from '../../materials/ink/ink';
import { perceivedShares } from '../../readings/perceived';
import { solveShares, wantedShares } from '../../readings/solveShares';
import type { Rule } from './definition';

/** Less than this part of what is wanted of an ink counts as gone. */
const GONE = 0.35;

/** An ink that has all but gone: a potent neighbour, or too little room. */
export const hidden: Rule = {
  id: 'hidden',
  check: ({ resolved, readings }) => {
    const wanted = wantedShares(resolved.recipe);
    const perceived = perceivedShares(resolved);
    const isGone = (rung: number): boolean => (perceived[rung] ?? 0) < GONE * (wanted[rung] ?? 0);
    return resolved.inks.flatMap((ink, rung) => {
      if (isBare(ink) || readings.rungs[rung]?.presence === 'vanishes' || !isGone(rung)) return [];
      return [
        {
          key: `hidden ${rung} ${ink.id}`,
          message: `${ink.name} shows on ${percentOf(perceived[rung] ?? 0)} of the panel only: a strong neighbour, or too little room.`,
          fix: {
            label: 'Make it so',
            apply: (recipe) => solveShares({ ...resolved, recipe }, wanted).recipe,
          },
        },
      ];
    });
  },
};
