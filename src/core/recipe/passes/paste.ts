import { param } from '../../base/params';
import type { Ink } from '../../materials/ink/ink';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { placed, STENCIL_PARAMS, withinDesign } from './placed';
import { tellAllPlaced } from './words';

/** White texture paste as a film: a thin, hiding layer. */
const PASTE: Ink = {
  id: 'texture-paste',
  name: 'white texture paste',
  family: 'white',
  depth: 'pale',
  kind: 'pigment',
  overWhite: '#f7f6f1',
};
const LAYER = 4;

/** White texture paste through a stencil before the blend, rubbed afterwards so that it comes up white again. */
export const paste: PassKind = {
  id: 'paste',
  label: 'Texture paste',
  explains:
    'A thin coat of white paste through a stencil; blended over, then rubbed until it comes up white again.',
  stage: 'under',
  design: { use: 'pattern' },
  placements: { most: 1, noun: 'stencil' },
  params: [
    ...STENCIL_PARAMS,
    { key: 'rub', label: 'Rubbed off', unit: '%', least: 0, most: 100, step: 5, initial: () => 95 },
  ],
  dries: true,
  on: (scene) => {
    const rub = param(scene.params, 'rub', 95) / 100;
    return {
      ...placed(scene),
      effects: [
        DRY,
        { does: 'film', ink: PASTE, coverAt: withinDesign(scene, LAYER) },
        DRY,
        { does: 'guard', coverAt: withinDesign(scene, 1), keepsOff: () => rub, lasts: 'until dry' },
      ],
    };
  },
  steps: (scenes, unit) => [
    {
      title: 'Texture paste',
      work: `A thin coat through ${tellAllPlaced(scenes, unit)}. Stencil straight into water.`,
      care: [
        'Tape the stencil down. After the blend, rub the paste with a barely damp cloth so that it comes up white again.',
      ],
      minutes: 3,
      dangers: ['steel'],
    },
    {
      title: 'Dry the paste',
      work: 'Front and back, until it is hard to the touch.',
      care: ['Heat the back too, or the panel warps.'],
      minutes: 20,
      waits: true,
      dangers: ['heat'],
    },
  ],
};
