import { param } from '../../base/params';
import { designOf } from '../../engine/layers';
import { ontoPanel, placingOf } from '../../materials/design/placement';
import { setPlacement } from '../../recipe/editPasses';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

const STEPS = 24;

/** An edge stencil whose own outer edge lies on the panel with nothing over it: it prints a straight line. */
export const outerEdge: Rule = {
  id: 'outerEdge',
  check: ({ kit }) =>
    passesInOrder(kit.recipe).flatMap((pass) => {
      const design = designOf(kit, pass);
      if (pass.kind !== 'edgeStencil' || !design) return [];
      const { width, height } = kit.recipe.panel;
      return pass.placements.flatMap(({ params }, placement) => {
        if (param(params, 'scrap', 1) === 1) return [];
        const placing = placingOf(design, params);
        // Its foot, and its sides below the drawn edge.
        const outer = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS).flatMap((t) => [
          { x: t * design.width, y: design.height },
          { x: 0, y: design.height * (0.6 + 0.4 * t) },
          { x: design.width, y: design.height * (0.6 + 0.4 * t) },
        ]);
        const shows = outer
          .map((point) => ontoPanel(design, placing, point))
          .some(({ x, y }) => x > 0 && y > 0 && x < width && y < height);
        if (!shows) return [];
        return [
          {
            key: `outer ${pass.id} ${placement}`,
            told: `Edge stencil, placing ${placement + 1}: its own outer edge lies inside the panel and will print a straight line.`,
            fix: {
              label: 'Lay scrap beyond it',
              mend: (recipe) => setPlacement(recipe, pass.id, placement, { params: { scrap: 1 } }),
            },
          },
        ];
      });
    }),
};
