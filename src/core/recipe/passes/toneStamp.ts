import { param } from '../../base/params';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import { percent, tellAllPlaced } from './words';

/** A stamp inked with the same ink as the ground under it, each band with its own. */
export const toneStamp: PassKind = {
  id: 'toneStamp',
  label: 'Tone on tone',
  explains:
    'A stamp inked with the same inks as lie under it, each band with its own: a second film of the same colour.',
  stage: 'over',
  design: { use: 'image', starts: 'wheel-rings' },
  placements: { most: 6, noun: 'impression' },
  params: [
    ...IMAGE_PARAMS,
    { key: 'strength', label: 'Strength', unit: '%', least: 10, most: 100, step: 5, initial: () => 80 },
  ],
  dries: true,
  on: (scene) => ({
    ...placed(scene),
    effects: [
      DRY,
      { does: 'ladder', coverAt: withinDesign(scene, param(scene.params, 'strength', 80) / 100) },
    ],
  }),
  steps: (scenes, unit) => [
    {
      title: 'Tone on tone',
      work: `${tellAllPlaced(scenes, unit)}: ink each part of the stamp with the ink of the band it falls on, about ${percent(param(scenes[0]?.params ?? {}, 'strength', 80))} of a full coat.`,
      care: ['Use the edge of the pad to meet the bands. Subtle on deep inks; a pale ink hardly shows.'],
      minutes: 3,
    },
  ],
};
