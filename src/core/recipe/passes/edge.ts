import type { Size } from '../../base/geometry';
import { formatLength, type Millimetres, type Unit } from '../../base/length';
import { fade } from '../../base/smoothStep';
import { definePass } from './definition';

/** Part of an edge's depth where its ink stays solid. */
export const SOLID = 0.2;

export const DEPTH_PARAM = {
  depth: {
    label: 'Depth',
    unit: 'mm',
    min: 3,
    max: 60,
    step: 0.5,
    initial: ({ width }: Size) => Math.round(width * 0.16),
  },
} as const;

/** How much of an edge lies at a point, 0…1: as far from the nearest side, and near a corner as if it were rounded. */
export const edgeCover = ({ width, height }: Size, depth: Millimetres) => {
  const solid = SOLID * depth;
  return (x: Millimetres, y: Millimetres): number => {
    const across = Math.max(depth - Math.min(x, width - x), 0);
    const down = Math.max(depth - Math.min(y, height - y), 0);
    const inward = depth - Math.sqrt(across * across + down * down);
    return inward <= solid ? 1 : inward >= depth ? 0 : fade((inward - solid) / (depth - solid));
  };
};

/** Where an edge ends, as an SVG path in mm. */
export const edgePath = ({ width, height }: Size, depth: Millimetres): string =>
  `M${depth} ${depth}H${width - depth}V${height - depth}H${depth}Z`;

/** A narrower solid part than that, mm, no rule sets out. */
const MEASURED = 1;
const describeSolid = (solid: Millimetres, unit: Unit): string =>
  solid < MEASURED ? '' : `solid for ${formatLength(solid, unit)} from the edge, `;

/** One dark ink all round, fading inward; deepened again at the end. */
export const edge = definePass({
  id: 'edge',
  label: 'Edge',
  description: 'One dark ink all round the blend, added before stamping.',
  stage: 'over',
  ink: 'blended',
  placements: { max: 1, noun: 'edge' },
  params: DEPTH_PARAM,
  needsDry: false,
  frames: true,
  rubs: true,
  layOn: ({ panel, params: { depth } }) => ({
    borders: [],
    blend: depth * (1 - SOLID),
    effects: [{ kind: 'film', coverAt: edgeCover(panel, depth) }],
    traces: [edgePath(panel, depth)],
    handle: { param: 'depth', at: { x: panel.width / 2, y: depth }, valueAt: ({ y }) => y },
  }),
  steps: (contexts, unit) =>
    contexts.map(({ params: { depth } }) => ({
      title: 'Edge',
      work: `All round: ${describeSolid(SOLID * depth, unit)}fade inward to nothing by ${formatLength(depth, unit)}.`,
      care: [
        'Work from off the panel inward, with the panel on scrap paper. Deepen it again at the end if it wants it.',
      ],
      minutes: 2,
    })),
});
