import { setPlacements } from '../../recipe/editPasses';
import { isOfKind } from '../../recipe/passes/passes';
import { whiteBase } from '../../recipe/passes/whiteBase';
import { passesInOrder } from '../../recipe/recipe';
import type { Finding, Rule } from './definition';

/** Colour laid wet on white: it pushes the white about and sinks; a fluorescent most of all. */
export const wetWhite: Rule = {
  id: 'wetWhite',
  check: ({ resolved: { inks, recipe } }) => [
    ...passesInOrder(recipe).flatMap((pass): Finding[] =>
      isOfKind(pass, whiteBase) && pass.placements.some(({ params }) => params.dried === 'wet')
        ? [
            {
              key: `wet base ${pass.id}`,
              message:
                'The blend is laid on a white base that is still wet: it pushes the white about and sinks. Let it dry before.',
              fix: {
                label: 'Dry the white first',
                apply: (current) =>
                  setPlacements<typeof whiteBase>(current, pass.id, { params: { dried: 'dried' } }),
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
          message: `${glowing.name} laid wet on white pushes it about and sinks. Lay the white alone and let it dry before.`,
        },
      ];
    }),
  ],
};
