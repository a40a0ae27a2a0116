import { hueApart } from '../../../materials/colour/difference';
import { COLOURLESS } from '../../../materials/colour/lab';
import { defineRelation } from './definition';
import { even, rise } from './measures';

/** Neighbouring rungs are apart by so much in L* at least. Thresholds here are by eye over the demo's shelf. */
const STEP_AT_LEAST = 6;
/** Degrees of hue from which three are no longer one colour, and at which they are surely not. */
const HUES_APART = { from: 4, to: 28 };
/** L* from the palest to the darkest: where contrast begins, and where there is enough. */
const PALE_TO_DARK = { from: 12, to: 50 };
/** How much of the score uneven steps leave. */
const UNEVEN = 0.4;

export const tonal = defineRelation({
  id: 'tonal',
  label: 'Tonal',
  description: 'Three depths of one colour: near in hue, evenly spaced in lightness, far from pale to dark.',
  anyMiddle: false,
  scorer:
    ({ dried: { hue, chroma, lightness } }) =>
    (first, middle, last) => {
      const p = lightness[first];
      const q = lightness[last];
      const m = lightness[middle];
      if (Math.min(p - m, m - q) < STEP_AT_LEAST) return 0;
      if (Math.min(chroma[first], chroma[middle], chroma[last]) < COLOURLESS) return 0;
      const apart = Math.max(
        hueApart(hue[first], hue[middle]),
        hueApart(hue[middle], hue[last]),
        hueApart(hue[first], hue[last]),
      );
      const spacing = UNEVEN + (1 - UNEVEN) * even(p - m, m - q);
      return (1 - rise(apart, HUES_APART)) * spacing * rise(p - q, PALE_TO_DARK);
    },
});
