import { ALIKE, muddyNoun } from '../pairs/pairTable';
import { defineRelation } from './definition';
import { rise } from './measures';

/** Chroma both ends have at least to be loud, and the part of it a third may have to quiet them. By eye. */
const LOUD_AT_LEAST = 40;
const QUIET_AT_MOST = 0.55;
/** Chroma of the weaker end, and CIEDE2000 of the nearer joint: where they begin to count, and count in full. */
const LOUD = { from: 30, to: 70 };
const APART = { from: 10, to: 35 };
/** How much of the score a third that is dull without being a brown or a grey leaves. */
const ONLY_DUSTY = 0.8;

export const quieted = defineRelation({
  id: 'quieted',
  label: 'Quieted',
  description: 'Two loud inks pulled together by a brown, a grey or a dusty third.',
  anyMiddle: true,
  scorer:
    ({ dried: { chroma, noun }, pairs: { count, verdict, difference } }) =>
    (first, middle, last) => {
      const third = chroma[middle];
      const loud = Math.min(chroma[first], chroma[last]);
      if (loud < LOUD_AT_LEAST || third > QUIET_AT_MOST * loud) return 0;
      const a = first * count + middle;
      const b = middle * count + last;
      if (verdict[a] === ALIKE || verdict[b] === ALIKE) return 0;
      const dusty = muddyNoun[noun[middle]] === 1 ? 1 : ONLY_DUSTY;
      const apart = Math.min(difference[a], difference[b]);
      return rise(loud, LOUD) * (1 - third / loud) * dusty * rise(apart, APART);
    },
});
