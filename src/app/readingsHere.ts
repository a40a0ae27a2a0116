import { memo } from '../core/base/memo';
import { type BlendGround, blendGround } from '../core/engine/blend';
import { type Readings, readingsOf } from '../core/readings/readings';
import { orderLightToDark, type PaleEnd } from '../core/recipe/editLadder';
import type { Recipe } from '../core/recipe/recipe';
import type { ResolvedRecipe } from '../core/recipe/resolved';

const read = memo(4, (card: ResolvedRecipe['card'], inks: ResolvedRecipe['inks'], ground: BlendGround) =>
  readingsOf({ card, inks }, ground),
);

/** The readings of a recipe: the same value, for all who ask, while only its marks are moved. */
export const readingsHere = (resolved: ResolvedRecipe): Readings =>
  read(resolved.card, resolved.inks, blendGround(resolved));

/** Orders the rungs by what they dry to on this card. */
export const orderedBy =
  (readings: Readings, paleEnd: PaleEnd) =>
  (recipe: Recipe): Recipe =>
    orderLightToDark(
      recipe,
      readings.rungs.map(({ lab }) => lab),
      paleEnd,
    );
