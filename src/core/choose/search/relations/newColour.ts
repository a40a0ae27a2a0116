import { hueApart } from '../../../materials/colour/difference';
import { muddyNoun } from '../pairs/jointFigures';
import { defineRelation } from './definition';
import { between, fall, flowOf, soft, upTo } from './measures';

/** Chroma of the dullest ink, and CIEDE2000 of the nearest two, at least. Thresholds here are by eye. */
const COLOURFUL = { least: 18, from: 10, half: 25 };
const APART = { least: 15, from: 10, half: 15 };
/** A new colour takes this part of its joint at least. */
const WIDE = 0.27;
/** Degrees of hue from which a new colour is not the third ink's, and from which two are two. */
const NOT_THE_THIRD = 40;
const TWO = 60;
/** What both new colours are worth together, half of all. */
const WORTH = 15;
/** Part of the dullest ink's chroma that is kept all the way. */
const KEPT = 0.8;
/** A middle so dark, L*, swallows what its joints make: half at so much darker. */
const DARK_MIDDLE = { below: 48, half: 18 };

export const newColour = defineRelation({
  id: 'newColour',
  label: 'Contrast with a new colour',
  phrase: 'contrasting trios',
  description: 'Inks far apart whose joints make colourful hues that none of the three has.',
  anyMiddle: false,
  joins:
    ({ chroma, noun }) =>
    (one, other) =>
      Math.min(chroma[one], chroma[other]) >= COLOURFUL.least &&
      muddyNoun[noun[one]] + muddyNoun[noun[other]] === 0,
  scorer: ({ dried, pairs }) => {
    const { chroma, hue, noun, lightness } = dried;
    const { count: n, difference, dullest, live, wide, newHue, newChroma } = pairs;
    /** What the new colour of a joint is worth beside the third ink. */
    const worth = (at: number, weaker: number, third: number): number =>
      wide[at] < WIDE
        ? 0
        : live[at] * upTo(hueApart(newHue[at], hue[third]), NOT_THE_THIRD) * upTo(newChroma[at], weaker) ** 2;
    return (first, middle, last) => {
      const a = first * n + middle;
      const b = middle * n + last;
      if (wide[a] < WIDE && wide[b] < WIDE) return 0;
      const least = Math.min(chroma[first], chroma[middle], chroma[last]);
      const apart = Math.min(difference[a], difference[b], difference[first * n + last]);
      if (least < COLOURFUL.least || apart < APART.least) return 0;
      if (muddyNoun[noun[first]] + muddyNoun[noun[middle]] + muddyNoun[noun[last]] > 0) return 0;
      const p = worth(a, Math.min(chroma[first], chroma[middle]), last);
      const q = worth(b, Math.min(chroma[middle], chroma[last]), first);
      const two = upTo(hueApart(newHue[a], newHue[b]), TWO);
      return (
        soft(Math.max(p, q) + Math.min(p, q) * two, WORTH) *
        between(dried, first, middle, last) *
        flowOf(pairs, a, b) *
        soft(apart - APART.from, APART.half) *
        upTo(Math.min(dullest[a], dullest[b]), KEPT * least) *
        soft(least - COLOURFUL.from, COLOURFUL.half) *
        fall(Math.max(0, DARK_MIDDLE.below - lightness[middle]), DARK_MIDDLE.half)
      );
    };
  },
  tell: ({ dried, pairs: { count, wide } }, first, middle, last) => {
    const made = [
      [first, middle],
      [middle, last],
    ].flatMap(([p = 0, q = 0]) => {
      const part = wide[p * count + q];
      return part < WIDE
        ? []
        : [
            `over ${Math.round(part * 10)} tenths of the joint of ${dried.inks[p]?.name} and ${dried.inks[q]?.name}`,
          ];
    });
    return `Overlaps make a colour of their own ${made.join(', and ')}.`;
  },
});
