import { param } from '../../base/params';
import { DRY } from './effects';
import type { PassKind } from './passes';

/** One ink over all that has dried, from a veil to a full coat; over a resist it is buffed off the design. */
export const coat: PassKind = {
  id: 'coat',
  label: 'Top coat',
  explains: 'One ink over all that has dried, from a veil to a full coat; a resist keeps it off its design.',
  stage: 'over',
  ink: 'blended',
  placements: { most: 1, noun: 'coat' },
  params: [
    { key: 'strength', label: 'Strength', unit: '%', least: 5, most: 100, step: 5, initial: () => 60 },
  ],
  dries: true,
  on: ({ params }) => {
    const coats = param(params, 'strength', 60) / 100;
    return { borders: [], effects: [DRY, { does: 'film', coverAt: () => coats }], traces: [] };
  },
  steps: ([scene]) => {
    const strength = param(scene?.params ?? {}, 'strength', 60);
    return [
      {
        title: 'Top coat',
        work:
          strength >= 95
            ? 'All over, one full coat, from edge to edge.'
            : `All over with a light hand, about ${Math.round(strength)} % of a full coat, from edge to edge.`,
        care: [
          'A juicy pad and even pressure: the coat has to cover without stopping. Buff what lies on a resist with a soft dry cloth.',
        ],
        minutes: 2.5,
      },
    ];
  },
};
