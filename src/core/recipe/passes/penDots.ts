import { formatFine } from '../../base/length';
import { type Params, param } from '../../base/params';
import type { Ink } from '../../materials/ink/ink';
import { seededRandom } from '../../picture/grain';
import type { Panel } from '../panel';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { borderOfDrops, type Drop } from './scattered';

const pen = (id: string, name: string, overWhite: Ink['overWhite']): Ink => ({
  id,
  name,
  family: 'pen',
  depth: 'pale',
  kind: 'pigment',
  overWhite,
});
const PENS: readonly Ink[] = [
  pen('pen-white', 'white', '#fbfbf8'),
  pen('pen-gold', 'gold metallic', '#b4934a'),
  pen('pen-silver', 'silver metallic', '#b3b6b9'),
];
const HIDING = 4;

function dotsOf({ width, height }: Panel, params: Params): Drop[] {
  const random = seededRandom(param(params, 'seed', 1));
  const radius = param(params, 'size', 1.2) / 2;
  return Array.from({ length: Math.round(param(params, 'dots', 24)) }, () => ({
    x: random() * width,
    y: random() * height,
    radius: radius * (0.6 + 0.8 * random()),
  }));
}

/** Dots of a white or metallic pen, last of all. */
export const penDots: PassKind = {
  id: 'penDots',
  label: 'Pen dots',
  explains: 'Dots of a white or metallic pen, last of all.',
  stage: 'over',
  placements: { most: 1, noun: 'dots' },
  params: [
    { key: 'pen', label: 'Pen', choices: PENS.map(({ name }) => name), initial: () => 0 },
    { key: 'seed', label: 'Lie', unit: 'seed', least: 1, most: 9999, step: 1, initial: () => 1 },
    { key: 'dots', label: 'Dots', unit: '×', least: 1, most: 200, step: 1, initial: () => 24 },
    { key: 'size', label: 'Size', unit: 'mm', least: 0.3, most: 6, step: 0.1, initial: () => 1.2 },
  ],
  dries: true,
  on: ({ panel, params }) => {
    return {
      borders: [borderOfDrops(() => dotsOf(panel, params), panel)],
      effects: [
        DRY,
        {
          does: 'film',
          ink: PENS[param(params, 'pen', 0)] ?? (PENS[0] as Ink),
          coverAt: (_x, _y, inside) => (inside(0) ? HIDING : 0),
        },
        DRY,
      ],
      traces: [],
    };
  },
  steps: ([scene], unit) => {
    const params = scene?.params ?? {};
    return [
      {
        title: 'Pen dots',
        work: `About ${param(params, 'dots', 24)} dots of the ${PENS[param(params, 'pen', 0)]?.name ?? 'white'} pen, ${formatFine(param(params, 'size', 1.2), unit)} across.`,
        care: ['Last of all. Leave a plain area for the eye to rest and for the greeting.'],
        minutes: 2,
      },
    ];
  },
};
