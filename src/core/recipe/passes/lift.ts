import { param } from '../../base/params';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { placed, STENCIL_PARAMS, withinDesign } from './placed';
import { tellPlaced } from './words';

/** Part of what water can take that has been taken after so many seconds; the pace is by eye, from common practice. */
export const takenAfter = (seconds: number): number => 1 - Math.exp(-seconds / 18);

/** A damp cloth takes ink off again, through a stencil or all over. */
export const lift: PassKind = {
  id: 'lift',
  label: 'Lift with a damp cloth',
  explains:
    'A damp cloth takes colour off again, through a stencil or all over: dye gives way, pigment hardly.',
  stage: 'over',
  design: { use: 'pattern', optional: true },
  placements: { most: 4, noun: 'placing' },
  params: [
    ...STENCIL_PARAMS,
    {
      key: 'seconds',
      label: 'Rubbed for seconds',
      unit: '×',
      least: 1,
      most: 90,
      step: 1,
      initial: () => 15,
    },
  ],
  dries: true,
  on: (scene) => ({
    ...placed(scene),
    effects: [
      DRY,
      { does: 'thin', coverAt: withinDesign(scene, takenAfter(param(scene.params, 'seconds', 15))) },
      DRY,
    ],
  }),
  steps: (scenes, unit) =>
    scenes.map((scene) => ({
      title: 'Lift',
      work: `${scene.design ? `Through ${tellPlaced(scene, unit)}` : 'All over'}: a barely damp cloth, ${param(scene.params, 'seconds', 15)} s, turned to a clean part each time.`,
      care: ['Wring it out: a wet cloth runs under the stencil. Dry at once.'],
      minutes: 1.5,
      dangers: scene.design ? ['steel'] : [],
    })),
};
