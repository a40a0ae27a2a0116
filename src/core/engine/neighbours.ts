import { gridOf } from '../base/grid';
import { memoOf } from '../base/memo';
import { bandsOf, type Recipe } from '../recipe/recipe';
import { coverageOf, GRID } from './coverage';

/** Two rungs that meet on the panel, the lower place in the ladder first. */
export type Neighbours = readonly [lower: number, upper: number];

/** Where both of two inks have at least this part, they meet. */
const MEET_FROM = 0.2;

/** Which rungs meet on the panel: on bands those next to each other, on patches whichever lie side by side. */
export const neighboursOf = memoOf((recipe: Recipe): readonly Neighbours[] => {
  if (bandsOf(recipe)) return recipe.joints.map((_, joint) => [joint, joint + 1] as const);
  const coverage = coverageOf(recipe);
  const count = recipe.rungs.length;
  const parts = new Float64Array(count);
  const meets = new Set<number>();
  for (const [x, y] of gridOf(recipe.panel, GRID)) {
    coverage(x, y, parts);
    for (let lower = 0; lower < count; lower++)
      for (let upper = lower + 1; upper < count; upper++)
        if (Math.min(parts[lower] as number, parts[upper] as number) > MEET_FROM)
          meets.add(lower * count + upper);
  }
  return [...meets].sort((p, q) => p - q).map((pair) => [Math.floor(pair / count), pair % count] as const);
});
