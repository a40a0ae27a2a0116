import type { Design } from '../../materials/design/design';
import { type DesignParams, ontoPanel, placingOf } from '../../materials/design/placement';
import { setPlacement } from '../../recipe/editPasses';
import type { PassOf } from '../../recipe/passes/definition';
import { isOfKind } from '../../recipe/passes/passes';
import { waterStamp } from '../../recipe/passes/waterStamp';
import type { Recipe } from '../../recipe/recipe';
import { passesInOrder } from '../../recipe/recipe';
import { designOf } from '../../recipe/resolved';
import { type Rule, readingOf } from './definition';

/** Water impressions over each other: the second smears what the first has loosened. */
export const overlapping: Rule = {
  id: 'overlapping',
  check: (input) =>
    passesInOrder(input.resolved.recipe).flatMap((pass) => {
      const overlap = readingOf(input, pass)?.overlap;
      const design = designOf(input.resolved, pass);
      if (!isOfKind(pass, waterStamp) || !overlap || !design) return [];
      const [one, other] = overlap.pair;
      return [
        {
          key: `overlap ${pass.id} ${one} ${other}`,
          message: `Impressions ${one + 1} and ${other + 1} of the water stamp lie over each other by ${Math.round(overlap.part * 100)} %: leave dry card between.`,
          fix: {
            label: `Move impression ${other + 1} aside`,
            apply: (recipe) => movedAside(recipe, pass, design, one, other),
          },
        },
      ];
    }),
};

/** Between two impressions moved apart, mm. */
const GAP = 2;

/** The second impression right beside, or under, the first: where more of it stays on the panel. */
function movedAside(
  recipe: Recipe,
  pass: PassOf<typeof waterStamp>,
  design: Design,
  one: number,
  other: number,
): Recipe {
  const [first, second] = [pass.placements[one], pass.placements[other]];
  if (!first || !second) return recipe;
  const reach = (params: DesignParams) => {
    const placing = placingOf(design, params);
    const corners = [0, design.width].flatMap((x) =>
      [0, design.height].map((y) => ontoPanel(design, placing, { x, y })),
    );
    const span = (key: 'x' | 'y') =>
      (Math.max(...corners.map((corner) => corner[key])) -
        Math.min(...corners.map((corner) => corner[key]))) /
      2;
    return { x: placing.middle.x, y: placing.middle.y, across: span('x'), down: span('y') };
  };
  const [still, moving] = [reach(first.params), reach(second.params)];
  const { width, height } = recipe.panel;
  const ways = [-1, 1].flatMap((way) => [
    { x: still.x + way * (still.across + moving.across + GAP), y: still.y },
    { x: still.x, y: still.y + way * (still.down + moving.down + GAP) },
  ]);
  const off = ({ x, y }: { x: number; y: number }) =>
    Math.max(moving.across - x, x + moving.across - width, 0) +
    Math.max(moving.down - y, y + moving.down - height, 0);
  const [best] = ways.toSorted((p, q) => off(p) - off(q));
  return best ? setPlacement<typeof waterStamp>(recipe, pass.id, second.id, { params: best }) : recipe;
}
