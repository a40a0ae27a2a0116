import { hueApart } from '../../../materials/colour/difference';
import { COLOURLESS } from '../../../materials/colour/lab';
import { defineRelation } from './definition';
import { even, fall, flowOf, hueSpread, soft, upTo } from './measures';

/** Neighbouring rungs are apart by so much in L* at least. Thresholds here are by eye over three shelves. */
const STEP_AT_LEAST = 6;
/** Degrees of hue at which three are half one colour, and from which they are none. */
const HUES_APART = { half: 14, most: 40 };
/** L* from the palest to the darkest: where contrast begins, and where half of it is reached. */
const PALE_TO_DARK = { from: 10, half: 30 };
/** Chroma of the dullest over that of the loudest: less is out of step. */
const IN_STEP = 0.6;
/** A joint less even than this jumps. */
const FLOWS = 0.4;

export const tonal = defineRelation({
  id: 'tonal',
  label: 'Tonal',
  phrase: 'tonal trios',
  description:
    'Three depths of one colour: near in hue, evenly spaced in lightness, colourful in step, far from pale to dark.',
  anyMiddle: false,
  joins:
    ({ chroma, hue, lightness }) =>
    (one, other) =>
      Math.abs(lightness[one] - lightness[other]) >= STEP_AT_LEAST &&
      Math.min(chroma[one], chroma[other]) >= COLOURLESS &&
      hueApart(hue[one], hue[other]) <= HUES_APART.most,
  scorer:
    ({ dried, pairs }) =>
    (first, middle, last) => {
      const { chroma, lightness } = dried;
      const p = lightness[first] - lightness[middle];
      const q = lightness[middle] - lightness[last];
      if (Math.min(p, q) < STEP_AT_LEAST) return 0;
      const least = Math.min(chroma[first], chroma[middle], chroma[last]);
      if (least < COLOURLESS) return 0;
      const apart = hueSpread(dried, first, middle, last);
      if (apart > HUES_APART.most) return 0;
      const most = Math.max(chroma[first], chroma[middle], chroma[last]);
      const flow = flowOf(pairs, first * pairs.count + middle, middle * pairs.count + last);
      return (
        fall(apart, HUES_APART.half) *
        even(p, q) *
        soft(p + q - PALE_TO_DARK.from, PALE_TO_DARK.half) *
        upTo(least / most, IN_STEP) *
        upTo(chroma[middle], Math.min(chroma[first], chroma[last])) *
        flow *
        upTo(flow * flow, FLOWS)
      );
    },
  tell: ({ dried }, first, middle, last) => {
    const { lightness } = dried;
    const steps = [lightness[first] - lightness[middle], lightness[middle] - lightness[last]].map(Math.round);
    return `Three depths of one colour: hues within ${Math.round(hueSpread(dried, first, middle, last))}°, ${steps[0]} and ${steps[1]} darker.`;
  },
});
