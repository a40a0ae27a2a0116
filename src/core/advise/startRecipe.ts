import { bareGround, solidColour } from '../engine/blend';
import type { Card } from '../materials/card/card';
import type { Ink } from '../materials/ink/ink';
import { solveShares } from '../readings/solveShares';
import { newRecipe } from '../recipe/newRecipe';
import type { Recipe } from '../recipe/recipe';

/**
 * A recipe to begin with: the inks pale at the top as they dry on the card, and each laid so that it shows on an equal part
 * of the panel.
 */
export function startRecipe(name: string, inks: readonly Ink[], card: Card): Recipe {
  const ground = bareGround(card);
  const sorted = inks.toSorted((p, q) => solidColour(q, ground).l - solidColour(p, ground).l);
  const recipe = newRecipe(name, sorted, card);
  const resolved = { recipe, card, inks: sorted, passInks: [], designs: [] };
  return solveShares(
    resolved,
    sorted.map(() => 1 / sorted.length),
  ).recipe;
}
