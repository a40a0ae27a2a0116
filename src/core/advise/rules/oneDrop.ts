import { removePass, setPlacements } from '../../recipe/editPasses';
import { glycerine } from '../../recipe/passes/glycerine';
import { isOfKind } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** More than one drop of glycerine a colour: the ink slides and stays patchy. Common practice. */
export const oneDrop: Rule = {
  id: 'oneDrop',
  check: ({ resolved: { recipe } }) =>
    passesInOrder(recipe).flatMap((pass, i, all) => {
      if (!isOfKind(pass, glycerine)) return [];
      const isSecond = all.findIndex((one) => isOfKind(one, glycerine)) < i;
      if (!isSecond && pass.placements.every(({ params }) => params.drops === 'one')) return [];
      return [
        {
          key: `drops ${pass.id}`,
          message: 'More than one drop of glycerine a colour makes the ink slide and stay patchy.',
          fix: isSecond
            ? { label: 'Once, no more', apply: (current) => removePass(current, pass.id) }
            : {
                label: 'One drop, no more',
                apply: (current) =>
                  setPlacements<typeof glycerine>(current, pass.id, { params: { drops: 'one' } }),
              },
        },
      ];
    }),
};
