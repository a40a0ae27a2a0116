import { param } from '../../base/params';
import type { PassKind } from './passes';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { tellAllPlaced } from './words';

/** A cut shape over the dried blend that keeps off the passes after it. */
export const shield: PassKind = {
  id: 'shield',
  label: 'Mask on the blend',
  explains: 'A cut shape over the dried blend; what follows stays off it until it is lifted.',
  stage: 'over',
  design: { use: 'image', starts: 'bottle-kiln' },
  placements: { most: 6, noun: 'shape' },
  params: [
    ...IMAGE_PARAMS,
    { key: 'passes', label: 'Stays for passes', unit: '×', least: 1, most: 15, step: 1, initial: () => 1 },
  ],
  dries: true,
  on: (scene) => guardedBy(scene, { keepsOff: () => 1, lasts: param(scene.params, 'passes', 1) }),
  steps: (scenes, unit) => {
    const passes = param(scenes[0]?.params ?? {}, 'passes', 1);
    return [
      {
        title: 'Mask the blend',
        work: `Lay down ${tellAllPlaced(scenes, unit)}; lift after ${passes === 1 ? 'the next pass' : `the next ${passes} passes`}.`,
        care: ['Try the tape on scrap of the same card first: it must not take ink along.'],
        minutes: 2,
        dangers: ['blade'],
      },
    ];
  },
};
