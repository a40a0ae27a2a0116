import { percentOf } from '../../base/words';
import { isBare } from '../../materials/ink/ink';
import { perceivedShares } from '../../readings/perceived';
import { seenAtMost, solveShares, wantedShares } from '../../readings/solveShares';
import type { Finding, Rule } from './definition';

/** Less than this part of what is wanted of an ink counts as gone. */
const GONE = 0.35;

/** An ink that has all but gone: a potent neighbour, or too little room. */
export const hidden: Rule = {
  id: 'hidden',
  check: ({ resolved, readings }) => {
    const wanted = wantedShares(resolved.recipe);
    const perceived = perceivedShares(resolved);
    const isGone = (shares: readonly number[], rung: number): boolean =>
      (shares[rung] ?? 0) < GONE * (wanted[rung] ?? 0);
    const gone = resolved.inks.flatMap((ink, rung) =>
      isBare(ink) || readings.rungs[rung]?.presence === 'vanishes' || !isGone(perceived, rung)
        ? []
        : [{ ink, rung }],
    );
    if (gone.length === 0) return [];
    const most = seenAtMost(resolved, wanted);
    return gone.map(({ ink, rung }): Finding => {
      const told = {
        key: `hidden ${rung} ${ink.id}`,
        message: `${ink.name} shows on ${percentOf(perceived[rung] ?? 0)} of the panel only: a strong neighbour, or too little room.`,
      };
      // However narrow the joints, the neighbour swallows it.
      if (isGone(most, rung))
        return {
          ...told,
          message: `${told.message} No share brings it out: put it beside a weaker ink, or leave it out.`,
        };
      return {
        ...told,
        fix: {
          label: 'Make it so',
          apply: (recipe) => solveShares({ ...resolved, recipe }, wanted).recipe,
        },
      };
    });
  },
};
