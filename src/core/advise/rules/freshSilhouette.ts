import { addPass, movePass } from '../../recipe/editPasses';
import { PASS_KINDS, type PassKindId } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

/** What rubs or wets the face of the panel. */
const RUBS: readonly PassKindId[] = [
  'edge',
  'darkCorners',
  'horizon',
  'coat',
  'secondCoat',
  'patternStencil',
  'edgeStencil',
  'lift',
  'splash',
  'waterStamp',
];

/** A fresh silhouette that the next pass rubs over: it smudges. */
export const freshSilhouette: Rule = {
  id: 'freshSilhouette',
  check: ({ kit: { recipe } }) => {
    const passes = passesInOrder(recipe);
    return passes.flatMap((pass, at) => {
      if (pass.kind !== 'silhouette') return [];
      const after = passes.slice(at + 1);
      const rub = after.findIndex(({ kind }) => RUBS.includes(kind));
      const set = after.findIndex(({ kind }) => kind === 'heatSet');
      const next = after[rub];
      if (!next || (set >= 0 && set < rub)) return [];
      return [
        {
          key: `fresh ${pass.id} ${next.id}`,
          told: `${PASS_KINDS[next.kind].label} rubs over the fresh silhouette and smudges it. Heat-set it first.`,
          fix: {
            label: 'Heat-set it first',
            mend: (current) => {
              const added = addPass(current, 'heatSet');
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
