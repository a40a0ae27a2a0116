import { INK_KINDS } from '../../materials/ink/kinds';
import { definePass } from './definition';
import { BUFFING, CLEAR_POWDER, COOLING, EMBOSSING } from './embossing';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { MELTED } from './surface';
import { describeAllPlaced, stampsOf } from './words';

/** A design clear-embossed on the dried blend: what is laid over it later is wiped off the design. */
export const clearResist = definePass({
  id: 'clearResist',
  label: 'Clear resist',
  description:
    'A design clear-embossed on the dried blend: the blend shows as the design through a dark top coat.',
  stage: 'over',
  design: { use: 'image', starts: 'reeds' },
  unseen: 'shows once a darker ink lies over it',
  placements: { max: 6, noun: 'impression' },
  params: IMAGE_PARAMS,
  needsDry: true,
  keepsGround: true,
  clearPowder: true,
  finestLine: 0.3,
  layOn: (context) => ({
    ...guardedBy(context, { keepsOff: (kind) => 1 - INK_KINDS[kind].clings, lasts: 'for good' }),
    surface: [MELTED],
  }),
  steps: (contexts, unit) => [
    {
      title: 'Emboss the resist',
      work: `Anti-static pouch. ${describeAllPlaced(contexts, unit)}, in clear embossing ink. Clear powder, tap off, heat until it melts.`,
      care: ['Brush off stray grains before the heat: each one keeps its own speck.'],
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
