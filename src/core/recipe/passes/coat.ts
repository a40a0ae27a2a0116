import { percent } from '../../base/words';
import { definePass } from './definition';
import { DRY } from './effects';
import { strengthParam } from './placed';

/** From this strength on, per cent, a coat is laid as a full one. */
const FULL_FROM = 95;

const coatsOf = ({ strength }: { readonly strength: number }): number => strength / 100;

/** One ink over all that has dried, from a veil to a full coat; over a resist it is buffed off the design. */
export const coat = definePass({
  id: 'coat',
  label: 'Top coat',
  description:
    'One ink over all that has dried, from a veil to a full coat; a resist keeps it off its design.',
  stage: 'over',
  ink: 'blended',
  placements: { max: 1, noun: 'coat' },
  params: strengthParam(60),
  needsDry: true,
  coversAll: true,
  rubs: true,
  evenCoats: coatsOf,
  layOn: ({ params }) => {
    const coats = coatsOf(params);
    return { borders: [], effects: [DRY, { kind: 'film', coverAt: () => coats }], traces: [] };
  },
  steps: (contexts) =>
    contexts.map(({ params: { strength } }) => ({
      title: 'Top coat',
      work:
        strength >= FULL_FROM
          ? 'All over, one full coat, from edge to edge.'
          : `All over with a light hand, about ${percent(strength)} of a full coat, from edge to edge.`,
      care: [
        strength >= FULL_FROM
          ? 'A juicy pad and even pressure: the coat has to cover without stopping.'
          : 'Little ink, tapped off, and even pressure: over all of it once without stopping, then once across.',
      ],
      minutes: 2.5,
    })),
});
