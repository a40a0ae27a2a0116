import { definePass } from './definition';
import { BUFFING, CLEAR_POWDER, COOLING, EMBOSSING } from './embossing';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { MELTED } from './surface';
import { describeAllPlaced, stampsOf } from './words';

/** What of a blend does not stay on a raised, clear design once it has been buffed at once; common practice. */
const BUFFED = 0.985;

/** A design clear-embossed on bare dark card before the blend: the card's own colour shows as the design. */
export const toneResist = definePass({
  id: 'toneResist',
  label: 'Tone resist',
  description:
    'A design clear-embossed on the bare card: after the blend is buffed, the card’s own colour shows as the design.',
  stage: 'under',
  design: { use: 'image', starts: 'pressed-leaf' },
  placements: { max: 4, noun: 'impression' },
  params: IMAGE_PARAMS,
  needsDry: true,
  clearPowder: true,
  finestLine: 0.3,
  layOn: (context) => ({
    ...guardedBy(context, { keepsOff: () => BUFFED, lasts: 'for good' }),
    surface: [MELTED],
  }),
  steps: (contexts, unit) => [
    {
      title: 'Emboss the tone resist',
      work: `${describeAllPlaced(contexts, unit)}: anti-static pouch, clear embossing ink, clear powder, heat until it melts.`,
      care: [],
      minutes: 3.5,
      does: ['cover', 'melt'],
      needs: [...stampsOf(contexts), ...EMBOSSING],
      dangers: ['heat', 'powder'],
    },
    COOLING,
  ],
  later: () => [{ when: 'inked', step: BUFFING }],
  takes: () => CLEAR_POWDER,
});
