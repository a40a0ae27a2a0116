import { blended } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { hexOfLab } from '../../materials/colour/hex';
import { labOfSpectrum } from '../../materials/colour/lab';
import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, pairNear } from './pairs';

const APART = { wanted: 45, least: 20 } as const;

/** Parts of two inks for a colour. */
export const mix: Exercise = {
  id: 'mix',
  label: 'Mix it',
  trains: 'To tell in which parts two inks make a colour.',
  follows: 'setting',
  unit: '%',
  least: 2,
  start: 15,
  most: 60,
  guess: 0,
  make: ({ inks, ground }, _, draw) => {
    const pair = pairNear(
      inks,
      APART.wanted,
      APART.least,
      (one, other) => deltaE00(one.lab, other.lab),
      draw,
    );
    if (!pair) return undefined;
    const part = 20 + Math.round(60 * draw());
    const at = (percent: number) =>
      labOfSpectrum(
        blended(
          [
            { ink: pair[0].ink, coats: 1 - percent / 100 },
            { ink: pair[1].ink, coats: percent / 100 },
          ],
          ground,
        ),
      );
    const target = at(part);
    // Where ten per cent more or less is hardly another colour, nobody can tell.
    if (deltaE00(target, at(part + 10)) < 2 || deltaE00(target, at(part - 10)) < 2) return undefined;
    return {
      exercise: 'mix',
      mode: 'place',
      key: `mix ${idsOf(pair)} ${Math.round(part / 10)}`,
      asks: `The colour in the middle is mixed of ${pair[0].ink.name} and ${pair[1].ink.name}. How many parts of a hundred are ${pair[1].ink.name}?`,
      faces: [pair[0].hex, hexOfLab(target), pair[1].hex].map((hex) => ({ kind: 'swatch', hex })),
      length: 100,
      marks: [{ label: `Parts of ${pair[1].ink.name}`, start: 50 }],
      right: [part],
      level: 1,
      inks: namesOf(pair),
      hues: huesOf(pair),
      lesson: {
        reason:
          'Strong inks show early: a few parts of them go a long way, and equal parts seldom look like the middle.',
        numbers: `${part} of 100 parts${part === 50 ? ', as many of each' : `; equal parts would be ΔE00 ${deltaE00(target, at(50)).toFixed(1)} from it`}.`,
        shows: [25, 50, 75].map((percent) => ({ kind: 'swatch', hex: hexOfLab(at(percent)) })),
        tryIt: `Mix ${namesOf(pair).join(' and ')} on the mat, drop by drop.`,
      },
    };
  },
};
