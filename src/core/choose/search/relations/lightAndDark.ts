import { ALIKE, MUD } from '../pairs/pairTable';
import { LIGHT_FROM, topCoatsOf } from '../pairs/topCoats';
import { defineRelation } from './definition';
import { rise } from './measures';

/** Contrast ratio of the worst of the three, and chroma of the dullest: where they begin to count, and count in full. By eye. */
const READS = { from: 2, to: 12 };
const COLOURFUL = { from: 8, to: 40 };
/** How much of the score colourless inks leave. */
const COLOURLESS_LEAVES = 0.4;

export const lightAndDark = defineRelation({
  id: 'lightAndDark',
  label: 'Light three and one dark',
  description:
    'Three pale inks under a clear resist and one dark over all: scored by how clearly the worst of the three reads.',
  anyMiddle: false,
  underTopCoat: true,
  scorer: ({ dried, pairs: { count, verdict } }) => {
    const { lightness, chroma } = dried;
    const { best, darks } = topCoatsOf(dried);
    return (first, middle, last) => {
      if (Math.min(lightness[first], lightness[middle], lightness[last]) < LIGHT_FROM) return 0;
      if (darks.length === 0) return 0;
      const a = verdict[first * count + middle];
      const b = verdict[middle * count + last];
      if (a === MUD || a === ALIKE || b === MUD || b === ALIKE) return 0;
      const dullest = Math.min(chroma[first], chroma[middle], chroma[last]);
      const colour = COLOURLESS_LEAVES + (1 - COLOURLESS_LEAVES) * rise(dullest, COLOURFUL);
      return rise(best(first, middle, last).reads, READS) * colour;
    };
  },
});
