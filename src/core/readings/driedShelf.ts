import { type BlendGround, solidColour } from '../engine/blend';
import { deltaE00 } from '../materials/colour/difference';
import { type Hex, hexOfLab } from '../materials/colour/hex';
import type { Lab } from '../materials/colour/lab';
import { type ColourName, nameColour } from '../materials/colour/names';
import { type Ink, isBare } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';

/** An ink as it dries on a card. */
export interface DriedInk {
  readonly ink: Ink;
  readonly lab: Lab;
  readonly hex: Hex;
  readonly colour: ColourName;
}

/** Every ink of the shelf that can be blended, as a solid part of it dries on what is blended on and with. */
export function dryShelf(inks: readonly Ink[], on: BlendGround): DriedInk[] {
  return inks
    .filter(({ kind }) => INK_KINDS[kind].blends)
    .map((ink) => {
      const lab = solidColour(ink, on);
      return { ink, lab, hex: hexOfLab(lab), colour: nameColour(lab) };
    });
}

/** A mixture nearer than this to an ink of one's own can be told by it, CIEDE2000. */
const NEAR = 6;

/** The owned ink that a colour is near to, if there is one, for a maker knows her inks better than any names. */
export function nearOwnInk(
  lab: Lab,
  shelf: readonly DriedInk[],
  except: readonly Ink[],
): DriedInk | undefined {
  const own = shelf.filter(
    ({ ink }) => !ink.wished && !isBare(ink) && !except.some(({ id }) => id === ink.id),
  );
  const [nearest] = own
    .map((dried) => ({ dried, off: deltaE00(lab, dried.lab) }))
    .toSorted((p, q) => p.off - q.off);
  return nearest && nearest.off < NEAR ? nearest.dried : undefined;
}
