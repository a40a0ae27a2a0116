import { param } from '../../base/params';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

/** Ink on powder that is still warm from melting. */
export const warmPowder: Rule = {
  id: 'warmPowder',
  check: ({ kit: { recipe } }) => {
    const passes = passesInOrder(recipe);
    return passes.flatMap((pass, at) => {
      if (pass.kind !== 'clearResist') return [];
      const warm = pass.placements.some(({ params }) => param(params, 'cool', 1) === 0);
      const inked = passes.slice(at + 1).some(({ kind }) => PASS_KINDS[kind].ink !== undefined);
      if (!warm || !inked) return [];
      return [
        {
          key: `warm ${pass.id}`,
          told: 'Ink sticks to powder that is still warm: let the resist cool before anything is laid over it.',
          fix: {
            label: 'Let it cool for a minute',
            mend: (current) =>
              pass.placements.reduce(
                (cooled, _, i) => setPlacement(cooled, pass.id, i, { params: { cool: 1 } }),
                current,
              ),
          },
        },
      ];
    });
  },
};
