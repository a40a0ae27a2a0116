import { param } from '../../base/params';
import { NEEDS } from '../../readings/legibility/contrast';
import { setPlacement, setPlacements } from '../../recipe/editPasses';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

/** A strip whose lightness is so near to the ground's, as contrast, needs a shadow to stand off. */
const STANDS_OFF = 1.6;

/** A silhouette that does not stand out from its ground, or a greeting strip that does not. */
export const lostImage: Rule = {
  id: 'lostImage',
  check: ({ kit, passes }) =>
    passesInOrder(kit.recipe).flatMap((pass) => {
      const contrast = passes.find(({ id }) => id === pass.id)?.contrast;
      if (!contrast) return [];
      if (pass.kind === 'greetingStrip') {
        const ratios = contrast.places.map(({ ratio }) => ratio).sort((p, q) => p - q);
        const shadowed = param(pass.placements[0]?.params ?? {}, 'shadow', 0) === 1;
        if (shadowed || (ratios[ratios.length >> 1] ?? 0) >= STANDS_OFF) return [];
        return [
          {
            key: `strip ${pass.id}`,
            told: 'The greeting strip hardly stands off what lies under it.',
            fix: {
              label: 'Set a shadow under it',
              mend: (recipe) => setPlacement(recipe, pass.id, 0, { params: { shadow: 1 } }),
            },
          },
        ];
      }
      const full = pass.placements.every(({ params }) => param(params, 'strength', 100) >= 95);
      if (pass.kind !== 'silhouette' || !full || contrast.least >= NEEDS['bold shape']) return [];
      const better = passes.find(({ id }) => id === pass.id)?.better;
      const told = `The silhouette reads at only ${contrast.least.toFixed(1)} : 1 at its worst place`;
      return [
        better
          ? {
              key: `image ${pass.id}`,
              told: `${told}.`,
              fix: {
                label: `Stamp it in ${better.ink.name}${TIMES[better.strength] ?? ''}`,
                mend: (recipe) =>
                  setPlacements(recipe, pass.id, {
                    inkId: better.ink.id,
                    params: { strength: better.strength },
                  }),
              },
            }
          : {
              key: `image ${pass.id}`,
              told: `${told}, and no stamping ink of the shelf reads better there: set it on calmer ground.`,
            },
      ];
    }),
};

/** How often white is stamped, by its strength. */
const TIMES: Readonly<Record<number, string>> = { 200: ', twice', 300: ', three times' };
