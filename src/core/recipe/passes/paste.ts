import type { Ink } from '../../materials/ink/ink';
import { definePass } from './definition';
import { DRY } from './effects';
import { placed, STENCIL_PARAMS, withinDesign } from './placed';
import { describeAllPlaced } from './words';

/** White texture paste as a film: a thin, hiding layer. */
const PASTE: Ink = {
  id: 'texture-paste',
  name: 'white texture paste',
  family: 'white',
  depth: 'pale',
  kind: 'pigment',
  overWhite: '#f7f6f1',
};
/** Its thickness, coats. */
const LAYER = 4;

/** White texture paste through a stencil before the blend, rubbed afterwards so that it comes up white again. */
export const paste = definePass({
  id: 'paste',
  label: 'Texture paste',
  description:
    'A thin coat of white paste through a stencil; blended over, then rubbed until it comes up white again.',
  stage: 'under',
  design: { use: 'pattern' },
  placements: { max: 1, noun: 'stencil' },
  params: {
    ...STENCIL_PARAMS,
    rub: { label: 'Rubbed off', unit: '%', min: 0, max: 100, step: 5, initial: () => 95 },
  },
  needsDry: true,
  wetsThrough: true,
  finestLine: 0.9,
  layOn: (context) => {
    const rub = context.params.rub / 100;
    return {
      ...placed(context),
      effects: [
        DRY,
        { kind: 'film', ink: PASTE, coverAt: withinDesign(context, LAYER) },
        DRY,
        { kind: 'guard', coverAt: withinDesign(context, 1), keepsOff: () => rub, lasts: 'until dry' },
      ],
    };
  },
  steps: (contexts, unit) => [
    {
      title: 'Texture paste',
      work: `A thin coat through ${describeAllPlaced(contexts, unit)}. Stencil straight into water.`,
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
      waits: 'air',
      dangers: ['heat'],
    },
  ],
});
