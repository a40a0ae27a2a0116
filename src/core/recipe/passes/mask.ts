import { definePass } from './definition';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { describeAllPlaced } from './words';

/** A cut shape on the bare card while the blend is laid: the card stays as it is under it. */
export const mask = definePass({
  id: 'mask',
  label: 'Mask on the card',
  description: 'Paper, low-tack tape or a cut shape on the bare card; lifted once the blend is dry.',
  stage: 'under',
  design: { use: 'image', starts: 'shelf-of-pots' },
  placements: { max: 6, noun: 'shape' },
  params: IMAGE_PARAMS,
  needsDry: true,
  finestLine: 1,
  layOn: (context) => guardedBy(context, { keepsOff: () => 1, lasts: 'until dry' }),
  steps: (contexts, unit) => [
    {
      title: 'Mask the card',
      work: `Lay down ${describeAllPlaced(contexts, unit)}.`,
      care: ['Press its edges down with a nail, and brush away from them. Lift it once the blend is dry.'],
      minutes: 2,
      dangers: ['blade'],
    },
  ],
});
