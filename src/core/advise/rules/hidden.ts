import { isBare } from '../../materials/ink/ink';
import { perceivedShares } from '../../readings/perceived';
import { solveShares, wantedShares } from '../../readings/solveShares';
import type { Rule } from './rules';

/** Less than this part of what is wanted of an ink counts as gone. */
const GONE = 0.35;

/** An ink that has all but gone: a potent neighbour, or too little room. */
export const hidden: Rule = {
  id: 'hidden',
  check: ({ kit, readings }) => {
    const wanted = wantedShares(kit.recipe);
    const seen = perceivedShares(kit);
    return kit.inks.flatMap((ink, rung) => {
      const [want, see] = [wanted[rung] ?? 0, seen[rung] ?? 0];
      if (isBare(ink) || readings.rungs[rung]?.presence === 'vanishes' || see >= GONE * want) return [];
      return [
        {
          key: `hidden ${rung} ${ink.id}`,
          told: `${ink.name} shows on ${Math.round(see * 100)} % of the panel only: a strong neighbour, or too little room.`,
          fix: { label: 'Make it so', mend: (recipe) => solveShares({ ...kit, recipe }, wanted).recipe },
        },
      ];
    });
  },
};
