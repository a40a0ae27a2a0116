import { formatLength } from '../../base/length';
import { param } from '../../base/params';
import { fade } from '../../base/smoothStep';
import type { PassKind } from './passes';

/** One dark ink in all four corners, fading toward the middle. */
export const darkCorners: PassKind = {
  id: 'darkCorners',
  label: 'Dark corners',
  explains: 'One dark ink in the four corners, which turns the eye to the middle.',
  stage: 'over',
  ink: 'blended',
  placements: { most: 1, noun: 'corners' },
  params: [
    {
      key: 'reach',
      label: 'Reach',
      unit: 'mm',
      least: 6,
      most: 120,
      step: 1,
      initial: ({ width }) => Math.round(width * 0.38),
    },
  ],
  dries: false,
  on: ({ panel: { width, height }, params }) => {
    const reach = param(params, 'reach', 40);
    return {
      borders: [],
      blend: reach,
      effects: [
        {
          does: 'film',
          coverAt: (x, y) => {
            const far = Math.hypot(Math.min(x, width - x), Math.min(y, height - y));
            return far >= reach ? 0 : fade(far / reach);
          },
        },
      ],
      traces: [
        `M${reach} 0A${reach} ${reach} 0 0 1 0 ${reach}`,
        `M${width - reach} 0A${reach} ${reach} 0 0 0 ${width} ${reach}`,
        `M${width} ${height - reach}A${reach} ${reach} 0 0 0 ${width - reach} ${height}`,
        `M0 ${height - reach}A${reach} ${reach} 0 0 1 ${reach} ${height}`,
      ],
      handle: {
        param: 'reach',
        at: { x: reach * Math.SQRT1_2, y: reach * Math.SQRT1_2 },
        valueAt: ({ x, y }) => Math.hypot(x, y),
      },
    };
  },
  steps: ([scene], unit) => [
    {
      title: 'Dark corners',
      work: `Each corner: deepest at the tip, fade to nothing ${formatLength(param(scene?.params ?? {}, 'reach', 40), unit)} from it.`,
      care: [
        'Small circles from off the corner inward; turn the panel so that each corner comes to the working hand.',
      ],
      minutes: 2,
    },
  ],
};
