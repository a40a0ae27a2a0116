import { designOf } from '../../engine/layers';
import { coversPanel, placingOf } from '../../materials/design/placement';
import { setPlacement } from '../../recipe/editPasses';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

/** A pattern stencil that does not reach over the whole panel. */
export const smallStencil: Rule = {
  id: 'smallStencil',
  check: ({ kit }) =>
    passesInOrder(kit.recipe).flatMap((pass) => {
      const design = designOf(kit, pass);
      const [only, more] = pass.placements;
      if (pass.kind !== 'patternStencil' || !design || !only || more) return [];
      if (design.use !== 'pattern' || coversPanel(design, placingOf(design, only.params), kit.recipe.panel))
        return [];
      return [
        {
          key: `small ${pass.id} ${design.id}`,
          told: `${design.name} does not reach over the whole panel: move it on and repeat it, or trim the panel.`,
          fix: {
            label: 'Repeat it edge to edge',
            mend: (recipe) => setPlacement(recipe, pass.id, 0, { params: { repeat: 1, gap: 0 } }),
          },
        },
      ];
    }),
};
