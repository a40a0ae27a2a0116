import { groundOfCard } from '../card/card';
import { type LinearRgb, linearRgbOfXyz, xyzOfSpectrum } from '../colour/lab';
import type { Ink } from '../ink/ink';
import { type Laid, laidReflectance, type Wetness } from '../ink/laid';
import type { Kit } from '../ladder/recipe';
import { OVERS } from '../over/over';
import { TOOLS } from '../tool/tools';
import type { Progress } from './progress';

/**
 * The colour of a place from what lies there.
 *
 * @param parts  parts of the rungs' inks, summing to 1
 * @param covers  how much of each ink over the ladder lies there, 0…1; none where left out
 */
export type MixColour = (parts: ArrayLike<number>, covers?: ArrayLike<number>) => LinearRgb;

/**
 * How a kit's inks look where they lie together: the ladder and what is laid into it wet are one film; what is laid
 * over it once it has dried is a film on that.
 */
export function mixColour(
  { recipe, card, inks, overInks }: Kit,
  wetness: Wetness,
  progress: Progress,
): MixColour {
  const bare = groundOfCard(card);
  const { coats } = TOOLS[recipe.tool];
  const down = recipe.overs.slice(0, progress.overs);
  return (parts, covers) => {
    const wet: Laid[] = [];
    for (let rung = 0; rung < inks.length; rung++)
      if ((parts[rung] as number) > 0 && progress.laid[rung])
        wet.push({ ink: inks[rung] as Ink, coats: coats * (parts[rung] as number) });
    const dried: Laid[] = [];
    down.forEach(({ id }, i) => {
      const cover = covers?.[i] ?? 0;
      if (cover > 0) (OVERS[id].onto === 'wet' ? wet : dried).push({ ink: overInks[i] as Ink, coats: cover });
    });
    let reflectance = wet.length > 0 ? laidReflectance(wet, bare, wetness) : bare;
    for (const film of dried) reflectance = laidReflectance([film], reflectance, wetness);
    return linearRgbOfXyz(xyzOfSpectrum(reflectance));
  };
}
