import { groundOfCard } from '../card/card';
import type { Spectrum } from '../colour/spectrum';
import { asPigment } from '../ink/ink';
import { laidReflectance } from '../ink/laid';
import type { Kit } from '../ladder/recipe';
import { param } from '../run/params';
import { passesInOrder } from './order';

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
