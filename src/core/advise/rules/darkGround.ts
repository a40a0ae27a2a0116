import { NEEDS } from '../../readings/legibility/contrast';
import { coatOver, coatResist } from '../../recipe/editPasses';
import { PASS_KINDS, placementsOf } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { type Rule, readingOf, topCoatsFor } from './definition';

/** A full coat, per cent. */
const FULL = 100;

/** A clear resist whose design cannot be told from the coat over it, or over which nothing is laid. */
export const darkGround: Rule = {
  id: 'darkGround',
  check: (input) => {
    const { resolved } = input;
    return passesInOrder(resolved.recipe).flatMap((pass) => {
      const contrast = readingOf(input, pass)?.contrast;
      if (!PASS_KINDS[pass.kind].keepsGround || !contrast || contrast.least >= NEEDS['bold shape']) return [];
      const coat = coatOver(resolved.recipe, pass.id);
      const [best] = topCoatsFor(input);
      const isLaid =
        coat !== undefined &&
        placementsOf(coat).some(({ inkId, params }) => inkId === best?.ink.id && params.strength === FULL);
      // A press that would lay the coat that lies there already changes nothing.
      const does = best && best.worst >= NEEDS['bold shape'] && !isLaid ? best : undefined;
      return [
        {
          key: `dark ground ${pass.id} ${coat?.id ?? 'bare'}`,
          message: coat
            ? `The resist’s design reads at only ${contrast.least.toFixed(1)} : 1 at its worst place: ${isLaid ? 'the ground is too dark even for the best coat there is' : 'the ground is too dark for this coat, or the coat too light'}. Three light inks under one dark.`
            : 'Nothing dark lies over the clear resist yet: its design is hardly seen.',
          ...(does
            ? {
                fix: {
                  label: `Coat it with ${does.ink.name}`,
                  apply: (recipe) => coatResist(recipe, pass.id, does.ink.id),
                },
              }
            : {}),
        },
      ];
    });
  },
};
