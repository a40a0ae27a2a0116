import { percent } from '../../base/words';
import { asPigment } from '../../materials/ink/ink';
import { definePass } from './definition';
import { DRY } from './effects';
import { IMAGE_PARAMS, placed, withinDesign } from './placed';
import { describePlaced } from './words';

/** Around this strength, per cent, one impression does: below it is stamped off first, above it is stamped again. */
const ONE_IMPRESSION = { from: 95, to: 105 } as const;

function describeStrength(strength: number): string {
  if (strength < ONE_IMPRESSION.from) return `, stamped off first to about ${percent(strength)}`;
  if (strength > ONE_IMPRESSION.to) return `, ${Math.ceil(strength / 100)} impressions in a stamp positioner`;
  return '';
}

/** A bold image stamped over everything, with lighter second impressions for depth. */
export const silhouette = definePass({
  id: 'silhouette',
  label: 'Silhouette',
  description:
    'A bold image in detail black or another ink over everything; lighter impressions behind it give depth.',
  stage: 'over',
  ink: 'stamped',
  design: { use: 'image', starts: 'bottle-kiln' },
  placements: { max: 6, noun: 'impression' },
  params: {
    ...IMAGE_PARAMS,
    strength: { label: 'Strength', unit: '%', min: 10, max: 300, step: 10, initial: () => 100 },
  },
  needsDry: true,
  standsAlone: true,
  smudges: true,
  finestLine: 0.2,
  layOn: (context) => ({
    ...placed(context),
    effects: [
      DRY,
      {
        kind: 'film',
        ...(context.ink ? { ink: asPigment(context.ink) } : {}),
        coverAt: withinDesign(context, context.params.strength / 100),
      },
    ],
  }),
  steps: (contexts, unit) =>
    contexts.map((context, i) => ({
      title: contexts.length > 1 ? `Silhouette, impression ${i + 1}` : 'Silhouette',
      placement: context.id,
      work: `${describePlaced(context, unit)}${describeStrength(context.params.strength)}.`,
      care: ['Press evenly, lift straight up. Heat-set or blot before anything touches it, or it smudges.'],
      minutes: 1.5,
    })),
});
