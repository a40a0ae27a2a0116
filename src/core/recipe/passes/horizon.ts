import { formatLength } from '../../base/length';
import { definePass } from './definition';
import { DRY } from './effects';
import { inkedEdge, type SurfaceDetail } from './surface';

/** Every stroke begins at the mask. By eye. */
const ALONG_TAPE: SurfaceDetail = { border: 0, reach: 1.2, cover: inkedEdge(0.15, 0.35) };

/** A straight-edged dark band at the foot, masked at a measured height. */
export const horizon = definePass({
  id: 'horizon',
  label: 'Horizon',
  description: 'A dark band at the foot with a straight, masked edge.',
  stage: 'over',
  ink: 'blended',
  placements: { max: 1, noun: 'horizon' },
  params: {
    height: {
      label: 'Height',
      unit: 'mm',
      min: 3,
      max: 300,
      step: 0.5,
      initial: ({ height }) => Math.round(height * 0.22),
      isPlaceAlong: 'height',
    },
  },
  needsDry: true,
  frames: true,
  rubs: true,
  layOn: ({ panel: { width, height }, params }) => {
    const line = height - Math.min(params.height, height);
    return {
      borders: [(_x, y) => y - line],
      surface: [ALONG_TAPE],
      effects: [DRY, { kind: 'film', coverAt: (_x, _y, inside) => (inside(0) ? 1 : 0) }],
      traces: [`M0 ${line}H${width}`],
      handle: { param: 'height', at: { x: width / 2, y: line }, valueAt: ({ y }) => height - y },
    };
  },
  steps: (contexts, unit) =>
    contexts.map(({ params, panel }) => ({
      title: 'Horizon',
      work: `Mask above ${formatLength(Math.min(params.height, panel.height), unit)} from the foot with straight scrap or low-tack tape; solid below it, right up to the mask.`,
      care: ['Brush away from the mask, never toward it. Lift the mask before the ink has dried.'],
      minutes: 2,
      needs: ['low-tack tape or straight scrap'],
    })),
});
