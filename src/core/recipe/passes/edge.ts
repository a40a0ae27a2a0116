import { formatLength } from '../../base/length';
import { fade } from '../../base/smoothStep';
import { definePass } from './definition';

/** Part of an edge's depth where its ink stays solid. */
const SOLID = 0.2;

/** One dark ink all round, fading inward; deepened again at the end. */
export const edge = definePass({
  id: 'edge',
  label: 'Edge',
  description: 'One dark ink all round the blend, added before stamping.',
  stage: 'over',
  ink: 'blended',
  placements: { max: 1, noun: 'edge' },
  params: {
    depth: {
      label: 'Depth',
      unit: 'mm',
      min: 3,
      max: 60,
      step: 0.5,
      initial: ({ width }) => Math.round(width * 0.16),
    },
  },
  needsDry: false,
  frames: true,
  rubs: true,
  layOn: ({ panel: { width, height }, params: { depth } }) => {
    const solid = SOLID * depth;
    return {
      borders: [],
      blend: depth - solid,
      effects: [
        {
          kind: 'film',
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
  steps: (contexts, unit) =>
    contexts.map(({ params: { depth } }) => ({
      title: 'Edge',
      work: `All round: solid ${formatLength(SOLID * depth, unit)} in from the edge, fade inward to nothing by ${formatLength(depth, unit)}.`,
      care: [
        'Work from off the panel inward, with the panel on scrap paper. Deepen it again at the end if it wants it.',
      ],
      minutes: 2,
    })),
});
