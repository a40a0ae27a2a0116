import type { Millimetres } from '../../base/length';
import { hardFade } from '../../base/smoothStep';
import { moveMark } from '../../recipe/editLadder';
import { jointSpans, type Recipe } from '../../recipe/recipe';
import { TOOLS } from '../../recipe/tools/tools';
import { MUDDY, type Station } from './joint';

/** Places along a joint at which its colour is asked. */
const PLACES = 200;

/**
 * The part of a joint's length, 0…1, on which it shows a hue that neither ink has. Mud is not counted.
 *
 * @param stations  the joint in even steps of mixture, both ends included
 */
export function newColourPart(stations: readonly Station[], hardness: number): number {
  const nouns = stations.map(({ colour }) => colour.noun);
  const [first, last] = [nouns[0], nouns.at(-1)];
  const isNew = nouns.map((noun) => noun !== first && noun !== last && !MUDDY.has(noun));
  let met = 0;
  for (let i = 0; i < PLACES; i++) {
    const mix = 1 - hardFade((i + 0.5) / PLACES, hardness);
    if (isNew[Math.round(mix * (stations.length - 1))]) met++;
  }
  return met / PLACES;
}

/** How wide a joint's new colour lies, mm along the run; 0 where it has none. */
export const newColourWidth = (recipe: Recipe, joint: number, stations: readonly Station[]): Millimetres =>
  newColourPart(stations, TOOLS[recipe.tool].hardness) * (recipe.joints[joint]?.width ?? 0);

/**
 * The recipe with a joint as wide as its new colour needs to lie `wanted` mm wide, about the same middle, as far as its
 * neighbours leave room.
 */
export function setNewColourWidth(
  recipe: Recipe,
  joint: number,
  stations: readonly Station[],
  wanted: Millimetres,
): Recipe {
  const part = newColourPart(stations, TOOLS[recipe.tool].hardness);
  const lap = jointSpans(recipe)[joint];
  if (part <= 0 || !lap) return recipe;
  const middle = (lap.start + lap.end) / 2;
  const half = wanted / part / 2;
  return moveMark(moveMark(recipe, joint, 'start', middle - half), joint, 'end', middle + half);
}
