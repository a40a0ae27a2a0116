import { formatLength } from '../../base/length';
import { deltaE00 } from '../../materials/colour/difference';
import { perceivedShares } from '../../readings/perceived';
import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, pairNear } from './pairs';
import { pairOnPanel } from './stronger';

/** Inks nearer than this have no border that anyone sees. */
const APART = 20;

/** Where the border between two inks falls to the eye, set by hand. */
export const border: Exercise = {
  id: 'border',
  label: 'Where the border falls',
  trains: 'To foresee how far a strong ink reaches into a weak one.',
  follows: 'setting',
  unit: 'mm',
  least: 1,
  start: 10,
  most: 60,
  guess: 0,
  make: (shelf, _, draw) => {
    const pair = pairNear(shelf.inks, APART * 2, APART, (one, other) => deltaE00(one.lab, other.lab), draw);
    if (!pair) return undefined;
    const resolved = pairOnPanel(pair, shelf);
    const { height } = resolved.recipe.panel;
    const width = resolved.recipe.joints[0]?.width ?? 0;
    const [upper = 0.5] = perceivedShares(resolved);
    const at = upper * height;
    return {
      exercise: 'border',
      mode: 'place',
      key: `border ${idsOf(pair)}`,
      asks: `${pair[0].ink.name} is laid on the upper half of a bare panel and ${pair[1].ink.name} on the lower, blended over ${formatLength(width, shelf.lengths)} of its ${formatLength(height, shelf.lengths)}. Where will one end and the other begin, to the eye?`,
      faces: pair.map(({ hex }) => ({ kind: 'swatch', hex })),
      length: height,
      marks: [{ label: 'Border', start: height / 2 }],
      right: [at],
      level: 1,
      inks: namesOf(pair),
      hues: huesOf(pair),
      lesson: {
        reason:
          Math.abs(at - height / 2) < 2
            ? 'Neither is stronger: the border stays about the middle.'
            : `${(at > height / 2 ? pair[0] : pair[1]).ink.name} is stronger, and the border moves into the other.`,
        numbers: `${formatLength(at, shelf.lengths)} from the top, of ${formatLength(height, shelf.lengths)}.`,
        shows: [{ kind: 'panel', resolved }],
        tryIt: `Lay ${namesOf(pair).join(' and ')} half and half, and mark where you would cut them apart.`,
      },
    };
  },
};
