import { muddyNoun } from '../pairs/jointFigures';
import { defineRelation } from './definition';
import { between, DRAB_MIDDLE, even, flowOf, partOfWay, soft, upTo, wayRound } from './measures';

/** Chroma that both ends have at least: there is nothing to save in dull ones. Thresholds here are by eye. */
const ENDS_AT_LEAST = 25;
/** Ends are so far apart round the hue circle at least, degrees. */
const APART_AT_LEAST = 60;
/** A joint of the ends needs no middle that keeps more than this part of the weaker one's chroma. */
const KEEPS = 0.75;
/** Chroma won at the dullest place: the least that is worth a middle, and half of all that could be. */
const WON = { least: 4, half: 22 };
/** The middle's hue stands inside this part of the way round. */
const ON_THE_WAY = { from: 0.2, to: 0.8 };
/** Chroma of the weaker end: where it begins to count, and half of what is wanted. */
const COLOURFUL = { from: 15, half: 20 };
/** How much of the score a brown, an olive or a grey leaves as an end. */
const DRAB_END = 0.8;

export const bridge = defineRelation({
  id: 'bridge',
  label: 'Bridge',
  phrase: 'bridged trios',
  description:
    'Two ends that would turn to mud or go dull, and a middle between them in hue and lightness that keeps both joints colourful.',
  anyMiddle: true,
  joins:
    ({ chroma }) =>
    (one, other) =>
      Math.max(chroma[one], chroma[other]) >= ENDS_AT_LEAST,
  scorer:
    ({ dried, pairs }) =>
    (first, middle, last) => {
      const { chroma, hue, noun } = dried;
      const { count, dullest, difference } = pairs;
      const weaker = Math.min(chroma[first], chroma[last]);
      if (weaker < ENDS_AT_LEAST) return 0;
      const without = dullest[first * count + last];
      if (without > KEEPS * weaker) return 0;
      const a = first * count + middle;
      const b = middle * count + last;
      const withIt = Math.min(dullest[a], dullest[b]);
      if (withIt - without < WON.least) return 0;
      const round = wayRound(hue[first], hue[last], pairs.bow[first * count + last]);
      if (Math.abs(round) < APART_AT_LEAST) return 0;
      const part = partOfWay(hue[first], hue[middle], round);
      if (part < ON_THE_WAY.from || part > ON_THE_WAY.to) return 0;
      const drabEnd = muddyNoun[noun[first]] === 1 || muddyNoun[noun[last]] === 1;
      return (
        (muddyNoun[noun[middle]] === 1 ? DRAB_MIDDLE : 1) *
        (drabEnd ? DRAB_END : 1) *
        soft(withIt - without, WON.half) *
        upTo(withIt, weaker) *
        4 *
        part *
        (1 - part) *
        between(dried, first, middle, last) *
        flowOf(pairs, a, b) *
        even(difference[a], difference[b]) *
        soft(weaker - COLOURFUL.from, COLOURFUL.half)
      );
    },
  tell: ({ dried, pairs: { count, dullest } }, first, middle, last) => {
    const withIt = Math.min(dullest[first * count + middle], dullest[middle * count + last]);
    return `Alone the ends fall to chroma ${Math.round(dullest[first * count + last])}; by way of ${dried.inks[middle]?.name} never below ${Math.round(withIt)}.`;
  },
});
