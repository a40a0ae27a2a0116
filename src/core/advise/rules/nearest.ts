import { type BlendGround, groundReflectance, solidColour } from '../../engine/blend';
import type { Card } from '../../materials/card/card';
import { deltaE00, hueApart } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { COLOURLESS, chroma, hueDegrees, labOfSpectrum } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';
import { presenceOf } from '../../readings/presence';

/** The card of the drawer nearest in colour of those that will do. */
export function nearestCard(
  card: Card,
  cards: readonly Card[],
  does: (other: Card) => boolean,
): Card | undefined {
  const lab = labOfHex(card.colour);
  const off = (other: Card) => deltaE00(lab, labOfHex(other.colour));
  return cards.filter((other) => other.id !== card.id && does(other)).toSorted((p, q) => off(p) - off(q))[0];
}

/** Another ink of the same hue may be so far off, degrees. Common practice. */
const SAME_HUE = 20;

/** The ink nearest to another's own colour of those that will do and that show on what they are laid on. */
export function nearestShowing(
  ink: Ink,
  shelf: readonly Ink[],
  ground: BlendGround,
  does: (other: Ink) => boolean,
): Ink | undefined {
  const wanted = labOfHex(ink.overWhite);
  const bare = labOfSpectrum(groundReflectance(ground));
  return shelf
    .filter((other) => other.id !== ink.id && !other.wished && does(other))
    .map((other) => ({ other, lab: solidColour(other, ground) }))
    .filter(({ lab }) => presenceOf(lab, bare) === 'shows')
    .toSorted((p, q) => deltaE00(p.lab, wanted) - deltaE00(q.lab, wanted))[0]?.other;
}

/** Two inks of one hue, by their own colours; greys are of one with each other. */
export function isSameHue(one: Ink, two: Ink): boolean {
  const [p, q] = [labOfHex(one.overWhite), labOfHex(two.overWhite)];
  const [grey, other] = [p, q].map((lab) => chroma(lab) <= COLOURLESS);
  if (grey || other) return grey === other;
  return hueApart(hueDegrees(p), hueDegrees(q)) <= SAME_HUE;
}
