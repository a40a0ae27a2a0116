import type { Design } from '../../materials/design/design';
import { type DesignParams, ontoPanel, placingOf } from '../../materials/design/placement';
import { offPanel } from '../../readings/passReadings';
import { removePlacement, setPlacement } from '../../recipe/editPasses';
import type { PassOf } from '../../recipe/passes/definition';
import { isOfKind } from '../../recipe/passes/passes';
import { waterStamp } from '../../recipe/passes/waterStamp';
import type { Recipe } from '../../recipe/recipe';
import { passesInOrder } from '../../recipe/recipe';
import { designOf, type ResolvedRecipe } from '../../recipe/resolved';
import { type Fix, type Rule, readingOf } from './definition';

/** Water impressions over each other: the second smears what the first has loosened. */
export const overlapping: Rule = {
  id: 'overlapping',
  check: (input) =>
    passesInOrder(input.resolved.recipe).flatMap((pass) => {
      const overlap = readingOf(input, pass)?.overlap;
      const design = designOf(input.resolved, pass);
      if (!isOfKind(pass, waterStamp) || !overlap || !design) return [];
      const [one, other] = overlap.pair;
      const fix = fixOf(input.resolved, pass, design, one, other);
      return [
        {
          key: `overlap ${pass.id} ${one} ${other}`,
          message: `Impressions ${one + 1} and ${other + 1} of the water stamp lie over each other by ${Math.round(overlap.part * 100)} %: leave dry card between.`,
          ...(fix ? { fix } : {}),
        },
      ];
    }),
};

/** Aside; or off again, where no room aside shows anything of it. */
function fixOf(
  resolved: ResolvedRecipe,
  pass: PassOf<typeof waterStamp>,
  design: Design,
  one: number,
  other: number,
): Fix | undefined {
  const [first, second] = [pass.placements[one], pass.placements[other]];
  if (!first || !second) return undefined;
  const { place, part } = aside(
    reachOf(design, first.params),
    reachOf(design, second.params),
    resolved.recipe,
  );
  const move = (recipe: Recipe) =>
    setPlacement<typeof waterStamp>(recipe, pass.id, second.id, { params: place });
  const recipe = move(resolved.recipe);
  const moved = recipe.passes.find(({ id }) => id === pass.id);
  return part > 0 && moved && !offPanel({ ...resolved, recipe }, moved).includes(second.id)
    ? { label: `Move impression ${other + 1} aside`, apply: move }
    : {
        label: `Take impression ${other + 1} off`,
        apply: (now) => removePlacement(now, pass.id, second.id),
      };
}

/** Between two impressions moved apart, mm. */
const GAP = 2;

/** The middle of a placed design, and how far it reaches from there across and down, mm. */
type Reach = ReturnType<typeof reachOf>;
function reachOf(design: Design, params: DesignParams) {
  const placing = placingOf(design, params);
  const corners = [0, design.width].flatMap((x) =>
    [0, design.height].map((y) => ontoPanel(design, placing, { x, y })),
  );
  const span = (key: 'x' | 'y') =>
    (Math.max(...corners.map((corner) => corner[key])) - Math.min(...corners.map((corner) => corner[key]))) /
    2;
  return { x: placing.middle.x, y: placing.middle.y, across: span('x'), down: span('y') };
}

/** The second impression right beside, over or under the first: where more of it stays on the panel, and which part of it. */
function aside(still: Reach, { across, down }: Reach, { panel }: Recipe) {
  const within = (middle: number, reach: number, side: number) =>
    Math.max(0, Math.min(middle + reach, side) - Math.max(middle - reach, 0)) / (2 * reach);
  const ways = [-1, 1]
    .flatMap((way) => [
      { x: still.x + way * (still.across + across + GAP), y: still.y },
      { x: still.x, y: still.y + way * (still.down + down + GAP) },
    ])
    .map((place) => ({
      place,
      part: within(place.x, across, panel.width) * within(place.y, down, panel.height),
    }));
  return ways.reduce((best, way) => (way.part > best.part + 1e-9 ? way : best));
}
