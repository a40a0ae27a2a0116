import { addPass, movePass } from '../../recipe/editPasses';
import { heatSet } from '../../recipe/passes/heatSet';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** A fresh silhouette that the next pass rubs over: it smudges. */
export const freshSilhouette: Rule = {
  id: 'freshSilhouette',
  check: ({ resolved: { recipe } }) => {
    const passes = passesInOrder(recipe);
    return passes.flatMap((pass, at) => {
      if (!PASS_KINDS[pass.kind].smudges) return [];
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
            apply: (current) => {
              const added = addPass(current, heatSet.id);
              const set = added.passes.find(({ id }) => !current.passes.some((other) => other.id === id));
              const place = added.passes.findIndex(({ id }) => id === pass.id) + 1;
              return set ? movePass(added, set.id, place) : current;
            },
          },
        },
      ];
    });
  },
};
