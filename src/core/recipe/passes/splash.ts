import type { Size } from '../../base/geometry';
import { formatRough } from '../../base/length';
import { choice } from '../../base/params';
import { seededRandom } from '../../base/random';
import { definePass, type PassStep } from './definition';
import { DRY } from './effects';
import { borderOfDrops, type Drop } from './scattered';
import { DRY_AFTER_WATER, DRY_BY_ITSELF } from './water';

/** What becomes of the drops: how much a drop's middle loses, and how much its rim gains. Common practice, sizes by eye. */
const AFTER = {
  dabbed: { label: 'dabbed at once', middle: 0.3, rim: 0 },
  minute: { label: 'dabbed after a minute', middle: 0.65, rim: 0 },
  dried: { label: 'left to dry', middle: 0.7, rim: 0.35 },
} as const;
/** Part of a drop's radius from which on its rim begins. */
const RIM = 0.8;

interface Flung {
  readonly seed: number;
  readonly drops: number;
  readonly distance: number;
}

/** Drops of water flung on the panel: coarse from near by, fine from afar. */
function dropsOf({ width, height }: Size, { seed, drops, distance }: Flung): Drop[] {
  const random = seededRandom(seed);
  const mean = Math.min(Math.max(900 / distance, 0.5), 8);
  return Array.from({ length: Math.round(drops) }, () => {
    // Many small drops and a few large ones.
    const radius = mean * (0.35 + 1.3 * random() ** 2.5);
    return { x: random() * width, y: random() * height, radius };
  });
}

/** Splashes of water: a faint mark, a paler one, or a bloom, by when they are dabbed. */
export const splash = definePass({
  id: 'splash',
  label: 'Splashes',
  description:
    'Water flicked or sprayed on: a faint mark when dabbed at once, a paler one after a minute, a bloom when left to dry.',
  stage: 'over',
  placements: { max: 1, noun: 'splash' },
  params: {
    seed: { label: 'Lie', unit: 'seed', min: 1, max: 9999, step: 1, initial: () => 1 },
    drops: { label: 'Drops', unit: '×', min: 1, max: 400, step: 5, initial: () => 60 },
    distance: { label: 'From', unit: 'mm', min: 80, max: 900, step: 10, initial: () => 300 },
    after: choice(
      'Then',
      { dabbed: AFTER.dabbed.label, minute: AFTER.minute.label, dried: AFTER.dried.label },
      'minute',
    ),
  },
  needsDry: true,
  rubs: true,
  wetsThrough: true,
  lifts: true,
  layOn: ({ panel, params }) => {
    const drops = () => dropsOf(panel, params);
    const { middle, rim } = AFTER[params.after];
    const cores = () => drops().map((drop) => ({ ...drop, radius: drop.radius * RIM }));
    return {
      borders: [borderOfDrops(drops, panel), ...(rim > 0 ? [borderOfDrops(cores, panel)] : [])],
      effects: [
        DRY,
        {
          kind: 'thin',
          coverAt: (_x, _y, inside) => (!inside(0) ? 0 : rim > 0 && !inside(1) ? -rim : middle),
        },
        DRY,
      ],
      traces: [],
    };
  },
  steps: (contexts, unit) =>
    contexts.flatMap(({ params }): PassStep[] => [
      {
        title: 'Splashes',
        work: `About ${params.drops} drops of water flicked or sprayed from ${formatRough(params.distance, unit)}; ${AFTER[params.after].label}.`,
        care: [
          'Near by the drops fall coarse, from afar fine. Keep spray away from a mains tool, and dry your hands.',
        ],
        minutes: 1 + (params.after === 'minute' ? 1 : 0),
        does: ['wet'],
        needs: ['water spray', 'white kitchen paper'],
      },
      params.after === 'dried' ? DRY_BY_ITSELF : DRY_AFTER_WATER,
    ]),
});
