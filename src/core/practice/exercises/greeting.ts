import { xyzOfLab } from '../../materials/colour/lab';
import type { DriedInk } from '../../readings/driedShelf';
import { contrastOf, NEEDS } from '../../readings/legibility/contrast';
import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, pairNear } from './pairs';

/** A greeting is lettering: what is practised is what the bench asks of it. */
const NEEDED = NEEDS.lettering;
const LEAST = 1.08;

/** Whether a greeting will read on a colour. */
export const greeting: Exercise = {
  id: 'greeting',
  label: 'Will the greeting read',
  trains: 'To know before stamping whether a greeting stands out.',
  follows: 'difference',
  unit: 'times',
  least: LEAST,
  start: 1.8,
  most: 5,
  guess: 0.5,
  make: ({ inks }, level, draw) => {
    const ratio = (p: DriedInk, q: DriedInk) => contrastOf(xyzOfLab(p.lab).y, xyzOfLab(q.lab).y);
    // How far from the contrast that is needed.
    const off = (p: DriedInk, q: DriedInk) => Math.exp(Math.abs(Math.log(ratio(p, q) / NEEDED)));
    const onSide = (reads: boolean) =>
      pairNear(inks, level, LEAST, (p, q) => (ratio(p, q) >= NEEDED === reads ? off(p, q) : undefined), draw);
    // A shelf has many more pairs that are too near, and whoever always said so would be right.
    const reads = draw() < 0.5;
    const pair = onSide(reads) ?? onSide(!reads);
    if (!pair) return undefined;
    const [ground, dark] = pair[0].lab.l > pair[1].lab.l ? pair : [pair[1], pair[0]];
    const now = ratio(ground, dark);
    return {
      exercise: 'greeting',
      mode: 'pick',
      key: `greeting ${idsOf(pair)}`,
      asks: 'Will the greeting read at arm’s length?',
      faces: [{ kind: 'greeting', ground: ground.hex, ink: dark.hex }],
      options: [{ label: 'it reads' }, { label: 'it is lost' }],
      right: [now >= NEEDED ? 0 : 1],
      level: off(pair[0], pair[1]),
      inks: namesOf(pair),
      hues: huesOf(pair),
      lesson: {
        reason:
          now >= NEEDED
            ? 'The two are far enough apart in lightness; hue alone would not do.'
            : 'Whatever the hues, they are too near in lightness: take a darker ink, or a paler place.',
        numbers: `Contrast ${now.toFixed(1)} to 1; a greeting needs ${NEEDED}.`,
        shows: [{ kind: 'greeting', ground: ground.hex, ink: dark.hex }],
        tryIt: `Stamp in ${dark.ink.name} on a band of ${ground.ink.name}, and step back.`,
      },
    };
  },
};
