import { definePass, type PassStep } from './definition';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { MASKED } from './surface';
import { describeAllPlaced } from './words';

/** What a mask is cut from and with. */
export const MASKS = ['masking paper or low-tack tape', 'knife and cutting mat'] as const;

/** So many pieces of a mask come off again. */
export const lifting = (pieces: number): PassStep => ({
  title: 'Lift the mask',
  work: 'Slowly, folded back flat over itself, away from the inked side.',
  care: [],
  minutes: 0.5 * pieces,
  does: ['uncover'],
});

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
  layOn: (context) => ({
    ...guardedBy(context, { keepsOff: () => 1, lasts: 'until dry' }),
    surface: [MASKED],
  }),
  steps: (contexts, unit) => [
    {
      title: 'Mask the card',
      work: `Lay down ${describeAllPlaced(contexts, unit)}.`,
      care: ['Press its edges down with a nail, and brush away from them.'],
      minutes: 2,
      does: ['cover'],
      needs: MASKS,
      dangers: ['blade'],
    },
  ],
  later: ({ length }) => [{ when: 'dry', step: lifting(length) }],
});
