import { param } from '../../base/params';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { placed, STENCIL_PARAMS, withinDesign } from './placed';
import { percent, tellPlaced } from './words';

/** Ink through the openings of a pattern stencil. */
export const patternStencil: PassKind = {
  id: 'patternStencil',
  label: 'Pattern stencil',
  explains: 'Ink through the openings of a stencil, over the dried blend.',
  stage: 'over',
  ink: 'blended',
  design: { use: 'pattern' },
  placements: { most: 4, noun: 'placing' },
  params: [
    ...STENCIL_PARAMS,
    { key: 'strength', label: 'Strength', unit: '%', least: 5, most: 100, step: 5, initial: () => 60 },
  ],
  dries: true,
  on: (scene) => ({
    ...placed(scene),
    effects: [DRY, { does: 'film', coverAt: withinDesign(scene, param(scene.params, 'strength', 60) / 100) }],
  }),
  steps: (scenes, unit) =>
    scenes.map((scene) => ({
      title: 'Pattern stencil',
      work: `Through ${tellPlaced(scene, unit)}; about ${percent(param(scene.params, 'strength', 60))} of a full coat.`,
      care: [
        'Taped down or held on a magnetic board. Nearly dry brush, straight down or in small circles; lift the stencil straight up.',
      ],
      minutes: 2.5,
      dangers: ['steel'],
    })),
};
