import type { Ink } from '../ink/ink';
import type { Kit, Recipe } from '../ladder/recipe';
import { NEEDS } from '../legibility/contrast';
import { setPlacement } from '../pass/edit';
import { passesInOrder } from '../pass/order';
import type { Pass } from '../pass/pass';
import { designContrast } from '../readings/passReadings';
import { param } from '../run/params';
import type { Rule } from './rule';

/** A strip whose lightness is so near to the ground's, as contrast, needs a shadow to stand off. */
const STANDS_OFF = 1.6;

/** A silhouette that does not stand out from its ground, or a greeting strip that does not. */
export const lostImage: Rule = {
  id: 'lostImage',
  check: ({ kit, passes, shelf }) =>
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
      const stamps = shelf.filter(({ kind, wished }) => (kind === 'detail' || kind === 'white') && !wished);
      return [
        {
          key: `image ${pass.id}`,
          told: `The silhouette reads at only ${contrast.least.toFixed(1)} : 1 at its worst place.`,
          ...(stamps.length > 0
            ? {
                fix: {
                  label: 'Take the ink that reads best',
                  mend: (recipe) => reading(kit, recipe, pass, stamps),
                },
              }
            : {}),
        },
      ];
    }),
};

/** White may need two or three impressions over each other; black does not. */
const IMPRESSIONS = { detail: [100], white: [100, 200, 300] } as const;

/** The silhouette in the ink, and as many impressions, that first reads everywhere; where none does, in the best. */
function reading(kit: Kit, recipe: Recipe, pass: Pass, stamps: readonly Ink[]): Recipe {
  const tried = stamps
    .flatMap((ink) =>
      IMPRESSIONS[ink.kind === 'white' ? 'white' : 'detail'].map((strength) => ({ ink, strength })),
    )
    .toSorted((p, q) => p.strength - q.strength)
    .map(({ ink, strength }) => {
      const inked = pass.placements.reduce(
        (all, _, i) => setPlacement(all, pass.id, i, { inkId: ink.id, params: { strength } }),
        recipe,
      );
      const other: Kit = { ...kit, recipe: inked, passInks: [...kit.passInks, ink] };
      return { inked, least: designContrast(other, pass.id)?.least ?? 0 };
    });
  const best =
    tried.find(({ least }) => least >= NEEDS['bold shape']) ?? tried.toSorted((p, q) => q.least - p.least)[0];
  return best?.inked ?? recipe;
}
