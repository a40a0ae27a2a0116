import { type Card, groundOfCard } from '../materials/card/card';
import { type Hex, hexOfLab } from '../materials/colour/hex';
import type { Lab } from '../materials/colour/lab';
import { type ColourName, nameColour } from '../materials/colour/names';
import type { Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { driedColour } from '../materials/ink/laid';

/** An ink as it dries on a card. */
export interface DriedInk {
  readonly ink: Ink;
  readonly lab: Lab;
  readonly hex: Hex;
  readonly colour: ColourName;
}

/** Every ink of the shelf that can be blended, as one full coat of it dries on the card. */
export function dryShelf(inks: readonly Ink[], card: Card): DriedInk[] {
  const ground = groundOfCard(card);
  return inks
    .filter(({ kind }) => INK_KINDS[kind].blends)
    .map((ink) => {
      const lab = driedColour(ink, ground);
      return { ink, lab, hex: hexOfLab(lab), colour: nameColour(lab) };
    });
}
