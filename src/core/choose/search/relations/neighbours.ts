import { hueApart } from '../../../materials/colour/difference';
import { MUD } from '../pairs/pairTable';
import { defineRelation } from './definition';
import { even, rise } from './measures';

/** Degrees of hue: from one ink to the next at least, and from the first to the last at most. By eye. */
const STEP_AT_LEAST = 12;
const ROUND_AT_MOST = 130;
/** Degrees that two steps may miss the whole by and still go round one way. */
const ASTRAY = 1;
/** Chroma of the dullest: where it begins to sing, and where it does. */
const COLOURFUL = { from: 10, to: 45 };
/** How much of the score uneven hues leave, and uneven lightness. */
const UNEVEN_HUES = 0.3;
const UNEVEN_STEPS = 0.5;

export const neighbours = defineRelation({
  id: 'neighbours',
  label: 'Neighbour run',
  description: 'Next-door hues that step round the circle one way, evenly, with no mud between.',
  anyMiddle: false,
  scorer:
    ({ dried: { hue, chroma, lightness }, pairs }) =>
    (first, middle, last) => {
      const a = first * pairs.count + middle;
      const b = middle * pairs.count + last;
      if (pairs.verdict[a] === MUD || pairs.verdict[b] === MUD) return 0;
      const up = hueApart(hue[first], hue[middle]);
      const down = hueApart(hue[middle], hue[last]);
      const whole = hueApart(hue[first], hue[last]);
      if (up < STEP_AT_LEAST || down < STEP_AT_LEAST || whole > ROUND_AT_MOST) return 0;
      // One way round: the two steps add up to the whole.
      if (Math.abs(up + down - whole) > ASTRAY) return 0;
      const dullest = Math.min(chroma[first], chroma[middle], chroma[last]);
      const steps = even(lightness[first] - lightness[middle], lightness[middle] - lightness[last]);
      return (
        (UNEVEN_HUES + (1 - UNEVEN_HUES) * even(up, down)) *
        rise(dullest, COLOURFUL) *
        (UNEVEN_STEPS + (1 - UNEVEN_STEPS) * steps)
      );
    },
});
