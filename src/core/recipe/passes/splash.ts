import type { Size } from '../../base/geometry';
import { formatRough } from '../../base/length';
import { smoothNoise } from '../../base/noise';
import { choice } from '../../base/params';
import { seededRandom } from '../../base/random';
import { roughly } from '../../base/words';
import { definePass, type PassStep } from './definition';
import { DRY } from './effects';
import { ragged } from './ragged';
import { borderOfDrops, type Drop } from './scattered';
import type { SurfaceDetail } from './surface';
import { DRY_AFTER_WATER, DRY_BY_ITSELF } from './water';

/**
 * What becomes of the drops: how much a drop's middle loses, and what is seen from near by: how uneven the middle is left,
 * how soft its edge, and how much ink, as a part of a coat, was carried to a rim of that width in mm. Common practice,
 * sizes by eye.
 */
const AFTER = {
  dabbed: { label: 'dabbed at once', middle: 0.3, uneven: 0.1, soft: 0.25, rim: 0, width: 1 },
  minute: { label: 'dabbed after a minute', middle: 0.65, uneven: 0.35, soft: 0, rim: 0.12, width: 0.16 },
  dried: { label: 'left to dry', middle: 0.7, uneven: 0.45, soft: 0, rim: 0.42, width: 0.2 },
} as const;
/** What a drop takes, of what water can take of an ink at all: little at once, more once it has lain; common practice. */
export const dropTakes = (after: keyof typeof AFTER): number => AFTER[after].middle;
/** How a drop's outline wanders, mm: its shape, and the little bays and tongues of a front that card draws in. By eye. */
export const RAGGED = [
  { far: 0.6, size: 5 },
  { far: 0.2, size: 0.95 },
] as const;
/** Where ink has settled as the drop shrank: mm inside its rim. */
const TIDES = [0.9, 2.1] as const;

/** Deeper in a drop, mm, there is neither a tide nor a soft edge. */
const DEEP = TIDES[1] + 0.8;
/** Over so much, mm, the rim runs out into the drop: it was laid there as the drop shrank. */
const FEATHER = 0.14;

/** What is seen of a drop from near by. Its border tells half the distance. */
function driedDrop(seed: number, after: keyof typeof AFTER): SurfaceDetail {
  const { uneven, soft, rim, width } = AFTER[after];
  const pools = smoothNoise(2.6, seed + 3);
  const crawl = smoothNoise(0.45, seed + 4);
  return {
    border: 0,
    reach: 0.3,
    deep: DEEP / 2,
    fills: true,
    cover: (halved, x, y) => {
      const inside = 2 * halved;
      const crawls = crawl(x, y);
      const pool = pools(x, y);
      // The rim stands where the water ended, nowhere of the same width, and darkest where most of it ran together.
      const here = rim * (0.85 + 0.6 * pool);
      if (inside <= 0) {
        if (rim === 0) return 0;
        const part = inside / (width * (1 + 0.6 * crawls));
        return here * Math.exp(-part * part);
      }
      let more = uneven * (0.75 * pool + 0.35 * crawls);
      if (soft > 0) more += soft * Math.exp(-inside / 0.6);
      if (rim === 0) return more;
      more += here * Math.exp(-inside / FEATHER);
      const tide = inside + 0.25 * crawls + 0.3 * pool;
      for (const at of TIDES)
        if (Math.abs(tide - at) < 0.25) more += 0.5 * rim * Math.exp(-(((tide - at) / 0.09) ** 2));
      return more;
    },
  };
}

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
    // Many small drops and a few large ones: a power law, as sprays fall.
    const radius = mean * Math.min(0.36 * (1 - random()) ** -0.45, 2.2);
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
    return {
      borders: [ragged(borderOfDrops(drops, panel), RAGGED, params.seed)],
      surface: [driedDrop(params.seed, params.after)],
      effects: [
        DRY,
        { kind: 'thin', coverAt: (_x, _y, inside) => (inside(0) ? dropTakes(params.after) : 0) },
        DRY,
      ],
      traces: [],
    };
  },
  steps: (contexts, unit) =>
    contexts.flatMap(({ params }): PassStep[] => [
      {
        title: 'Splashes',
        work: `${roughly(params.drops, 'drop')} of water flicked or sprayed from ${formatRough(params.distance, unit)}; ${AFTER[params.after].label}.`,
        care: [
          'Close up the drops fall coarse, from farther off fine. Keep spray away from a mains tool, and dry your hands.',
        ],
        minutes: 1 + (params.after === 'minute' ? 1 : 0),
        does: ['wet'],
        needs: ['water spray', 'white kitchen paper'],
      },
      params.after === 'dried' ? DRY_BY_ITSELF : DRY_AFTER_WATER,
    ]),
});
