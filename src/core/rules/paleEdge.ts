import { groundOfCard } from '../card/card';
import { driedColour } from '../ink/laid';
import { setOver } from '../ladder/edit';
import { OVERS } from '../over/over';
import type { Rule } from './rule';

/** An edge, corners or a horizon in an ink paler than all they surround: they frame nothing. */
export const paleEdge: Rule = {
  id: 'paleEdge',
  check: ({ kit: { recipe, card, overInks }, readings }) => {
    const darkest = readings.rungs.reduce((dark, rung) => (rung.lab.l < dark.lab.l ? rung : dark));
    const ground = groundOfCard(card);
    return recipe.overs.flatMap(({ id }, i) => {
      const ink = overInks[i];
      if (!ink || id === 'coat' || driedColour(ink, ground).l <= darkest.lab.l + 6) return [];
      return [
        {
          key: `pale ${id} ${ink.id}`,
          told: `${OVERS[id].label}: ${ink.name} is paler than ${darkest.ink.name} and will not frame it.`,
          fix: {
            label: `Use ${darkest.ink.name}`,
            mend: (current) => setOver(current, id, { inkId: darkest.ink.id }),
          },
        },
      ];
    });
  },
};
