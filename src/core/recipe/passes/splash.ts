import { formatRough } from '../../base/length';
import { type Params, param } from '../../base/params';
import { seededRandom } from '../../picture/grain';
import type { Panel } from '../panel';
import { DRY } from './effects';
import type { PassKind } from './passes';
import { borderOfDrops, type Drop } from './scattered';

/** What becomes of the drops: how much a drop's middle loses, and how much its rim gains. Common practice, sizes by eye. */
const AFTER = [
  { label: 'dabbed at once', middle: 0.3, rim: 0 },
  { label: 'dabbed after a minute', middle: 0.65, rim: 0 },
  { label: 'left to dry', middle: 0.7, rim: 0.35 },
] as const;
/** Part of a drop's radius from which on its rim begins. */
const RIM = 0.8;

/** Drops of water flung on the panel: coarse from near by, fine from afar. */
function dropsOf({ width, height }: Panel, params: Params): Drop[] {
  const random = seededRandom(param(params, 'seed', 1));
  const far = param(params, 'distance', 300);
  const mean = Math.min(Math.max(900 / far, 0.5), 8);
  return Array.from({ length: Math.round(param(params, 'drops', 60)) }, () => {
    // Many small drops and a few large ones.
    const radius = mean * (0.35 + 1.3 * random() ** 2.5);
    return { x: random() * width, y: random() * height, radius };
  });
}

/** Splashes of water: a faint mark, a paler one, or a bloom, by when they are dabbed. */
export const splash: PassKind = {
  id: 'splash',
  label: 'Splashes',
  explains:
    'Water flicked or sprayed on: a faint mark when dabbed at once, a paler one after a minute, a bloom when left to dry.',
  stage: 'over',
  placements: { most: 1, noun: 'splash' },
  params: [
    { key: 'seed', label: 'Lie', unit: 'seed', least: 1, most: 9999, step: 1, initial: () => 1 },
    { key: 'drops', label: 'Drops', unit: '×', least: 1, most: 400, step: 5, initial: () => 60 },
    { key: 'distance', label: 'From', unit: 'mm', least: 80, most: 900, step: 10, initial: () => 300 },
    { key: 'after', label: 'Then', choices: AFTER.map(({ label }) => label), initial: () => 1 },
  ],
  dries: true,
  on: ({ panel, params }) => {
    const drops = () => dropsOf(panel, params);
    const { middle, rim } = AFTER[param(params, 'after', 1)] ?? AFTER[1];
    const cores = () => drops().map((drop) => ({ ...drop, radius: drop.radius * RIM }));
    return {
      borders: [borderOfDrops(drops, panel), ...(rim > 0 ? [borderOfDrops(cores, panel)] : [])],
      effects: [
        DRY,
        {
          does: 'thin',
          coverAt: (_x, _y, inside) => (!inside(0) ? 0 : rim > 0 && !inside(1) ? -rim : middle),
        },
        DRY,
      ],
      traces: [],
    };
  },
  steps: ([scene], unit) => {
    const params = scene?.params ?? {};
    const { label } = AFTER[param(params, 'after', 1)] ?? AFTER[1];
    return [
      {
        title: 'Splashes',
        work: `About ${param(params, 'drops', 60)} drops of water flicked or sprayed from ${formatRough(param(params, 'distance', 300), unit)}; ${label}.`,
        care: [
          'Near by the drops fall coarse, from afar fine. Keep spray away from a mains tool, and dry your hands.',
        ],
        minutes: 1,
      },
    ];
  },
};
