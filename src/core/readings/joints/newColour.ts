import { formatLength, type Millimetres, type Unit } from '../../base/length';
import { hardFade } from '../../base/smoothStep';
import { moveMark } from '../../recipe/editLadder';
import { inkExtents, jointSpans, type Recipe } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { TOOLS } from '../../recipe/tools/tools';
import type { Station, Verdict } from './joint';

/** Places along a joint at which its colour is asked. */
const PLACES = 200;

/** A joint as far as it matters here: how it goes, in even steps of mixture with both ends, and what was said of it. */
export interface NewColourJoint {
  readonly stations: readonly Station[];
  readonly verdict: Verdict;
}

/** The part of a joint's length, 0…1, on which it shows the new colour it was told to make; 0 where it makes none. */
export function newColourPart({ stations, verdict }: NewColourJoint, hardness: number): number {
  if (verdict.kind !== 'new colour') return 0;
  const isIt = stations.map(({ colour }) => colour.noun === verdict.decidedBy.colour.noun);
  let met = 0;
  for (let i = 0; i < PLACES; i++) {
    const mix = 1 - hardFade((i + 0.5) / PLACES, hardness);
    if (isIt[Math.round(mix * (stations.length - 1))]) met++;
  }
  return met / PLACES;
}

/** How wide a joint's new colour lies, mm along the run; 0 where it has none. */
export const newColourWidth = (recipe: Recipe, joint: number, judged: NewColourJoint): Millimetres =>
  newColourPart(judged, TOOLS[recipe.tool].hardness) * (recipe.joints[joint]?.width ?? 0);

/** Less solid than this, mm, an ink is only met in passing. By eye. */
const SOLID_LEFT = 4;

/**
 * Why a new colour should not be laid so wide: it would leave an ink beside it next to no solid part of its own, or there
 * is no room for it at all. Undefined where nothing speaks against it.
 */
export function whyNotSoWide(
  resolved: Pick<ResolvedRecipe, 'recipe' | 'inks'>,
  joint: number,
  judged: NewColourJoint,
  wanted: Millimetres,
  unit: Unit,
): string | undefined {
  const { recipe, inks } = resolved;
  const wider = setNewColourWidth(recipe, joint, judged, wanted);
  if (newColourWidth(wider, joint, judged) < wanted - LEAST_TOLD)
    return `There is room for ${formatLength(newColourWidth(wider, joint, judged), unit)} of it at most.`;
  const solidOf = (laid: Recipe): number[] =>
    inkExtents(laid).map(({ solidFrom, solidTo }) => solidTo - solidFrom);
  const before = solidOf(recipe);
  const eaten = solidOf(wider)
    .map((left, rung) => ({ rung, left }))
    .find(({ rung, left }) => left < SOLID_LEFT && left < (before[rung] as number) - LEAST_TOLD);
  return eaten
    ? `That would leave ${inks[eaten.rung]?.name ?? 'an ink'} only ${formatLength(eaten.left, unit)} of its own. Give it more room first, or ask for less.`
    : undefined;
}

/** Lengths nearer than this are told as one, mm. */
const LEAST_TOLD = 0.5;

/**
 * The recipe with a joint as wide as its new colour needs to lie `wanted` mm wide, about the same middle, as far as its
 * neighbours leave room.
 */
export function setNewColourWidth(
  recipe: Recipe,
  joint: number,
  judged: NewColourJoint,
  wanted: Millimetres,
): Recipe {
  const part = newColourPart(judged, TOOLS[recipe.tool].hardness);
  const lap = jointSpans(recipe)[joint];
  if (part <= 0 || !lap) return recipe;
  const middle = (lap.start + lap.end) / 2;
  const half = wanted / part / 2;
  return moveMark(moveMark(recipe, joint, 'start', middle - half), joint, 'end', middle + half);
}
