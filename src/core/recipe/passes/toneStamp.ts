import { percent } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { IMAGE_PARAMS, placed, strengthParam, withinDesign } from './placed';
import { STAMPED } from './surface';
import { describePlaced, layAgain, stampsOf, waitFor } from './words';

/** A stamp inked with the same ink as the ground under it, each band with its own. */
export const toneStamp = definePass({
  id: 'toneStamp',
  label: 'Tone on tone',
  description:
    'A stamp inked with the same inks as lie under it, each band with its own: a second film of the same colour.',
  stage: 'over',
  design: { use: 'image', starts: 'wheel-rings' },
  placements: { max: 6, noun: 'impression' },
  params: { ...IMAGE_PARAMS, ...strengthParam(80, 10) },
  needsDry: true,
  sameInks: true,
  layOn: (context) => ({
    ...placed(context),
    surface: [STAMPED],
    effects: [DRY, { kind: 'ladder', coverAt: withinDesign(context, context.params.strength / 100) }],
  }),
  steps: (contexts, unit) =>
    contexts.map((context, i) => ({
      title: contexts.length > 1 ? `Tone on tone, impression ${i + 1}` : 'Tone on tone',
      placement: context.id,
      work: `${describePlaced(context, unit)}: ink each part of the stamp with the ink of the band it falls on, about ${percent(context.params.strength)} of a full coat.`,
      care: [
        'Use the edge of the pad to meet the bands. Subtle on deep inks; a pale ink hardly shows.',
        ...waitFor(i),
      ],
      minutes: 3,
      does: layAgain(i, 'stamp'),
      needs: stampsOf(contexts),
    })),
});
