import { formatLength } from '../../base/length';
import { param } from '../../base/params';
import { fade } from '../../base/smoothStep';
import type { PassKind } from './passes';

/** Part of an edge's depth where its ink stays solid. */
const SOLID = 0.2;

/** One dark ink all round, fading inward; deepened again at the end. */
export const edge: PassKind = {
  id: 'edge',
  label: 'Edge',
  explains: 'One dark ink all round the blend, added before stamping.',
  stage: 'over',
  ink: 'blended',
  placements: { most: 1, noun: 'edge' },
  params: [
    {
      key: 'depth',
      label: 'Depth',
      unit: 'mm',
      least: 3,
      most: 60,
      step: 0.5,
      initial: ({ width }) => Math.round(width * 0.16),
    },
  ],
  dries: false,
  on: ({ panel: { width, height }, params }) => {
    const depth = param(params, 'depth', 16);
    const solid = SOLID * depth;
    return {
      borders: [],
      blend: depth - solid,
      effects: [
        {
          does: 'film',
          coverAt: (x, y) => {
            // Inside, as far as from the nearest edge; near a corner as if it were rounded.
            const across = Math.max(depth - Math.min(x, width - x), 0);
            const down = Math.max(depth - Math.min(y, height - y), 0);
            const inward = depth - Math.sqrt(across * across + down * down);
            return inward <= solid ? 1 : inward >= depth ? 0 : fade((inward - solid) / (depth - solid));
          },
        },
      ],
      traces: [`M${depth} ${depth}H${width - depth}V${height - depth}H${depth}Z`],
      handle: { param: 'depth', at: { x: width / 2, y: depth }, valueAt: ({ y }) => y },
    };
  },
  steps: ([scene], unit) => {
    const depth = param(scene?.params ?? {}, 'depth', 16);
    return [
      {
        title: 'Edge',
        work: `All round: solid ${formatLength(SOLID * depth, unit)} in from the edge, fade inward to nothing by ${formatLength(depth, unit)}.`,
        care: [
          'Work from off the panel inward, with the panel on scrap paper. Deepen it again at the end if it wants it.',
        ],
        minutes: 2,
      },
    ];
  },
};
