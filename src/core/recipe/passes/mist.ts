import { definePass } from './definition';

/** What a mist and one more rolling leave of streaks and of patches, 0…1. By eye, from common practice. */
const LEFT = { streaks: 0.3, mottle: 0.8 } as const;

/** A light mist over the wet blend, rolled or brushed once more: streaks smooth out. */
export const mist = definePass({
  id: 'mist',
  label: 'Mist',
  description:
    'A light mist of water over the wet blend, gone over once more: a brayer’s streaks smooth out.',
  stage: 'over',
  unseen: 'smooths out streaks',
  placements: { max: 1, noun: 'mist' },
  params: {},
  needsDry: false,
  wetsThrough: true,
  worksWet: true,
  layOn: () => ({ borders: [], effects: [], traces: [] }),
  changesLaying: () => LEFT,
  steps: () => [
    {
      title: 'Mist and smooth',
      work: 'One light mist from arm’s length while the blend is wet; then once more over all of it with no new ink, along the run.',
      care: ['A mist, no drops: the card may look damp, never wet.'],
      minutes: 1,
      does: [],
      whileWet: true,
      printed: {
        title: 'Mist the rubber',
        work: 'One light mist over the inked rubber from arm’s length, right before it is pressed, and so before each layer.',
        care: ['A mist, no drops: on wet rubber the ink runs out of the lines.'],
      },
      needs: ['water spray'],
    },
  ],
});
