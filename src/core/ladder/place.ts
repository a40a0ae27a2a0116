import { groundOfCard } from '../card/card';
import { type Hex, hexOfLab } from '../colour/hex';
import { type Lab, labOfSpectrum } from '../colour/lab';
import { type ColourName, nameColour } from '../colour/names';
import { type Ink, isBare } from '../ink/ink';
import { type Laid, laidReflectance } from '../ink/laid';
import { OVERS } from '../over/over';
import { coverageOf } from './coverage';
import type { Kit } from './recipe';

/** What lies at one point of the dried panel. */
export interface Place {
  readonly lab: Lab;
  readonly hex: Hex;
  readonly colour: ColourName;
  /** The inks there, most first, in parts of a coat; those under a hundredth are left out. */
  readonly inks: readonly { readonly ink: Ink; readonly coats: number }[];
}

/** Reads one point of the panel, x and y in mm from its top left corner. */
export function readPlace(kit: Kit, x: number, y: number): Place {
  const { recipe, card, inks, overInks } = kit;
  const parts = new Float64Array(inks.length);
  coverageOf(recipe)(x, y, parts);
  const wet: Laid[] = inks.map((ink, rung) => ({ ink, coats: parts[rung] as number }));
  const dried: Laid[] = [];
  recipe.overs.forEach(({ id, params }, i) => {
    const laid = { ink: overInks[i] as Ink, coats: OVERS[id].on(recipe.panel, params).coverAt(x, y) };
    (OVERS[id].onto === 'wet' ? wet : dried).push(laid);
  });
  const here = (laid: readonly Laid[]) => laid.filter(({ coats }) => coats > 0);
  let reflectance = laidReflectance(here(wet), groundOfCard(card), 'dry');
  for (const film of here(dried)) reflectance = laidReflectance([film], reflectance, 'dry');
  const lab = labOfSpectrum(reflectance);
  const told = [...wet, ...dried].filter(({ ink, coats }) => coats >= 0.01 && !isBare(ink));
  return {
    lab,
    hex: hexOfLab(lab),
    colour: nameColour(lab),
    inks: told.toSorted((p, q) => q.coats - p.coats),
  };
}
