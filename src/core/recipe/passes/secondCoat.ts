import { param } from '../../base/params';
import { DRY } from './effects';
import type { PassKind } from './passes';

/** The same blend once more over the dried one, for strength. */
export const secondCoat: PassKind = {
  id: 'secondCoat',
  label: 'Second coat',
  explains: 'The same blend once more over the dried one: stronger, and on dark card less pastel.',
  stage: 'over',
  placements: { most: 1, noun: 'coat' },
  params: [
    { key: 'strength', label: 'Strength', unit: '%', least: 10, most: 100, step: 5, initial: () => 80 },
  ],
  dries: true,
  on: ({ params }) => {
    const coats = param(params, 'strength', 80) / 100;
    return { borders: [], effects: [DRY, { does: 'ladder', coverAt: () => coats }], traces: [] };
  },
  steps: () => [
    {
      title: 'Second coat',
      work: 'The same inks in the same order over the dried blend, to the same marks.',
      care: ['Same brushes. Fresh ink on dry looks darker for a while, then settles.'],
      minutes: 6,
    },
  ],
};
