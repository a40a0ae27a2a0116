import { capitalised } from '../../base/words';
import { probePanel } from '../../engine/probe';
import { deltaE00 } from '../../materials/colour/difference';
import { hexOfLab } from '../../materials/colour/hex';
import { chroma, type Lab } from '../../materials/colour/lab';
import { INK_KINDS } from '../../materials/ink/kinds';
import { describeMinutes } from '../../sheet/times';
import type { Exercise } from './definition';
import { huesOf, namesOf, oneOf, shuffled } from './pairs';
import { pairOnPanel } from './stronger';

const LEAST = 2.5;
const OPTIONS = 4;
/** Less than this nobody sees, ΔE00. */
const SEEN = 1.5;

/** Wet now: how will it dry? One of four is right, the others are drier or less dry, or of another chroma. */
export const wet: Exercise = {
  id: 'wet',
  label: 'Wet now, dried later',
  trains: 'To see the dried colour in the wet one.',
  follows: 'difference',
  unit: 'ΔE00',
  least: LEAST,
  start: 8,
  most: 20,
  guess: 1 / OPTIONS,
  make: (shelf, level, draw) => {
    const one = oneOf(shelf.inks, draw);
    if (!one) return undefined;
    const { labAt } = probePanel(pairOnPanel([one, one], shelf), { wetness: 'wet' });
    const now = labAt(1, 1);
    const apart = (lab: Lab) => deltaE00(one.lab, lab);
    // Steps away from the truth, each as far as is asked.
    const ways: readonly ((by: number) => Lab)[] = [
      (by) => ({ ...one.lab, l: one.lab.l + by }),
      (by) => ({ ...one.lab, l: one.lab.l - by }),
      (by) => scaled(one.lab, 1 + by / Math.max(chroma(one.lab), 8)),
      (by) => scaled(one.lab, 1 - by / Math.max(chroma(one.lab), 8)),
    ];
    const others = shuffled(ways, draw).flatMap((way) => {
      const found = stepOf(way, Math.max(level, LEAST), apart);
      return found ? [found] : [];
    });
    if (others.length < OPTIONS - 1) return undefined;
    const options = shuffled([one.lab, ...others.slice(0, OPTIONS - 1)], draw);
    return {
      exercise: 'wet',
      mode: 'pick',
      key: `wet ${one.ink.id}`,
      asks: `${one.ink.name} is wet now. Which of the four will it be when it has dried?`,
      faces: [{ kind: 'swatch', hex: hexOfLab(now) }],
      options: options.map((lab, i) => ({
        label: `colour ${i + 1}`,
        face: { kind: 'swatch', hex: hexOfLab(lab) },
      })),
      right: [options.indexOf(one.lab)],
      level: Math.min(...others.slice(0, OPTIONS - 1).map(apart)),
      inks: namesOf([one]),
      hues: huesOf([one]),
      lesson: {
        reason:
          deltaE00(now, one.lab) < SEEN
            ? `${capitalised(INK_KINDS[one.ink.kind].label)} ink hardly changes: it dries about as it lies.`
            : 'Wet ink traps the light and looks deeper and stronger; dried it is paler and a little greyer.',
        numbers: `From L* ${now.l.toFixed(0)} wet to ${one.lab.l.toFixed(0)} dried, ΔE00 ${deltaE00(now, one.lab).toFixed(1)}.`,
        shows: [{ kind: 'swatch', hex: one.hex }],
        tryIt: `Dab ${one.ink.name} beside a dab that is dry, and look again in ${describeMinutes(INK_KINDS[one.ink.kind].airDryMinutes)}.`,
      },
    };
  },
};

const scaled = ({ l, a, b }: Lab, by: number): Lab => ({ l, a: a * by, b: b * by });

/** That way, so far that it is as different as is asked; undefined where no colour of a screen is. */
function stepOf(way: (by: number) => Lab, level: number, apart: (lab: Lab) => number): Lab | undefined {
  for (let by = level / 2; by < level * 4 + 10; by *= 1.06) {
    const lab = way(by);
    if (lab.l < 4 || lab.l > 98) return undefined;
    if (apart(lab) >= level) return lab;
  }
  return undefined;
}
