import { hueApart } from '../../../materials/colour/difference';
import { LIGHT_FROM, topCoatsOf } from '../pairs/topCoats';
import { defineRelation } from './definition';
import { fall, flowOf, leastHueApart, soft, upTo } from './measures';

/** Chroma of the dullest: at least, where it begins to count, half of what is wanted. Thresholds here are by eye. */
const COLOURFUL = { least: 15, from: 10, half: 15 };
/** Degrees of hue between the nearest two: at least, where it begins to count, half of what is wanted. */
const APART = { least: 35, from: 25, half: 35 };
/** Contrast ratio of the worst of the three under the best dark: where it begins to count, half of what is wanted. */
const READS = { from: 2, half: 4 };
/** L* between palest and darkest: half as good at so much. */
const ALIKE_IN_LIGHTNESS = 22;

export const lightAndDark = defineRelation({
  id: 'lightAndDark',
  label: 'Light three and one dark',
  phrase: 'light trios for one dark',
  description:
    'Three different pale inks under a clear resist and one dark over all: by how clearly the worst of the three reads.',
  anyMiddle: true,
  underTopCoat: true,
  joins:
    ({ chroma, hue, lightness }) =>
    (one, other) =>
      Math.min(lightness[one], lightness[other]) >= LIGHT_FROM &&
      Math.min(chroma[one], chroma[other]) >= COLOURFUL.least &&
      hueApart(hue[one], hue[other]) >= APART.least,
  scorer: ({ dried, pairs }) => {
    const { lightness, chroma } = dried;
    const { best, darks } = topCoatsOf(dried);
    return (first, middle, last) => {
      const darkest = Math.min(lightness[first], lightness[middle], lightness[last]);
      if (darkest < LIGHT_FROM || darks.length === 0) return 0;
      const least = Math.min(chroma[first], chroma[middle], chroma[last]);
      const apart = leastHueApart(dried, first, middle, last);
      if (least < COLOURFUL.least || apart < APART.least) return 0;
      const a = first * pairs.count + middle;
      const b = middle * pairs.count + last;
      const palest = Math.max(lightness[first], lightness[middle], lightness[last]);
      return (
        soft(apart - APART.from, APART.half) *
        soft(least - COLOURFUL.from, COLOURFUL.half) *
        soft(best(first, middle, last).reads - READS.from, READS.half) *
        fall(palest - darkest, ALIKE_IN_LIGHTNESS) *
        upTo(Math.min(pairs.dullest[a], pairs.dullest[b]), least) *
        flowOf(pairs, a, b)
      );
    };
  },
  tell: ({ dried }, first, middle, last) =>
    `Three pale inks at least ${Math.round(leastHueApart(dried, first, middle, last))}° apart, kept under one dark.`,
});
