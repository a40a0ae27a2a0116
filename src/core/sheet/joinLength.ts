import { cellsOf, middlesOf } from '../base/grid';
import type { Millimetres } from '../base/length';
import { memoOf } from '../base/memo';
import { bandsOf, jointSpans, type Recipe } from '../recipe/recipe';

/** Points along the panel's longer side at which the run is asked. */
const POINTS = 100;
/** Points so far from the middle of a join, in steps between points, still tell of it, the farther the less. */
const NEAR = 3;
/** How far beside a point the run is asked once more, mm. */
const BESIDE = 0.01;

/** How long a join is: across the panel, or round a ring as far as it lies on it; patches meet along as much as the panel is wide. */
export const joinLength = (recipe: Recipe, joint: number): Millimetres =>
  lengthsOf(recipe)[joint] ?? recipe.panel.width;

/**
 * The coarea formula: summed up over the strip round a join, the steepness of the run is the strip's breadth along the run
 * times the join's length. Source: H. Federer, Trans. Am. Math. Soc. 93 (1959) 418, from memory.
 */
const lengthsOf = memoOf((recipe: Recipe): readonly Millimetres[] => {
  const { panel } = recipe;
  const bands = bandsOf(recipe);
  if (!bands || bands.isHorizontal) return [];
  const { alongAt } = bands;
  const middles = jointSpans(recipe).map(({ start, end }) => (start + end) / 2);
  const sums = middles.map(() => 0);
  const cells = cellsOf(panel, POINTS);
  const near = NEAR * Math.max(cells.width, cells.height);
  for (const [x, y] of middlesOf(cells)) {
    const along = alongAt(x, y);
    if (middles.every((middle) => Math.abs(along - middle) >= near)) continue;
    const steepness = Math.hypot(alongAt(x + BESIDE, y) - along, alongAt(x, y + BESIDE) - along) / BESIDE;
    middles.forEach((middle, i) => {
      const tells = Math.max(1 - Math.abs(along - middle) / near, 0);
      sums[i] = (sums[i] ?? 0) + tells * steepness;
    });
  }
  return sums.map((sum) => (sum * cells.width * cells.height) / near);
});
