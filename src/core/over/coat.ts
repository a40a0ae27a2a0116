import { param } from '../run/params';
import type { OverRun } from './over';

/** One ink over all that has dried, from a veil to a full coat. */
export const coat: OverRun = {
  id: 'coat',
  label: 'Top coat',
  explains: 'One ink over all that has dried, from a veil to a full coat; what lies under it shows through.',
  params: [
    { key: 'strength', label: 'Strength', unit: '%', least: 5, most: 100, step: 5, initial: () => 60 },
  ],
  onto: 'dried',
  sharp: false,
  on: (_panel, params) => {
    const strength = param(params, 'strength', 60);
    return {
      level: true,
      coverAt: () => strength / 100,
      traces: [],
      work: () =>
        strength >= 95
          ? 'All over, one full coat, from edge to edge.'
          : `All over with a light hand, about ${Math.round(strength)} % of a full coat, from edge to edge.`,
      care: ['A juicy pad and even pressure: the coat has to cover without stopping.'],
    };
  },
};
