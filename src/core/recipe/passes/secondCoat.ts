import { percent } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { strengthParam } from './placed';

/** The same blend once more over the dried one, for strength. */
export const secondCoat = definePass({
  id: 'secondCoat',
  label: 'Second coat',
  description: 'The same blend once more over the dried one: stronger, and on dark card less pastel.',
  stage: 'over',
  placements: { max: 1, noun: 'coat' },
  params: strengthParam(80, 10),
  needsDry: true,
  rubs: true,
  layOn: ({ params }) => {
    const coats = params.strength / 100;
    return { borders: [], effects: [DRY, { kind: 'ladder', coverAt: () => coats }], traces: [] };
  },
  steps: (contexts) =>
    contexts.map(({ params: { strength } }) => ({
      title: 'Second coat',
      work: `The same inks in the same order, each where it lies, with a light hand: about ${percent(strength)} of the first coat.`,
      care: ['Fresh ink on dry looks darker for a while, then settles.'],
      minutes: 0.5,
      ladder: { on: 'the panel', strength },
    })),
});
