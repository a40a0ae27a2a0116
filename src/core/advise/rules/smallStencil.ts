import { coversPanel, placingOf } from '../../materials/design/placement';
import { setPlacement } from '../../recipe/editPasses';
import { isOfKind } from '../../recipe/passes/passes';
import { patternStencil } from '../../recipe/passes/patternStencil';
import { passesInOrder } from '../../recipe/recipe';
import { designOf } from '../../recipe/resolved';
import type { Rule } from './definition';

/** A pattern stencil that does not reach over the whole panel. */
export const smallStencil: Rule = {
  id: 'smallStencil',
  check: ({ resolved }) =>
    passesInOrder(resolved.recipe).flatMap((pass) => {
      const design = designOf(resolved, pass);
      if (!isOfKind(pass, patternStencil) || !design) return [];
      const [only, more] = pass.placements;
      if (!only || more) return [];
      if (
        design.use !== 'pattern' ||
        coversPanel(design, placingOf(design, only.params), resolved.recipe.panel)
      )
        return [];
      return [
        {
          key: `small ${pass.id} ${design.id}`,
          message: `${design.name} does not reach over the whole panel: move it on and repeat it, or trim the panel.`,
          fix: {
            label: 'Repeat it edge to edge',
            apply: (recipe) =>
              setPlacement<typeof patternStencil>(recipe, pass.id, only.id, {
                params: { repeat: 'tiles', gap: 0 },
              }),
          },
        },
      ];
    }),
};
