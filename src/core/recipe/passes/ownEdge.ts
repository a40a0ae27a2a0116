import { formatLength } from '../../base/length';
import { percent } from '../../base/words';
import { definePass } from './definition';
import { DEPTH_PARAM, edgeCover, edgePath, SOLID } from './edge';
import { strengthParam } from './placed';

/** The edges once more in the inks that lie there, gaps filled with the others: a frame of the ladder's own. */
export const ownEdge = definePass({
  id: 'ownEdge',
  label: 'Edge in its own inks',
  description: 'Each side inked lightly in the ink that lies there: a frame of the ladder’s own colours.',
  stage: 'over',
  placements: { max: 1, noun: 'edge' },
  params: { ...DEPTH_PARAM, ...strengthParam(70, 10) },
  needsDry: true,
  rubs: true,
  layOn: ({ panel, params: { depth, strength } }) => {
    const cover = edgeCover(panel, depth);
    return {
      borders: [],
      blend: depth * (1 - SOLID),
      effects: [{ kind: 'dry' }, { kind: 'ladder', coverAt: (x, y) => (strength / 100) * cover(x, y) }],
      traces: [edgePath(panel, depth)],
      handle: { param: 'depth', at: { x: panel.width / 2, y: depth }, valueAt: ({ y }) => y },
    };
  },
  steps: (contexts, unit) =>
    contexts.map(({ params: { depth, strength } }) => ({
      title: 'Edge in its own inks',
      work: `Each side with the ink that lies there, from off the panel inward, about ${percent(strength)} of a full coat at the rim, to nothing by ${formatLength(depth, unit)}; where two meet, the one goes into the other.`,
      care: [
        'With the panel on scrap paper and hardly any ink: with a corner of each pad, or with its brush where that is not washed yet.',
      ],
      minutes: 2.5,
      needs: ['scrap paper'],
    })),
});
