import { movePass } from '../../recipe/editPasses';
import { foil } from '../../recipe/passes/foil';
import { isOfKind, PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { contextsOf } from '../../recipe/resolved';
import type { Rule } from './definition';

/** Foil that the heat tool comes over afterwards: it dulls. What is heated by itself, as a strip is, does it no harm. */
export const heatedFoil: Rule = {
  id: 'heatedFoil',
  check: ({ resolved, unit }) => {
    const passes = passesInOrder(resolved.recipe);
    const heats = (pass: (typeof passes)[number]): boolean =>
      PASS_KINDS[pass.kind]
        .steps(contextsOf(resolved, pass), unit)
        .some(({ dangers = [], does }) => dangers.includes('heat') && does?.length !== 0);
    return passes.flatMap((pass, at) => {
      if (!isOfKind(pass, foil)) return [];
      const heated = passes.slice(at + 1).findLast(heats);
      if (!heated) return [];
      return [
        {
          key: `heated ${pass.id}`,
          message: `${PASS_KINDS[heated.kind].label} comes after the foil with the heat tool, which dulls it. Lay the foil after it.`,
          fix: {
            label: 'Lay the foil after it',
            apply: (current) =>
              movePass(
                current,
                pass.id,
                current.passes.findIndex(({ id }) => id === heated.id),
              ),
          },
        },
      ];
    });
  },
};
