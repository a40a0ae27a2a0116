import { choice } from '../../base/params';
import { definePass } from './definition';

/** What drops of glycerine do: how long the ink stays open, and how uneven it lies. One evens it, more make it slide. By eye, from common practice. */
const DROPS = {
  one: { opens: 1.5, mottle: 0.5 },
  two: { opens: 2, mottle: 1.6 },
} as const;

/** A drop of glycerine with each colour on the mat: ordinary card blends more smoothly, and for longer. */
export const glycerine = definePass({
  id: 'glycerine',
  label: 'Glycerine',
  description:
    'A drop with each colour on the mat: ordinary card blends more smoothly, and stays open longer.',
  stage: 'under',
  unseen: 'blends smoother, stays open longer',
  placements: { max: 1, noun: 'drop' },
  params: { drops: choice('A colour', { one: 'one drop', two: 'two drops or more' }, 'one') },
  needsDry: false,
  layOn: () => ({ borders: [], effects: [], traces: [] }),
  changesLaying: ([context]) => DROPS[context?.params.drops ?? 'one'],
  // The mat is wiped between inks: each has a drop of its own.
  steps: () => [],
  atEachInk: (contexts) =>
    contexts.map(({ params: { drops } }) => ({
      care:
        drops === 'one'
          ? 'Its pad pressed on the mat, one drop of glycerine beside it and no more; take both up together.'
          : 'Its pad pressed on the mat, two drops of glycerine beside it: so much makes the ink slide and stay patchy; if that is not what you are after, one.',
      // From memory.
      minutes: 0.2,
      needs: ['glycerine and a dropper'],
    })),
});
