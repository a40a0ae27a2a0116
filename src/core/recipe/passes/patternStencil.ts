import { percent } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { placed, STENCIL_PARAMS, strengthParam, withinDesign } from './placed';
import { crept, steelOf } from './stencil';
import { inkedEdge, type SurfaceDetail } from './surface';
import { describePlaced, layAgain, stencilsOf, waitFor } from './words';

/** Where the brush comes over a stencil's edge it leaves a little more. By eye. */
const THROUGH: SurfaceDetail = { border: 0, reach: 0.75, cover: inkedEdge(0.16, 0.25) };

/** Ink through the openings of a pattern stencil. */
export const patternStencil = definePass({
  id: 'patternStencil',
  label: 'Pattern stencil',
  description: 'Ink through the openings of a stencil, over the dried blend.',
  stage: 'over',
  ink: 'blended',
  design: { use: 'pattern' },
  placements: { max: 4, noun: 'placing' },
  params: { ...STENCIL_PARAMS, ...strengthParam(60) },
  needsDry: true,
  rubs: true,
  finestLine: 0.6,
  layOn: (context) => {
    const { borders, traces } = placed(context);
    return {
      borders: borders.map((border) => crept(border, context)),
      surface: [THROUGH],
      effects: [DRY, { kind: 'film', coverAt: withinDesign(context, context.params.strength / 100) }],
      traces,
    };
  },
  steps: (contexts, unit) =>
    contexts.map((context, i) => ({
      title: contexts.length > 1 ? `Pattern stencil, placing ${i + 1}` : 'Pattern stencil',
      placement: context.id,
      does: layAgain(i),
      work: `Through ${describePlaced(context, unit)}; about ${percent(context.params.strength)} of a full coat.`,
      care: [
        'Taped down or held on a magnetic board. With hardly any ink, straight down or in small circles; lift the stencil straight up.',
        ...waitFor(i),
      ],
      minutes: 2.5,
      needs: [...stencilsOf(contexts), 'low-tack tape'],
      dangers: steelOf(contexts),
    })),
});
