import { roughNoise } from '../../base/noise';
import { choice } from '../../base/params';
import { capitalised, listed } from '../../base/words';
import type { Ink } from '../../materials/ink/ink';
import { definePass, type PlacementContext } from './definition';
import { DRY } from './effects';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import { stuff } from './stuff';
import type { SurfaceDetail } from './surface';
import { describeAllPlaced, stampsOf } from './words';

const powder = (name: string, overWhite: Ink['overWhite']): Ink =>
  stuff('pearl', `pearl-${name}`, `${name} pearl powder`, overWhite);
const POWDERS = {
  white: powder('white', '#eceae6'),
  gold: powder('gold', '#c9a861'),
  copper: powder('copper', '#b97f5c'),
  blue: powder('blue', '#8fb2c9'),
} as const;
const PARAMS = {
  ...IMAGE_PARAMS,
  powder: choice('Powder', { white: 'white', gold: 'gold', copper: 'copper', blue: 'blue' }, 'white'),
} as const;
const powdersOf = (contexts: readonly PlacementContext<typeof PARAMS>[]): readonly string[] => [
  ...new Set(contexts.map(({ params }) => POWDERS[params.powder].name)),
];

/** How thick the powder lies on what is sticky, coats: some of the ground shows through. By eye. */
const LAYER = 1.2;

const grains = roughNoise(0.16, 5);
/** Flakes that lie every way, each a small mirror. By eye. */
const GRAINS: SurfaceDetail = {
  border: 0,
  reach: 0.12,
  fills: true,
  height: (inside) => 0.02 * Math.min(Math.max(inside / 0.1, 0), 1),
  bumps: (x, y) => 0.03 * grains(x, y),
  gloss: 0.8,
  isMetal: true,
};

/** Pearl powder brushed over a design stamped in sticky ink: best on dark card, where it shifts in the light. */
export const pearl = definePass({
  id: 'pearl',
  label: 'Pearl powder',
  description:
    'Powder brushed over a design stamped in sticky ink, the excess buffed off: it shifts in the light, most on dark card.',
  stage: 'over',
  design: { use: 'image', starts: 'pressed-leaf' },
  placements: { max: 1, noun: 'impression' },
  params: PARAMS,
  needsDry: true,
  standsAlone: true,
  finestLine: 0.2,
  layOn: (context) => ({
    ...placed(context),
    surface: [GRAINS],
    effects: [
      DRY,
      { kind: 'film', ink: POWDERS[context.params.powder], coverAt: withinDesign(context, LAYER) },
      DRY,
    ],
  }),
  // Brushed on, the excess buffed off; from memory.
  takes: ({ powder: name }) => ({ thing: `${name} pearl powder`, unit: 'g', perSquareMetre: 15 }),
  steps: (contexts, unit) => [
    {
      title: 'Stamp for the powder',
      work: `Anti-static pouch. ${describeAllPlaced(contexts, unit)}, in clear embossing ink.`,
      care: ['Press evenly, lift straight up: what is sticky is what will shine.'],
      minutes: 1.5,
      does: [],
      needs: [...stampsOf(contexts), 'clear embossing ink', 'anti-static pouch'],
    },
    {
      title: 'Pearl powder',
      work: `${capitalised(listed(powdersOf(contexts)))}, brushed on with a soft dry brush until the design is covered.`,
      care: ['A little at a time, over a clean sheet that takes the rest.'],
      minutes: 1.5,
      does: ['stamp'],
      needs: [...powdersOf(contexts), 'soft dry brush'],
      dangers: ['powder'],
    },
    {
      title: 'Buff off the rest',
      work: 'A soft dry cloth over the whole, until no loose powder comes off.',
      care: ['Then let it dry for as long as the sticky ink’s maker says.'],
      minutes: 1,
      does: ['dry'],
      needs: ['soft dry cloth'],
      dangers: ['powder'],
    },
  ],
});
