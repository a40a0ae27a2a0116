import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** Clear powder melted over white turns it grey. Common practice. */
export const greyedWhite: Rule = {
  id: 'greyedWhite',
  check: ({ resolved: { recipe } }) => {
    const passes = passesInOrder(recipe);
    const base = passes.find(({ kind }) => PASS_KINDS[kind].isBase);
    const powdered = passes.find(({ kind }) => PASS_KINDS[kind].clearPowder);
    if (!base || !powdered) return [];
    return [
      {
        key: `greyed ${base.id} ${powdered.id}`,
        message: `${PASS_KINDS[powdered.kind].label}: clear powder over a white base turns it grey where the blend is pale. Keep the design on the deeper bands, or take white powder.`,
      },
    ];
  },
};
