import { param } from '../../base/params';
import { setPlacement } from '../../recipe/editPasses';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Recipe } from '../../recipe/recipe';
import type { Rule } from './rules';

/** Colour laid wet on white: it pushes the white about and sinks; a fluorescent most of all. */
export const wetWhite: Rule = {
  id: 'wetWhite',
  check: ({ kit: { inks, recipe } }) => [
    ...passesInOrder(recipe).flatMap((pass) =>
      pass.kind === 'whiteBase' && param(pass.placements[0]?.params ?? {}, 'dried', 1) === 0
        ? [
            {
              key: `wet base ${pass.id}`,
              told: 'The blend is laid on a white base that is still wet: it pushes the white about and sinks. Let it dry before.',
              fix: {
                label: 'Dry the white first',
                mend: (current: Recipe) => setPlacement(current, pass.id, 0, { params: { dried: 1 } }),
              },
            },
          ]
        : [],
    ),
    ...inks.slice(1).flatMap((second, i) => {
      const first = inks[i];
      const kinds = [first?.kind, second.kind];
      if (!kinds.includes('fluorescent') || !kinds.includes('white')) return [];
      const glowing = first?.kind === 'fluorescent' ? first : second;
      return [
        {
          key: `wet white ${i}`,
          told: `${glowing.name} laid wet on white pushes it about and sinks. Lay the white alone and let it dry before.`,
        },
      ];
    }),
  ],
};
