import { formatLength } from '../../base/length';
import { param } from '../../base/params';
import { DRY } from './effects';
import type { PassKind } from './passes';

/** A straight-edged dark band at the foot, masked at a measured height. */
export const horizon: PassKind = {
  id: 'horizon',
  label: 'Horizon',
  explains: 'A dark band at the foot with a straight, masked edge.',
  stage: 'over',
  ink: 'blended',
  placements: { most: 1, noun: 'horizon' },
  params: [
    {
      key: 'height',
      label: 'Height',
      unit: 'mm',
      least: 3,
      most: 300,
      step: 0.5,
      initial: ({ height }) => Math.round(height * 0.22),
    },
  ],
  dries: true,
  on: ({ panel: { width, height }, params }) => {
    const line = height - Math.min(param(params, 'height', 30), height);
    return {
      borders: [(_x, y) => y - line],
      effects: [DRY, { does: 'film', coverAt: (_x, _y, inside) => (inside(0) ? 1 : 0) }],
      traces: [`M0 ${line}H${width}`],
      handle: { param: 'height', at: { x: width / 2, y: line }, valueAt: ({ y }) => height - y },
    };
  },
  steps: ([scene], unit) => [
    {
      title: 'Horizon',
      work: `Mask above ${formatLength(Math.min(param(scene?.params ?? {}, 'height', 30), scene?.panel.height ?? 0), unit)} from the foot with straight scrap or low-tack tape; solid below it, right up to the mask.`,
      care: ['Brush away from the mask, never toward it. Lift the mask before the ink has dried.'],
      minutes: 2,
    },
  ],
};
