import { roughNoise } from '../../base/noise';
import { smoothStep } from '../../base/smoothStep';
import { percent } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { placed, STENCIL_PARAMS, withinDesign } from './placed';
import { withRagged } from './ragged';
import { steelOf } from './stencil';
import { stuff } from './stuff';
import type { SurfaceDetail } from './surface';
import { describeAllPlaced, stencilsOf } from './words';

/** White texture paste as a film: a thin, hiding layer. */
const PASTE = stuff('white', 'texture-paste', 'white texture paste', '#f7f6f1');
/** Its thickness, coats. */
const LAYER = 4;
/** Rubbed so far, per cent, it looks white again. By eye. */
const WHITE_AGAIN = 90;

const crumbs = roughNoise(0.35, 11);
const drags = roughNoise(3, 12);
/** As it stands when the stencil is lifted: a shoulder with a ridge along it, and the marks of the knife. By eye. */
const SCRAPED: SurfaceDetail = {
  border: 0,
  reach: 0.7,
  fills: true,
  height: (halved) =>
    halved <= 0
      ? 0
      : 0.3 * smoothStep(Math.min(halved / 0.14, 1)) + 0.05 * Math.exp(-(((halved - 0.21) / 0.08) ** 2)),
  bumps: (x, y) => 0.012 * crumbs(x, y) + 0.03 * drags(x, y),
  gloss: 0.06,
};

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
  wetsStencil: true,
  finestLine: 0.9,
  layOn: (context) => {
    const rub = context.params.rub / 100;
    return {
      // Its edge crumbles a little as the stencil comes up.
      ...withRagged(placed(context), { far: 0.1, size: 0.6 }, 21),
      surface: [SCRAPED],
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
      work: `A thin coat through ${describeAllPlaced(contexts, unit)}.`,
      care: [
        'Tape the stencil down, draw the paste over it once, flat, and lift it straight up.',
        'Stencil and knife straight into water.',
      ],
      minutes: 3,
      needs: [
        ...stencilsOf(contexts),
        'white texture paste',
        'palette knife',
        'bowl of water',
        'low-tack tape',
      ],
      dangers: steelOf(contexts),
    },
    {
      title: 'Dry the paste',
      work: 'Front and back, until it is hard to the touch.',
      care: ['Heat the back too, or the panel warps.'],
      minutes: 20,
      waits: 'air',
      does: ['dry', 'cover'],
      needs: ['heat tool'],
      dangers: ['heat'],
    },
  ],
  // Through a stencil of about a quarter of a millimetre, with what is scraped off; from memory.
  takes: () => ({ thing: 'white texture paste', unit: 'ml', perSquareMetre: 300 }),
  later: (contexts) =>
    contexts
      .filter(({ params }) => params.rub > 0)
      .map(({ params: { rub } }) => ({
        when: 'blended',
        step: {
          title: 'Rub the paste back',
          work: `A barely damp cloth over the paste alone, until ${rub >= WHITE_AGAIN ? 'it comes up white again' : `about ${percent(rub)} of the colour on it is gone`}.`,
          care: ['Wring it out first; a clean part of the cloth for each wipe.'],
          minutes: 1.5,
          does: ['uncover'],
          whileWet: true,
          needs: ['cloth, barely damp'],
        },
      })),
});
