import { roughNoise } from '../../base/noise';
import { definePass, type PassStep } from './definition';
import { DRY } from './effects';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import type { SurfaceDetail } from './surface';
import { DRY_AFTER_WATER, takenAfter } from './water';
import { describePlaced, stampsOf } from './words';

/** Water under a still stamp takes less than a rubbing cloth does: this part of it. */
const STILL = 0.7;

/** Water takes more where the stamp touched well, and leaves what it took along the outside of its lines. By eye. */
function liftedUnevenly(seed: number): SurfaceDetail {
  const touch = roughNoise(5, seed);
  const fine = roughNoise(0.9, seed + 7);
  return {
    border: 0,
    reach: 0.6,
    fills: true,
    cover: (inside, x, y) =>
      inside > 0
        ? 0.4 * touch(x, y) + 0.2 * fine(x, y)
        : 0.2 * Math.exp(inside / 0.16) * (1 + 0.5 * fine(x, y)),
  };
}

/** A stamp wetted with water, held on the panel, lifts its image out of the colour. */
export const waterStamp = definePass({
  id: 'waterStamp',
  label: 'Water stamp',
  description:
    'A stamp wetted with water and held for half a minute lifts its image out of the colour; dye gives more than hybrid.',
  stage: 'over',
  design: { use: 'image', starts: 'pressed-leaf' },
  placements: { max: 6, noun: 'impression' },
  params: {
    ...IMAGE_PARAMS,
    seconds: { label: 'Held for seconds', unit: '×', min: 5, max: 90, step: 5, initial: () => 40 },
  },
  needsDry: true,
  rubs: true,
  wetsThrough: true,
  lifts: true,
  finestLine: 0.5,
  layOn: (context) => ({
    ...placed(context),
    surface: [liftedUnevenly(context.id.length + Math.round(context.params.x))],
    effects: [
      DRY,
      { kind: 'thin', coverAt: withinDesign(context, STILL * takenAfter(context.params.seconds)) },
      DRY,
    ],
  }),
  steps: (contexts, unit) => [
    ...contexts.map(
      (context, i): PassStep => ({
        title: contexts.length > 1 ? `Water stamp, impression ${i + 1}` : 'Water stamp',
        placement: context.id,
        work: `${describePlaced(context, unit)}: wet the stamp, press, hold ${context.params.seconds} s, lift, blot.`,
        care: ['Impressions beside each other, never over each other.'],
        minutes: 1,
        does: ['wet'],
        needs: [...stampsOf(contexts), 'water spray', 'white kitchen paper'],
      }),
    ),
    DRY_AFTER_WATER,
  ],
});
