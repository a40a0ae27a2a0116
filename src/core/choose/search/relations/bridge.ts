import { ALIKE, MUD } from '../pairs/pairTable';
import { defineRelation } from './definition';
import { rise } from './measures';

/** Chroma that both ends have at least: there is nothing to save in dull ones. By eye. */
const ENDS_AT_LEAST = 20;
/** A joint of the ends needs no middle that keeps more than this part of the weaker one's chroma. */
const KEEPS = 0.7;
/** Chroma won by the middle, and chroma of the dullest place with it: where they begin to count, and count in full. */
const WON = { from: 0, to: 35 };
const DULLEST = { from: 8, to: 40 };

export const bridge = defineRelation({
  id: 'bridge',
  label: 'Bridge',
  description: 'Two ends that would turn to mud or go dull, and a middle that keeps both joints colourful.',
  anyMiddle: true,
  scorer:
    ({ dried: { chroma }, pairs: { count, verdict, dullest } }) =>
    (first, middle, last) => {
      const ends = first * count + last;
      const a = first * count + middle;
      const b = middle * count + last;
      const weaker = Math.min(chroma[first], chroma[last]);
      if (weaker < ENDS_AT_LEAST || verdict[a] === ALIKE || verdict[b] === ALIKE) return 0;
      if (verdict[a] === MUD || verdict[b] === MUD) return 0;
      const without = dullest[ends];
      if (verdict[ends] !== MUD && without > KEEPS * weaker) return 0;
      const withIt = Math.min(dullest[a], dullest[b]);
      return rise(withIt - without, WON) * rise(withIt, DULLEST);
    },
});
