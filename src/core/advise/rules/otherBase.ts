import { readLadder } from '../../readings/readings';
import type { Rule } from './definition';

/** An ink that shows on the one card and is lost on the other that is laid with it. */
export const otherBase: Rule = {
  id: 'otherBase',
  check: ({ resolved, readings }) => {
    const { alsoOn } = resolved;
    if (!alsoOn) return [];
    return readLadder({ ...resolved, card: alsoOn }).rungs.flatMap(({ ink, presence }, rung) =>
      presence === 'vanishes' && readings.rungs[rung]?.presence !== 'vanishes' && ink.kind !== 'white'
        ? [
            {
              key: `other base ${rung} ${ink.id}`,
              message: `${ink.name} shows on ${resolved.card.name}, and is lost on ${alsoOn.name} beside it.`,
              fix: {
                label: 'One panel alone',
                apply: ({ alsoOn: _, ...recipe }) => recipe,
              },
            },
          ]
        : [],
    );
  },
};
