import { setPlacements } from '../../recipe/editPasses';
import { edgeStencil } from '../../recipe/passes/edgeStencil';
import { isOfKind } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** Tack spray under a stencil that has to move: it drags and takes ink along. */
export const sprayed: Rule = {
  id: 'sprayed',
  check: ({ resolved: { recipe } }) =>
    passesInOrder(recipe).flatMap((pass) => {
      if (!isOfKind(pass, edgeStencil) || pass.placements.length < 2) return [];
      if (!pass.placements.some(({ params }) => params.hold === 'spray')) return [];
      return [
        {
          key: `spray ${pass.id}`,
          message: 'Tack spray under a stencil that is moved drags, and takes ink along. Hold it by hand.',
          fix: {
            label: 'Hold it by hand',
            apply: (current) =>
              setPlacements<typeof edgeStencil>(current, pass.id, { params: { hold: 'hand' } }),
          },
        },
      ];
    }),
};
