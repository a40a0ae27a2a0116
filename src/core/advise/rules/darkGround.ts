import { NEEDS } from '../../readings/legibility/contrast';
import { rankTopCoats } from '../../readings/legibility/topCoat';
import { coatOver, coatResist } from '../../recipe/editPasses';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

/** A clear resist whose design cannot be told from the coat over it, or over which nothing is laid. */
export const darkGround: Rule = {
  id: 'darkGround',
  check: ({ kit, passes, shelf }) => {
    return passesInOrder(kit.recipe).flatMap((pass) => {
      const contrast = passes.find(({ id }) => id === pass.id)?.contrast;
      if (pass.kind !== 'clearResist' || !contrast || contrast.least >= NEEDS['bold shape']) return [];
      const coat = coatOver(kit.recipe, pass.id);
      const [best] = rankTopCoats(kit, shelf);
      const does = best && best.worst >= NEEDS['bold shape'] ? best : undefined;
      return [
        {
          key: `dark ground ${pass.id} ${coat?.id ?? 'bare'}`,
          told: coat
            ? `The resist’s design reads at only ${contrast.least.toFixed(1)} : 1 at its worst place: the ground is too dark for this coat, or the coat too light. Three light inks under one dark.`
            : 'Nothing dark lies over the clear resist yet: its design is hardly seen.',
          ...(does
            ? {
                fix: {
                  label: `Coat it with ${does.ink.name}`,
                  mend: (recipe) => coatResist(recipe, pass.id, does.ink.id),
                },
              }
            : {}),
        },
      ];
    });
  },
};
