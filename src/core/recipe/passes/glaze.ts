import { percent } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { strengthParam } from './placed';
import { stuff } from './stuff';

/** A pearly glaze as a film: thin, pale, and half hiding. By eye. */
const GLAZE = stuff('white', 'shimmer-glaze', 'shimmer glaze', '#f4f2ee');
/** Coats of it at full strength. */
const LAYER = 0.5;

/** Shimmer paste or glaze over the whole, which softens it. */
export const glaze = definePass({
  id: 'glaze',
  label: 'Shimmer glaze',
  description: 'A thin shimmer paste or glaze over the whole: it softens the colours and catches the light.',
  stage: 'over',
  placements: { max: 1, noun: 'glaze' },
  params: strengthParam(50, 10),
  needsDry: true,
  rubs: true,
  wetsThrough: true,
  layOn: ({ params }) => {
    const coats = (LAYER * params.strength) / 100;
    return {
      borders: [],
      effects: [DRY, { kind: 'film', ink: GLAZE, coverAt: () => coats }, DRY],
      traces: [],
    };
  },
  steps: (contexts) => [
    ...contexts.map(({ params: { strength } }) => ({
      title: 'Shimmer glaze',
      work: `A thin, even film over the whole, about ${percent(strength)} of a full coat, drawn on with a soft brush in one direction.`,
      care: [
        ...(strength < 100 ? ['Thin it to that with a little water, on a palette.'] : []),
        'Once over, then leave it: brushing back drags the ink under it.',
      ],
      minutes: 2,
      needs: ['shimmer glaze or paste', 'soft flat brush and water'],
    })),
    {
      title: 'Dry the glaze',
      work: 'In air, or with a heat tool held off, face then back.',
      care: ['Both sides, or the panel warps.'],
      minutes: 20,
      waits: 'air',
      needs: ['heat tool'],
      dangers: ['heat'],
    },
  ],
});
