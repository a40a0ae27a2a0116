import { smoothNoise } from '../../base/noise';
import { choice } from '../../base/params';
import type { Ink } from '../../materials/ink/ink';
import { buffsOff } from '../../materials/ink/kinds';
import { definePass, type PlacementContext } from './definition';
import { DRY } from './effects';
import { placed, STENCIL_PARAMS, withinDesign } from './placed';
import { withRagged } from './ragged';
import { steelOf } from './stencil';
import { stuff } from './stuff';
import { dome, type SurfaceDetail } from './surface';
import { describeAllPlaced, stencilsOf } from './words';

const foilOf = (name: string, overWhite: Ink['overWhite']): Ink =>
  stuff('foil', `foil-${name}`, `${name} foil`, overWhite);
/** What a foil looks like in even light; it mirrors the lamp in its own colour. By eye. */
const FOILS = {
  gold: foilOf('gold', '#b8964a'),
  silver: foilOf('silver', '#b4b7ba'),
  copper: foilOf('copper', '#b27a5b'),
} as const;
/** It hides what is under it, coats. */
const HIDING = 6;

const dragged = smoothNoise(1.3, 31);
const dimpled = smoothNoise(0.32, 32);
/** A mirror on a low cushion of glue: it waves along the way the glue was drawn, and shows each dimple in it. By eye. */
const MIRROR: SurfaceDetail = {
  border: 0,
  reach: 0.5,
  fills: true,
  height: dome(0.06, 0.45),
  bumps: (x, y) => 0.26 * dragged(0.4 * x, y) + 0.012 * dimpled(x, y),
  gloss: 1,
  isMetal: true,
};

const PARAMS = {
  ...STENCIL_PARAMS,
  foil: choice('Foil', { gold: 'gold', silver: 'silver', copper: 'copper' }, 'gold'),
} as const;

const foilsOf = (contexts: readonly PlacementContext<typeof PARAMS>[]): readonly string[] => [
  ...new Set(contexts.map(({ params }) => FOILS[params.foil].name)),
];

/** Foil on glue that was drawn through a stencil and has dried sticky: a mirror over everything. */
export const foil = definePass({
  id: 'foil',
  label: 'Foil',
  description:
    'Foil pressed on glue that was drawn through a stencil and has dried sticky: it mirrors, and hides what is under it.',
  stage: 'over',
  design: { use: 'pattern' },
  placements: { max: 1, noun: 'stencil' },
  params: PARAMS,
  needsDry: true,
  standsAlone: true,
  wetsStencil: true,
  finestLine: 0.5,
  layOn: (context) => ({
    // It tears off along the glue's edge, which is never quite even.
    ...withRagged(placed(context), { far: 0.07, size: 0.4 }, 33),
    surface: [MIRROR],
    effects: [
      DRY,
      { kind: 'film', ink: FOILS[context.params.foil], coverAt: withinDesign(context, HIDING) },
      DRY,
      // Dye and hybrid bead on it and are wiped off; pigment holds, and what is laid as pigment does: paste, powder, paint.
      {
        kind: 'guard',
        coverAt: withinDesign(context, 1),
        keepsOff: (kind) => (buffsOff(kind) ? 1 : 0),
        lasts: 'for good',
      },
    ],
  }),
  // Through a thin stencil, with what is scraped off; from memory.
  takes: () => ({ thing: 'foil glue', unit: 'ml', perSquareMetre: 150 }),
  steps: (contexts, unit) => [
    {
      title: 'Glue for the foil',
      work: `Foil glue, a thin coat through ${describeAllPlaced(contexts, unit)}.`,
      care: [
        'Only on a panel that is dry all through: ink that is still damp holds foil too.',
        'Tape the stencil down, draw the glue over it once, flat, and lift it straight up.',
        'Stencil and knife straight into water.',
      ],
      minutes: 3,
      does: [],
      needs: [...stencilsOf(contexts), 'foil glue', 'palette knife', 'bowl of water', 'low-tack tape'],
      dangers: steelOf(contexts),
    },
    {
      title: 'Let the glue dry sticky',
      work: 'Until it is clear and holds a fingertip without coming off; its maker’s sheet says how long.',
      care: ['No heat tool: glue that skins over holds no foil.'],
      minutes: 30,
      waits: 'air',
      noHeat: true,
      does: [],
    },
    {
      title: 'Foil',
      work: `A piece of ${foilsOf(contexts).join(', ')}, its coloured side up, rubbed down all over with a fingertip, then peeled off slowly.`,
      care: [
        'Where glue still shows, lay a fresh piece on and rub again.',
        'No heat on it afterwards, or it dulls.',
      ],
      minutes: 2,
      does: ['lay', 'dry', 'cover'],
      needs: [...foilsOf(contexts), 'scissors'],
    },
  ],
  later: () => [
    {
      when: 'inked',
      of: buffsOff,
      step: {
        title: 'Wipe the foil',
        work: 'A soft dry cloth over the foil while the ink still beads on it.',
        care: ['Lightly: foil that is rubbed scratches.'],
        minutes: 0.5,
        does: ['buff'],
        whileWet: true,
        needs: ['soft dry cloth'],
      },
    },
  ],
});
