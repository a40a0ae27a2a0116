import { MUD, muddyNoun, NO_NOUN } from '../pairs/pairTable';
import { defineRelation } from './definition';
import { rise } from './measures';

/** Chroma of a new colour, and both joints' CIEDE2000 together: where they begin to count, and count in full. By eye. */
const FRESH = { from: 8, to: 85 };
const APART = { from: 20, to: 130 };

export const newColour = defineRelation({
  id: 'newColour',
  label: 'Contrast with a new colour',
  description: 'Inks far apart whose joints make colourful hues that none of the three has.',
  anyMiddle: false,
  scorer: ({ dried: { noun }, pairs }) => {
    const { count: n, verdict, fresh, freshChroma, difference } = pairs;
    // Of a joint alone, once for all trios it stands in.
    const worth = freshChroma.map((chroma, at) => {
      const hue = fresh[at];
      return hue === NO_NOUN || muddyNoun[hue] === 1 ? 0 : rise(chroma, FRESH);
    });
    return (first, middle, last) => {
      const a = first * n + middle;
      const b = middle * n + last;
      if (verdict[a] === MUD || verdict[b] === MUD) return 0;
      const p = fresh[a] === noun[last] ? 0 : worth[a];
      const q = fresh[b] === noun[first] ? 0 : worth[b];
      if (p + q === 0) return 0;
      const both = fresh[a] === fresh[b] ? Math.max(p, q) : p + q;
      return (both / 2) * rise(difference[a] + difference[b], APART);
    };
  },
});
