import { muddyNoun } from '../pairs/jointFigures';
import { defineRelation } from './definition';
import { between, DRAB_MIDDLE, even, fall, flowOf, hueStep, soft, upTo } from './measures';

/** Degrees of hue from one ink to the next: less is no step, more skips a hue. Thresholds here are by eye. */
const STEP = { least: 14, most: 70 };
/** The whole way round: best at this, half as good so far off it. */
const ROUND = { best: 70, half: 45 };
/** Chroma of the dullest: what has less does not sing, and how much is half the song. */
const COLOURFUL = { least: 9, from: 6, half: 28 };
/** Chroma of the dullest over that of the loudest: less is out of step. */
const IN_STEP = 0.7;
/** L* from first to last: half of what is wanted. */
const DARKER = 15;

export const neighbours = defineRelation({
  id: 'neighbours',
  label: 'Neighbour run',
  phrase: 'trios of neighbours',
  description:
    'Next-door hues that step round the circle one way, evenly, growing darker, with nothing dull between.',
  anyMiddle: false,
  joins:
    ({ chroma, hue }) =>
    (one, other) => {
      const step = Math.abs(hueStep(hue[one], hue[other]));
      return (
        step >= STEP.least && step <= STEP.most && Math.min(chroma[one], chroma[other]) >= COLOURFUL.least
      );
    },
  scorer:
    ({ dried, pairs }) =>
    (first, middle, last) => {
      const { hue, chroma, lightness, noun } = dried;
      const a = first * pairs.count + middle;
      const b = middle * pairs.count + last;
      const up = hueStep(hue[first], hue[middle]);
      const down = hueStep(hue[middle], hue[last]);
      if (up * down <= 0) return 0;
      const steps = [Math.abs(up), Math.abs(down)] as const;
      if (Math.min(...steps) < STEP.least || Math.max(...steps) > STEP.most) return 0;
      const least = Math.min(chroma[first], chroma[middle], chroma[last]);
      if (least < COLOURFUL.least) return 0;
      const most = Math.max(chroma[first], chroma[middle], chroma[last]);
      return (
        (muddyNoun[noun[middle]] === 1 ? DRAB_MIDDLE : 1) *
        even(...steps) *
        fall(steps[0] + steps[1] - ROUND.best, ROUND.half) *
        soft(least - COLOURFUL.from, COLOURFUL.half) *
        upTo(least / most, IN_STEP) ** 2 *
        upTo(chroma[middle], Math.min(chroma[first], chroma[last])) *
        between(dried, first, middle, last) *
        flowOf(pairs, a, b) *
        soft(Math.abs(lightness[first] - lightness[last]), DARKER) *
        upTo(Math.min(pairs.dullest[a], pairs.dullest[b]), least)
      );
    },
  tell: ({ dried: { hue } }, first, middle, last) => {
    const [up, down] = [hueStep(hue[first], hue[middle]), hueStep(hue[middle], hue[last])].map((step) =>
      Math.round(Math.abs(step)),
    );
    return `Steps round the circle by ${up}° and ${down}°, nothing dull between.`;
  },
});
