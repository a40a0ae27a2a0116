import { DRY } from './effects';
import type { PassKind } from './pass';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import { tellPlaced } from './words';

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
  on: (scene) => ({
    ...placed(scene),
    effects: [DRY, { does: 'guard', coverAt: withinDesign(scene, 1), keepsOff: () => 1, lasts: 'until dry' }],
  }),
  steps: (scenes, unit) => [
    {
      title: 'Mask the card',
      work: `Lay down ${scenes.map((scene) => tellPlaced(scene, unit)).join('; ')}.`,
      care: ['Press its edges down with a nail, and brush away from them. Lift it once the blend is dry.'],
      minutes: 2,
      dangers: ['blade'],
    },
  ],
};
