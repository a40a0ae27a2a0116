import { definePass } from './definition';
import { lifting, MASKS } from './mask';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { MASKED } from './surface';
import { describeAllPlaced } from './words';

/** A cut shape over the dried blend that keeps off the passes after it. */
export const shield = definePass({
  id: 'shield',
  label: 'Mask on the blend',
  description: 'A cut shape over the dried blend; what follows stays off it until it is lifted.',
  stage: 'over',
  design: { use: 'image', starts: 'bottle-kiln' },
  unseen: 'keeps off what comes after it',
  placements: { max: 6, noun: 'shape' },
  params: {
    ...IMAGE_PARAMS,
    passes: { label: 'Stays for passes', unit: '×', min: 1, max: 15, step: 1, initial: () => 1 },
  },
  needsDry: true,
  finestLine: 1,
  layOn: (context) => ({
    ...guardedBy(context, { keepsOff: () => 1, lasts: context.params.passes }),
    surface: [MASKED],
  }),
  steps: (contexts, unit) => [
    {
      title: 'Mask the blend',
      work: `Lay down ${describeAllPlaced(contexts, unit)}.`,
      care: ['Try the tape on scrap of the same card first: it must not take ink along.'],
      minutes: 2,
      does: ['cover'],
      needs: MASKS,
      dangers: ['blade'],
    },
  ],
  // Those that stay equally long come off together; others are told by the number they were laid with.
  later: (contexts) => {
    const stays = contexts.map(({ params }) => params.passes);
    return new Set(stays).size === 1
      ? [{ when: stays[0] ?? 1, step: lifting(contexts.length) }]
      : contexts.map(({ id }, i) => ({
          when: stays[i] ?? 1,
          step: { ...lifting(1), title: `Lift mask (${i + 1})`, placement: id },
        }));
  },
});
