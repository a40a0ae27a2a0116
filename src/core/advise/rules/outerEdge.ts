import { ontoPanel, placingOf } from '../../materials/design/placement';
import { setPlacement } from '../../recipe/editPasses';
import { edgeStencil } from '../../recipe/passes/edgeStencil';
import { isOfKind } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { designOf } from '../../recipe/resolved';
import type { Rule } from './definition';

/** Points along each outer edge that are looked at, and from which part of its height on its sides are outer ones. */
const STEPS = 24;
const SIDES_FROM = 0.6;

/** An edge stencil whose own outer edge lies on the panel with nothing over it: it prints a straight line. */
export const outerEdge: Rule = {
  id: 'outerEdge',
  check: ({ resolved }) =>
    passesInOrder(resolved.recipe).flatMap((pass) => {
      const design = designOf(resolved, pass);
      if (!isOfKind(pass, edgeStencil) || !design) return [];
      const { width, height } = resolved.recipe.panel;
      return pass.placements.flatMap(({ id, params }, placement) => {
        if (params.scrap === 'yes') return [];
        const placing = placingOf(design, params);
        // Its foot, and its sides below the drawn edge.
        const outer = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS).flatMap((t) => [
          { x: t * design.width, y: design.height },
          { x: 0, y: design.height * (SIDES_FROM + (1 - SIDES_FROM) * t) },
          { x: design.width, y: design.height * (SIDES_FROM + (1 - SIDES_FROM) * t) },
        ]);
        const shows = outer
          .map((point) => ontoPanel(design, placing, point))
          .some(({ x, y }) => x > 0 && y > 0 && x < width && y < height);
        if (!shows) return [];
        return [
          {
            key: `outer ${pass.id} ${id}`,
            message: `Edge stencil, placing ${placement + 1}: its own outer edge lies inside the panel and will print a straight line.`,
            fix: {
              label: 'Lay scrap beyond it',
              apply: (recipe) =>
                setPlacement<typeof edgeStencil>(recipe, pass.id, id, { params: { scrap: 'yes' } }),
            },
          },
        ];
      });
    }),
};
