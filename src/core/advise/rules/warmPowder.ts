import { setPlacements } from '../../recipe/editPasses';
import { clearResist } from '../../recipe/passes/clearResist';
import { isOfKind, PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** Ink on powder that is still warm from melting. */
export const warmPowder: Rule = {
  id: 'warmPowder',
  check: ({ resolved: { recipe } }) => {
    const passes = passesInOrder(recipe);
    return passes.flatMap((pass, at) => {
      if (!isOfKind(pass, clearResist)) return [];
      const warm = pass.placements.some(({ params }) => params.cool === 'no');
      const inked = passes.slice(at + 1).some(({ kind }) => PASS_KINDS[kind].ink !== undefined);
      if (!warm || !inked) return [];
      return [
        {
          key: `warm ${pass.id}`,
          message:
            'Ink sticks to powder that is still warm: let the resist cool before anything is laid over it.',
          fix: {
            label: 'Let it cool for a minute',
            apply: (current) =>
              setPlacements<typeof clearResist>(current, pass.id, { params: { cool: 'minute' } }),
          },
        },
      ];
    });
  },
};
