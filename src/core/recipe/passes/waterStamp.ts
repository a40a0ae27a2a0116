import { param } from '../../base/params';
import { DRY } from './effects';
import { takenAfter } from './lift';
import type { PassKind } from './passes';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import { tellPlaced } from './words';

/** A stamp wetted with water, held on the panel, lifts its image out of the colour. */
export const waterStamp: PassKind = {
  id: 'waterStamp',
  label: 'Water stamp',
  explains:
    'A stamp wetted with water and held for half a minute lifts its image out of the colour; dye gives more than hybrid.',
  stage: 'over',
  design: { use: 'image', starts: 'pressed-leaf' },
  placements: { most: 6, noun: 'impression' },
  params: [
    ...IMAGE_PARAMS,
    { key: 'seconds', label: 'Held for seconds', unit: '×', least: 5, most: 90, step: 5, initial: () => 40 },
  ],
  dries: true,
  on: (scene) => ({
    ...placed(scene),
    effects: [
      DRY,
      // Water under a still stamp takes less than a rubbing cloth does.
      { does: 'thin', coverAt: withinDesign(scene, 0.7 * takenAfter(param(scene.params, 'seconds', 40))) },
      DRY,
    ],
  }),
  steps: (scenes, unit) =>
    scenes.map((scene, i) => ({
      title: scenes.length > 1 ? `Water stamp, impression ${i + 1}` : 'Water stamp',
      work: `${tellPlaced(scene, unit)}: wet the stamp, press, hold ${param(scene.params, 'seconds', 40)} s, lift, blot.`,
      care: ['Impressions beside each other, never over each other.'],
      minutes: 1,
    })),
};
