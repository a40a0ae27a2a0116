import type { PassKind } from './passes';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { tellAllPlaced } from './words';

/** A cut shape on the bare card while the blend is laid: the card stays as it is under it. */
export const mask: PassKind = {
  id: 'mask',
  label: 'Mask on the card',
  explains: 'Paper, low-tack tape or a cut shape on the bare card; lifted once the blend is dry.',
  stage: 'under',
  design: { use: 'image', starts: 'shelf-of-pots' },
  placements: { most: 6, noun: 'shape' },
  params: IMAGE_PARAMS,
  dries: true,
  on: (scene) => guardedBy(scene, { keepsOff: () => 1, lasts: 'until dry' }),
  steps: (scenes, unit) => [
    {
      title: 'Mask the card',
      work: `Lay down ${tellAllPlaced(scenes, unit)}.`,
      care: ['Press its edges down with a nail, and brush away from them. Lift it once the blend is dry.'],
      minutes: 2,
      dangers: ['blade'],
    },
  ],
};
