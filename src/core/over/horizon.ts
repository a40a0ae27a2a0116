import { formatLength } from '../panel/measure';
import { param } from '../run/params';
import type { OverRun } from './over';

/** A straight-edged dark band at the foot, masked at a measured height. */
export const horizon: OverRun = {
  id: 'horizon',
  label: 'Horizon',
  explains: 'A dark band at the foot with a straight, masked edge.',
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
  onto: 'dried',
  sharp: true,
  on: ({ width, height }, params) => {
    const line = height - Math.min(param(params, 'height', 30), height);
    return {
      level: true,
      coverAt: (_x, y) => (y >= line ? 1 : 0),
      traces: [`M0 ${line}H${width}`],
      handle: { param: 'height', at: { x: width / 2, y: line }, valueAt: ({ y }) => height - y },
      work: (unit) =>
        `Mask above ${formatLength(height - line, unit)} from the foot with straight scrap or low-tack tape; solid below it, right up to the mask.`,
      care: ['Brush away from the mask, never toward it. Lift the mask before the ink has dried.'],
    };
  },
};
