import { param } from '../base/params';
import { groundOfCard } from '../materials/card/card';
import type { Spectrum } from '../materials/colour/spectrum';
import { asPigment } from '../materials/ink/ink';
import { laidReflectance } from '../materials/ink/laid';
import { passesInOrder } from '../recipe/passesInOrder';
import type { Kit } from '../recipe/recipe';

/** What the blend lies on all over: the card, with the white base of the recipe where it has one. Reflectance, dried. */
export function groundOf(kit: Kit): Spectrum {
  const bare = groundOfCard(kit.card);
  return passesInOrder(kit.recipe)
    .filter(({ kind }) => kind === 'whiteBase')
    .flatMap(({ placements }) => placements)
    .reduce((ground, { inkId, params }) => {
      const ink = kit.passInks.find(({ id }) => id === inkId);
      if (!ink) return ground;
      const coat = (under: Spectrum) => laidReflectance([{ ink: asPigment(ink), coats: 1 }], under, 'dry');
      return param(params, 'coats', 0) === 1 ? coat(coat(ground)) : coat(ground);
    }, bare);
}
