import { param } from '../../base/params';
import { asPigment } from '../../materials/ink/ink';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import { percent, tellPlaced } from './words';

/** A bold image stamped over everything, with lighter second impressions for depth. */
export const silhouette: PassKind = {
  id: 'silhouette',
  label: 'Silhouette',
  explains:
    'A bold image in detail black or another ink over everything; lighter impressions behind it give depth.',
  stage: 'over',
  ink: 'stamped',
  design: { use: 'image', starts: 'bottle-kiln' },
  placements: { most: 6, noun: 'impression' },
  params: [
    ...IMAGE_PARAMS,
    { key: 'strength', label: 'Strength', unit: '%', least: 10, most: 300, step: 10, initial: () => 100 },
  ],
  dries: true,
  on: (scene) => ({
    ...placed(scene),
    effects: [
      DRY,
      {
        does: 'film',
        ...(scene.ink ? { ink: asPigment(scene.ink) } : {}),
        coverAt: withinDesign(scene, param(scene.params, 'strength', 100) / 100),
      },
    ],
  }),
  steps: (scenes, unit) =>
    scenes.map((scene, i) => {
      const strength = param(scene.params, 'strength', 100);
      return {
        title: scenes.length > 1 ? `Silhouette, impression ${i + 1}` : 'Silhouette',
        work: `${tellPlaced(scene, unit)}${strength < 95 ? `, stamped off first to about ${percent(strength)}` : strength > 105 ? `, ${Math.ceil(strength / 100)} impressions in a stamp positioner` : ''}.`,
        care: ['Press evenly, lift straight up. Heat-set or blot before anything touches it, or it smudges.'],
        minutes: 1.5,
      };
    }),
};
