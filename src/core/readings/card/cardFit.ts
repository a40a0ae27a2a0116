import { listed } from '../../base/words';
import { type Card, groundOfCard } from '../../materials/card/card';
import { FINISHES } from '../../materials/card/finishes';
import { curlOf } from '../../materials/card/weight';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { labOfSpectrum } from '../../materials/colour/lab';
import { type Ink, isBare } from '../../materials/ink/ink';
import { driedColour } from '../../materials/ink/laid';
import { type Presence, presenceOf } from '../presence';

/** How well a ladder and a card go together, in one word. */
export type FitWord = 'suits' | 'with care' | 'not for this';

/** One rung on the card against the same on smooth white. */
export interface RungShift {
  readonly ink: Ink;
  readonly presence: Presence;
  /** L* on the card less L* on white; negative where it goes darker. */
  readonly lightness: number;
  /** CIEDE2000 from what it is on white. */
  readonly difference: number;
}

export interface CardFit {
  readonly word: FitWord;
  /** Why, the weightiest first; at least one. */
  readonly reasons: readonly string[];
  readonly shifts: readonly RungShift[];
}

/** The usual white, against which a ladder is known. */
const USUAL: Card = { id: 'usual', name: 'smooth white', colour: '#fcfbf8', finish: 'smooth', grammage: 350 };

/** A shift larger than this is another colour than the maker chose. CIEDE2000. */
const ANOTHER_COLOUR = 12;

/** Judges a ladder's inks on a card. Thresholds: common practice. */
export function cardFit(inks: readonly Ink[], card: Card): CardFit {
  const [ground, white] = [groundOfCard(card), groundOfCard(USUAL)];
  const bare = labOfSpectrum(ground);
  const shifts = inks
    .filter((ink) => !isBare(ink))
    .map((ink): RungShift => {
      const [here, there] = [driedColour(ink, ground), driedColour(ink, white)];
      return {
        ink,
        presence: presenceOf(here, bare),
        lightness: here.l - there.l,
        difference: deltaE00(here, there),
      };
    });
  const lost = shifts.filter(({ presence }) => presence === 'vanishes');
  const soft = shifts.filter(({ presence }) => presence === 'soft');
  const moved = shifts.filter(({ difference }) => difference > ANOTHER_COLOUR);
  const finish = FINISHES[card.finish];
  const against = [
    ...(lost.length > 0 ? [`${names(lost)} cannot be told from the bare card.`] : []),
    ...(finish.takes === 'badly' ? [finish.description] : []),
  ];
  const care = [
    ...moved.map(describeShift),
    ...(soft.length > 0 ? [`${names(soft)} ${soft.length === 1 ? 'shows' : 'show'} as a tint only.`] : []),
    ...(finish.takes === 'with care' ? [finish.description] : []),
    ...curlOf(card),
  ];
  return {
    word: against.length > 0 ? 'not for this' : care.length > 0 ? 'with care' : 'suits',
    reasons: against.length + care.length > 0 ? [...against, ...care] : [whyItSuits(card)],
    shifts,
  };
}

/** Below this L* a card is dark, up to the other it is toned, as greys and pastels are; common practice. */
const [DARK_TO, MID_TO] = [35, 88] as const;

/** What is to be known of a card before any ink is chosen: its surface, its tone, its weight. */
export function cardAdvice(card: Card): string[] {
  const { l } = labOfHex(card.colour);
  const finish = FINISHES[card.finish];
  const tone =
    l < DARK_TO
      ? ['Dark: pigment shows, or hybrid and fluorescent over a dried white pigment coat; dyes are lost.']
      : l < MID_TO && card.finish !== 'kraft'
        ? ['Toned: hybrid or pigment; every ink drops, and pale ones hardly show.']
        : [];
  const but = [...tone, ...curlOf(card)];
  // What is said of a good surface as the usual choice is not said of a thin or a toned card.
  return but.length > 0 && finish.takes === 'well' ? but : [finish.description, ...but];
}

/** A good surface is the usual choice, if it is white; on a toned card it is the inks that are to be seen. */
const whyItSuits = ({ colour, finish }: Card): string =>
  FINISHES[finish].takes === 'well' && labOfHex(colour).l < MID_TO
    ? 'Toned, and yet every ink shows on it.'
    : FINISHES[finish].description;

const names = (shifts: readonly RungShift[]): string => listed(shifts.map(({ ink }) => ink.name));

function describeShift({ ink, lightness, difference }: RungShift): string {
  // No card is so much lighter than the usual white that an ink would rise.
  const drop = Math.round(-lightness);
  return drop >= 3
    ? `${ink.name} drops ${drop} L* (ΔE00 ${difference.toFixed(0)}).`
    : `${ink.name} turns to another hue (ΔE00 ${difference.toFixed(0)}).`;
}
