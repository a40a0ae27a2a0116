import { setPlacements } from '../../recipe/editPasses';
import { PASS_KINDS, placementsOf } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { designOf } from '../../recipe/resolved';
import type { Rule } from './definition';

/** A stencil of paper that gets wet: it swells, lets go of its edge and cannot be washed. Common practice. */
export const paperStencil: Rule = {
  id: 'paperStencil',
  check: ({ resolved }) =>
    passesInOrder(resolved.recipe).flatMap((pass) => {
      const { wetsStencil, label } = PASS_KINDS[pass.kind];
      if (!wetsStencil || !designOf(resolved, pass)) return [];
      if (!placementsOf(pass).some(({ params }) => params.material === 'paper')) return [];
      return [
        {
          key: `paper ${pass.id}`,
          message: `${label}: a stencil of paper goes soft once it is wet, and cannot be washed. Take one of plastic.`,
          fix: {
            label: 'Take one of plastic',
            apply: (recipe) => setPlacements(recipe, pass.id, { params: { material: 'plastic' } }),
          },
        },
      ];
    }),
};
