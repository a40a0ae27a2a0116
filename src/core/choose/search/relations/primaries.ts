import { MUD } from '../pairs/pairTable';
import { defineRelation } from './definition';
import { nounAt, rise } from './measures';

const BLUE = nounAt('blue');
const REDS = new Set(['red', 'pink'].map(nounAt));
const YELLOWS = new Set(['yellow', 'orange yellow'].map(nounAt));
const ORANGES = new Set(['orange', 'orange yellow'].map(nounAt));
const GREENS = new Set(['green', 'yellow green'].map(nounAt));
const VIOLETS = new Set(['violet', 'purple'].map(nounAt));

/** Chroma of what a joint makes, and of the yellow: where it begins to count, and counts in full. By eye. */
const MADE = { from: 0, to: 50 };
const YELLOW = { from: 20, to: 60 };

export const primaries = defineRelation({
  id: 'primaries',
  label: 'Three primaries make six',
  description:
    'Yellow in the middle, red and blue beside it: orange and green in the joints, violet where they meet.',
  anyMiddle: true,
  scorer:
    ({ dried: { noun, chroma }, pairs }) =>
    (first, middle, last) => {
      if (!YELLOWS.has(noun[middle])) return 0;
      const p = noun[first];
      const q = noun[last];
      const [red, blue] =
        REDS.has(p) && q === BLUE ? [first, last] : REDS.has(q) && p === BLUE ? [last, first] : [-1, -1];
      if (red < 0) return 0;
      const n = pairs.count;
      const makes = (at: number, wanted: ReadonlySet<number>): number =>
        wanted.has(pairs.fresh[at]) && pairs.verdict[at] !== MUD ? rise(pairs.freshChroma[at], MADE) : 0;
      const orange = makes(red * n + middle, ORANGES);
      const green = makes(middle * n + blue, GREENS);
      if (orange === 0 || green === 0) return 0;
      const violet = makes(red * n + blue, VIOLETS);
      return ((orange + green + violet) / 3) * rise(chroma[middle], YELLOW);
    },
});
