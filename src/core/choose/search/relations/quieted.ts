import { hueApart } from '../../../materials/colour/difference';
import { chroma as chromaOf, type Lab } from '../../../materials/colour/lab';
import { muddyNoun } from '../pairs/jointFigures';
import { defineRelation } from './definition';
import { between, even, fall, flowOf, soft, upTo } from './measures';

/** Chroma of the weaker end: the least that is loud, where it begins to count, half of what is wanted. By eye, as all here. */
const LOUD = { least: 38, from: 25, half: 25 };
/** Degrees of hue between the ends: at least, where it begins to count, half of what is wanted. */
const APART = { least: 60, from: 40, half: 40 };
/** Chroma of the third: at most, and as a part of the ends'; best at this part, half as good so far off it. */
const QUIET = { most: 26, partAtMost: 0.55, best: 0.28, half: 0.22 };
/** The third lies between the ends in L*, or so much beyond. */
const BEYOND = 3;
/** The joints keep this part of the third's own chroma. */
const KEPT = 0.8;
/** The third is near to what the ends mix to, drawn so far to grey: half as good so far off it, in a* and b*. */
const MIXED = { part: 0.6, half: 25 };
/** A dark third is a bar between them: L* below which it is one, half at so much darker. */
const BAR = { below: 56, half: 20 };

/** Whether a third of this chroma quiets an end of that. */
const isQuietBeside = (third: number, loud: number): boolean =>
  third <= QUIET.most && third <= QUIET.partAtMost * loud;

/**
 * How well a third ink calms two loud ones: dusty and no bar between them, near to what they mix to, drawn toward grey.
 *
 * @param loud  chroma of the weaker of the two; under 1 it is none
 * @param mixed  a* and b* of their even mixture
 */
export const calms = (third: Lab, loud: number, mixed: Pick<Lab, 'a' | 'b'>): number =>
  fall(chromaOf(third) / Math.max(loud, 1) - QUIET.best, QUIET.half) *
  fall(Math.hypot(third.a - MIXED.part * mixed.a, third.b - MIXED.part * mixed.b), MIXED.half) *
  fall(Math.max(0, BAR.below - third.l), BAR.half);

export const quieted = defineRelation({
  id: 'quieted',
  label: 'Quieted',
  phrase: 'quieted trios',
  description: 'Two loud inks far apart in hue, joined by a dusty third between them in lightness.',
  anyMiddle: true,
  joins:
    ({ chroma, hue, noun, inks }) =>
    (one, other) => {
      const [louder, third] = chroma[one] < chroma[other] ? [other, one] : [one, other];
      if (chroma[louder] < LOUD.least || muddyNoun[noun[louder]] === 1) return false;
      if (isQuietBeside(chroma[third], chroma[louder])) return inks[third]?.kind !== 'white';
      return (
        chroma[third] >= LOUD.least &&
        muddyNoun[noun[third]] === 0 &&
        hueApart(hue[one], hue[other]) >= APART.least
      );
    },
  scorer:
    ({ dried, pairs }) =>
    (first, middle, last) => {
      const { chroma, hue, noun, lightness, labs, inks } = dried;
      const { count, difference, dullest, mixA, mixB } = pairs;
      const third = chroma[middle];
      const loud = Math.min(chroma[first], chroma[last]);
      if (loud < LOUD.least || !isQuietBeside(third, loud)) return 0;
      if (muddyNoun[noun[first]] === 1 || muddyNoun[noun[last]] === 1) return 0;
      if (inks[middle]?.kind === 'white') return 0;
      const apart = hueApart(hue[first], hue[last]);
      const palest = Math.max(lightness[first], lightness[last]);
      const darkest = Math.min(lightness[first], lightness[last]);
      if (apart < APART.least || lightness[middle] > palest + BEYOND || lightness[middle] < darkest - BEYOND)
        return 0;
      const a = first * count + middle;
      const b = middle * count + last;
      const ends = first * count + last;
      return (
        soft(loud - LOUD.from, LOUD.half) *
        soft(apart - APART.from, APART.half) *
        calms(labs[middle] as Lab, loud, { a: mixA[ends], b: mixB[ends] }) *
        between(dried, first, middle, last) *
        upTo(Math.min(dullest[a], dullest[b]), KEPT * third + 1) *
        even(difference[a], difference[b]) *
        flowOf(pairs, a, b)
      );
    },
  tell: ({ dried: { hue, inks } }, first, middle, last) =>
    `Two loud inks ${Math.round(hueApart(hue[first], hue[last]))}° apart, joined by ${inks[middle]?.name}, dusty and between them in lightness.`,
});
