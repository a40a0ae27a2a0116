import { definePass, type PassStep } from './definition';
import { DRY } from './effects';
import { placed, STENCIL_PARAMS, withinDesign } from './placed';
import { steelOf } from './stencil';
import { DRY_AFTER_WATER, takenAfter } from './water';
import { describePlaced, stencilsOf } from './words';

/** A damp cloth takes ink off again, through a stencil or all over. */
export const lift = definePass({
  id: 'lift',
  label: 'Lift with a damp cloth',
  description:
    'A damp cloth takes colour off again, through a stencil or all over: dye gives way, pigment hardly.',
  stage: 'over',
  design: { use: 'pattern', optional: true },
  placements: { max: 4, noun: 'placing' },
  params: {
    ...STENCIL_PARAMS,
    seconds: { label: 'Rubbed for seconds', unit: '×', min: 1, max: 90, step: 1, initial: () => 15 },
  },
  needsDry: true,
  rubs: true,
  wetsThrough: true,
  wetsStencil: true,
  lifts: true,
  layOn: (context) => ({
    ...placed(context),
    effects: [DRY, { kind: 'thin', coverAt: withinDesign(context, takenAfter(context.params.seconds)) }, DRY],
  }),
  steps: (contexts, unit) => [
    ...contexts.map(
      (context, i): PassStep => ({
        title: contexts.length > 1 ? `Lift, placing ${i + 1}` : 'Lift',
        placement: context.id,
        work: `${context.design ? `Through ${describePlaced(context, unit)}` : 'All over'}: a barely damp cloth, ${context.params.seconds} s, turned to a clean part each time.`,
        care: [
          context.design
            ? 'Wring it out: a wet cloth runs under the stencil.'
            : 'Wring it out: a wet cloth leaves pools that dry with a rim.',
        ],
        minutes: 1.5,
        does: ['wet'],
        needs: [...stencilsOf(contexts), 'cloth, barely damp'],
        dangers: steelOf([context]),
      }),
    ),
    DRY_AFTER_WATER,
  ],
});
