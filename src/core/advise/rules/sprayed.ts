import { param } from '../../base/params';
import { setPlacement } from '../../recipe/editPasses';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

const SPRAY = 2;

/** Repositionable spray under a stencil that has to move: it drags and takes ink along. */
export const sprayed: Rule = {
  id: 'sprayed',
  check: ({ kit: { recipe } }) =>
    passesInOrder(recipe).flatMap((pass) => {
      const { placements } = pass;
      const sticks = placements.some(({ params }) => param(params, 'hold', 0) === SPRAY);
      if (!sticks || placements.length < 2) return [];
      return [
        {
          key: `spray ${pass.id}`,
          told: 'Sprayed adhesive under a stencil that is moved drags, and takes ink along. Hold it by hand.',
          fix: {
            label: 'Hold it by hand',
            mend: (current) =>
              placements.reduce(
                (held, _, i) => setPlacement(held, pass.id, i, { params: { hold: 0 } }),
                current,
              ),
          },
        },
      ];
    }),
};
