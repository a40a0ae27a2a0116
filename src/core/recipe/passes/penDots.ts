import type { Size } from '../../base/geometry';
import { formatFine } from '../../base/length';
import { roughNoise } from '../../base/noise';
import { choice } from '../../base/params';
import { seededRandom } from '../../base/random';
import { roughly } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { borderOfDrops, type Drop } from './scattered';
import { stuff } from './stuff';
import { dome, type SurfaceDetail } from './surface';

const PENS = {
  white: stuff('pen', 'pen-white', 'white', '#fbfbf8'),
  gold: stuff('pen', 'pen-gold', 'gold metallic', '#b4934a'),
  silver: stuff('pen', 'pen-silver', 'silver metallic', '#b3b6b9'),
} as const;
const flakes = roughNoise(0.14, 7);
/** How it shines once it has set: white like paint, metallic by flakes that lie nearly every way. By eye. */
const METALLIC = { gloss: 1, isMetal: true, bumps: (x: number, y: number) => 0.032 * flakes(x, y) } as const;
const SHINES: Readonly<Record<keyof typeof PENS, Pick<SurfaceDetail, 'gloss' | 'isMetal' | 'bumps'>>> = {
  white: { gloss: 0.5 },
  gold: METALLIC,
  silver: METALLIC,
};
/** A dot hides what is under it, coats. */
const HIDING = 4;

interface Dots {
  readonly seed: number;
  readonly dots: number;
  readonly size: number;
}

function dotsOf({ width, height }: Size, { seed, dots, size }: Dots): Drop[] {
  const random = seededRandom(seed);
  return Array.from({ length: Math.round(dots) }, () => ({
    x: random() * width,
    y: random() * height,
    radius: (size / 2) * (0.6 + 0.8 * random()),
  }));
}

/** Dots of a white or metallic pen, last of all. */
export const penDots = definePass({
  id: 'penDots',
  label: 'Pen dots',
  description: 'Dots of a white or metallic pen, last of all.',
  stage: 'over',
  placements: { max: 1, noun: 'dots' },
  params: {
    pen: choice('Pen', { white: PENS.white.name, gold: PENS.gold.name, silver: PENS.silver.name }, 'white'),
    seed: { label: 'Lie', unit: 'seed', min: 1, max: 9999, step: 1, initial: () => 1 },
    dots: { label: 'Dots', unit: '×', min: 1, max: 200, step: 1, initial: () => 24 },
    size: { label: 'Size', unit: 'mm', min: 0.3, max: 6, step: 0.1, initial: () => 1.2 },
  },
  needsDry: true,
  standsAlone: true,
  layOn: ({ panel, params }) => ({
    borders: [borderOfDrops(() => dotsOf(panel, params), panel)],
    effects: [
      DRY,
      { kind: 'film', ink: PENS[params.pen], coverAt: (_x, _y, inside) => (inside(0) ? HIDING : 0) },
      DRY,
    ],
    surface: [{ border: 0, reach: params.size, height: dome(0.09, params.size / 2), ...SHINES[params.pen] }],
    traces: [],
  }),
  steps: (contexts, unit) =>
    contexts.map(({ params }) => ({
      title: 'Pen dots',
      work: `${roughly(params.dots, 'dot')} of the ${PENS[params.pen].name} pen, ${formatFine(params.size, unit)} across.`,
      care: ['Last of all. Leave a plain area for the eye to rest and for the greeting.'],
      minutes: 2,
      does: ['lay', 'dry'],
      needs: [`${PENS[params.pen].name} pen`],
    })),
});
