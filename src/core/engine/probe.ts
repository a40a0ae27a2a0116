import { groundOfCard } from '../materials/card/card';
import { type Hex, hexOfLab } from '../materials/colour/hex';
import { type Lab, labOfSpectrum } from '../materials/colour/lab';
import { type ColourName, nameColour } from '../materials/colour/names';
import type { Spectrum } from '../materials/colour/spectrum';
import { type Ink, isBare } from '../materials/ink/ink';
import { laidReflectance } from '../materials/ink/laid';
import type { Kit } from '../recipe/recipe';
import { type Work, workOf } from './layers';
import { finished } from './progress';
import { layersOf, type Stack } from './stack';

/** What lies at one point of the dried panel. */
export interface Place {
  readonly lab: Lab;
  readonly hex: Hex;
  readonly colour: ColourName;
  /** The inks there, most first, in parts of a coat; those under a hundredth are left out. */
  readonly inks: readonly { readonly ink: Ink; readonly coats: number }[];
}

/** Dried reflectance of what lies at one point, layer by layer over a ground. */
function stackReflectance({ palette }: Pick<Work, 'palette'>, stack: Stack, ground: Spectrum): Spectrum {
  let reflectance = ground;
  for (let layer = 0; layer < layersOf(stack); layer++) {
    const laid = palette.flatMap((ink, i) => {
      const coats = stack.amounts[layer * stack.inks + i] as number;
      return coats > 0 ? [{ ink, coats }] : [];
    });
    reflectance = laidReflectance(laid, reflectance, 'dry');
  }
  return reflectance;
}

/** Reads points of the panel, x and y in mm from its top left corner. */
export function placeReader(kit: Kit): (x: number, y: number) => Place {
  const work = workOf(kit, finished(kit.recipe));
  const stack = work.stack();
  const ground = groundOfCard(kit.card);
  return (x, y) => {
    work.at(x, y, (border) => (work.borders[border]?.(x, y) ?? 0) > 0, stack);
    const lab = labOfSpectrum(stackReflectance(work, stack, ground));
    const laid = new Map<string, { ink: Ink; coats: number }>();
    work.palette.forEach((ink, i) => {
      let coats = laid.get(ink.id)?.coats ?? 0;
      for (let layer = 0; layer < layersOf(stack); layer++)
        coats += stack.amounts[layer * stack.inks + i] as number;
      laid.set(ink.id, { ink, coats });
    });
    return {
      lab,
      hex: hexOfLab(lab),
      colour: nameColour(lab),
      inks: [...laid.values()]
        .filter(({ ink, coats }) => coats >= 0.01 && !isBare(ink))
        .toSorted((p, q) => q.coats - p.coats),
    };
  };
}
