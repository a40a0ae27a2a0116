import { formatFine, formatLength, type Millimetres } from '../../base/length';
import { param } from '../../base/params';
import { designOf } from '../../engine/layers';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS, type PassKindId } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

/** The finest lines that hold, mm: melted powder runs, cut card and stencils break, water spreads. From memory. */
const HOLDS: Partial<Record<PassKindId, Millimetres>> = {
  clearResist: 0.3,
  toneResist: 0.3,
  paste: 0.9,
  mask: 1,
  shield: 1,
  patternStencil: 0.6,
  waterStamp: 0.5,
  silhouette: 0.2,
};

/** A design drawn in lines finer than what it is made with can hold. */
export const fineLines: Rule = {
  id: 'fineLines',
  check: ({ kit, passes, unit }) =>
    passesInOrder(kit.recipe).flatMap((pass) => {
      const finest = passes.find(({ id }) => id === pass.id)?.finest;
      const holds = HOLDS[pass.kind];
      const design = designOf(kit, pass);
      if (!design || finest === undefined || holds === undefined || finest >= holds) return [];
      const widths = pass.placements.map(({ params }) => param(params, 'width', design.width));
      const wanted = Math.ceil((Math.min(...widths) * holds * 1.05) / finest);
      const fits = wanted <= Math.max(kit.recipe.panel.width, kit.recipe.panel.height);
      return [
        {
          key: `fine ${pass.id} ${design.id}`,
          told: `${PASS_KINDS[pass.kind].label}: ${design.name} is drawn in lines of ${formatFine(finest, unit)}; finer than ${formatFine(holds, unit)} they do not hold.`,
          ...(fits
            ? {
                fix: {
                  label: `Draw it ${formatLength(wanted, unit)} wide`,
                  mend: (recipe) =>
                    widths.reduce(
                      (larger, width, i) =>
                        setPlacement(larger, pass.id, i, { params: { width: Math.max(wanted, width) } }),
                      recipe,
                    ),
                },
              }
            : {}),
        },
      ];
    }),
};
