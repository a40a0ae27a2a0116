import { formatLength } from '../../base/length';
import { fade } from '../../base/smoothStep';
import { definePass } from './definition';

/** One dark ink in all four corners, fading toward the middle. */
export const darkCorners = definePass({
  id: 'darkCorners',
  label: 'Dark corners',
  description: 'One dark ink in the four corners, which turns the eye to the middle.',
  stage: 'over',
  ink: 'blended',
  placements: { max: 1, noun: 'corners' },
  params: {
    reach: {
      label: 'Reach',
      unit: 'mm',
      min: 6,
      max: 120,
      step: 1,
      initial: ({ width }) => Math.round(width * 0.38),
    },
  },
  needsDry: false,
  frames: true,
  rubs: true,
  layOn: ({ panel: { width, height }, params: { reach } }) => ({
    borders: [],
    blend: reach,
    effects: [
      {
        kind: 'film',
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
  }),
  steps: (contexts, unit) =>
    contexts.map(({ params }) => ({
      title: 'Dark corners',
      work: `Each corner: deepest at the tip, fade to nothing ${formatLength(params.reach, unit)} from it.`,
      care: [
        'Small circles from off the corner inward; turn the panel so that each corner comes to the working hand.',
      ],
      minutes: 2,
    })),
});
