import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, pairNear } from './pairs';

const LEAST = 1.5;

/** Which of two is darker, across hues too. */
export const darker: Exercise = {
  id: 'darker',
  label: 'Which is darker',
  trains: 'To tell the darker of two inks, across hues too.',
  follows: 'difference',
  unit: 'L*',
  least: LEAST,
  start: 10,
  most: 40,
  guess: 0.5,
  make: ({ inks }, level, draw) => {
    const pair = pairNear(inks, level, LEAST, (one, other) => Math.abs(one.lab.l - other.lab.l), draw);
    if (!pair) return undefined;
    const [one, other] = pair;
    const apart = Math.abs(one.lab.l - other.lab.l);
    const dark = one.lab.l < other.lab.l ? one : other;
    return {
      exercise: 'darker',
      mode: 'pick',
      key: idsOf(pair),
      asks: 'Which of the two is darker?',
      faces: [],
      options: pair.map(({ hex }, i) => ({
        label: i === 0 ? 'the left one' : 'the right one',
        face: { kind: 'swatch', hex },
      })),
      right: [pair.indexOf(dark)],
      level: apart,
      inks: namesOf(pair),
      hues: huesOf(pair),
      lesson: {
        reason: `${dark.ink.name} is darker: beside each other, squinting takes the hue away and leaves the value.`,
        numbers: `${one.ink.name} L* ${one.lab.l.toFixed(0)}, ${other.ink.name} L* ${other.lab.l.toFixed(0)}: ${apart.toFixed(1)} apart.`,
        shows: [{ kind: 'swatch', hex: dark.hex }],
        tryIt: `Dab ${namesOf(pair).join(' and ')} side by side on scrap and look through half-closed eyes.`,
      },
    };
  },
};
