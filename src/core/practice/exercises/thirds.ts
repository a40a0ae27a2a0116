import { formatBare, formatLength } from '../../base/length';
import { USUAL_PANEL } from '../../recipe/panel';
import type { Exercise } from './definition';

/** Equal thirds on a bare panel, by eye. */
export const thirds: Exercise = {
  id: 'thirds',
  label: 'Equal thirds',
  trains: 'To share out a panel without a ruler.',
  follows: 'setting',
  unit: 'mm',
  least: 0.5,
  start: 8,
  most: 40,
  guess: 0,
  make: ({ lengths }, _, draw) => {
    // Heights differ, or the places would be learned by heart.
    const height = Math.round(USUAL_PANEL.height * (0.6 + 0.7 * draw()));
    const start = [0.2 + 0.1 * draw(), 0.7 + 0.15 * draw()].map((part) => part * height);
    return {
      exercise: 'thirds',
      mode: 'place',
      key: `thirds ${height}`,
      asks: 'Mark the panel off in three equal parts.',
      faces: [],
      length: height,
      marks: [
        { label: 'Upper mark', start: start[0] ?? 0 },
        { label: 'Lower mark', start: start[1] ?? height },
      ],
      right: [height / 3, (2 * height) / 3],
      level: 1,
      inks: [],
      hues: [],
      lesson: {
        reason: 'The middle third looks larger than it is, so it is mostly set too narrow.',
        numbers: `The marks stand at ${formatBare(height / 3, lengths)} and ${formatBare((2 * height) / 3, lengths)} of ${formatLength(height, lengths)}.`,
        shows: [],
        tryIt: 'Fold a strip of scrap in three and hold it against what you marked.',
      },
    };
  },
};
