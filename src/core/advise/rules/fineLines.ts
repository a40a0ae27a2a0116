import { formatFine, formatLength } from '../../base/length';
import { setPlacement } from '../../recipe/editPasses';
import type { AnyPlacement } from '../../recipe/passes/definition';
import { PASS_KINDS, placementsOf } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { designOf } from '../../recipe/resolved';
import { type Rule, readingOf } from './definition';

/** Drawn so much larger than it just needs, so that its lines hold. */
const TO_SPARE = 1.05;

/** A design drawn in lines finer than what it is made with can hold. */
export const fineLines: Rule = {
  id: 'fineLines',
  check: (input) => {
    const { resolved, unit } = input;
    return passesInOrder(resolved.recipe).flatMap((pass) => {
      const finest = readingOf(input, pass)?.finest;
      const holds = PASS_KINDS[pass.kind].finestLine;
      const design = designOf(resolved, pass);
      if (!design || finest === undefined || holds === undefined || finest >= holds) return [];
      const widthOf = ({ params }: AnyPlacement) => Number(params.width ?? design.width);
      const narrowest = Math.min(...placementsOf(pass).map(widthOf));
      const wanted = Math.ceil((narrowest * holds * TO_SPARE) / finest);
      const fits = wanted <= Math.max(resolved.recipe.panel.width, resolved.recipe.panel.height);
      return [
        {
          key: `fine ${pass.id} ${design.id}`,
          message: `${PASS_KINDS[pass.kind].label}: ${design.name} is drawn in lines of ${formatFine(finest, unit)}; finer than ${formatFine(holds, unit)} they do not hold.`,
          ...(fits
            ? {
                fix: {
                  label: `Draw it ${formatLength(wanted, unit)} wide`,
                  apply: (recipe) =>
                    placementsOf(pass).reduce(
                      (larger, placement) =>
                        setPlacement(larger, pass.id, placement.id, {
                          params: { width: Math.max(wanted, widthOf(placement)) },
                        }),
                      recipe,
                    ),
                },
              }
            : {}),
        },
      ];
    });
  },
};
