import { setPlacements } from '../../recipe/editPasses';
import { isOfKind, PASS_KINDS } from '../../recipe/passes/passes';
import { silhouette } from '../../recipe/passes/silhouette';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** A fresh silhouette that the next pass rubs over: it smudges. */
export const freshSilhouette: Rule = {
  id: 'freshSilhouette',
  check: ({ resolved: { recipe } }) => {
    const passes = passesInOrder(recipe);
    return passes.flatMap((pass, at) => {
      if (!isOfKind(pass, silhouette) || pass.placements.every(({ params }) => params.set !== 'left'))
        return [];
      const after = passes.slice(at + 1);
      const rub = after.findIndex(({ kind }) => PASS_KINDS[kind].rubs);
      const set = after.findIndex(({ kind }) => PASS_KINDS[kind].sets);
      const next = after[rub];
      if (!next || (set >= 0 && set < rub)) return [];
      return [
        {
          key: `fresh ${pass.id} ${next.id}`,
          message: `${PASS_KINDS[next.kind].label} rubs over the fresh silhouette and smudges it. Heat-set it first.`,
          fix: {
            label: 'Heat-set it first',
            apply: (current) =>
              setPlacements<typeof silhouette>(current, pass.id, { params: { set: 'heat' } }),
          },
        },
      ];
    });
  },
};
