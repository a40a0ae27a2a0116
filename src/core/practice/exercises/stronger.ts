import { deltaE00 } from '../../materials/colour/difference';
import type { DriedInk } from '../../readings/driedShelf';
import { potencies } from '../../readings/perceived';
import { newRecipe } from '../../recipe/newRecipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import type { Exercise, PracticeShelf } from './definition';
import { huesOf, idsOf, namesOf, pairNear } from './pairs';

const LEAST = 1.15;
/** Inks nearer than this are one: nobody sees where their border falls. */
const APART = 20;

export const pairOnPanel = (
  [one, other]: readonly [DriedInk, DriedInk],
  { card }: PracticeShelf,
): ResolvedRecipe => {
  const inks = [one.ink, other.ink];
  return { recipe: newRecipe('pair', inks, card), card, inks, passInks: [], designs: [] };
};

/** What part of their join each of two inks holds. */
export function holdsOf(
  pair: readonly [DriedInk, DriedInk],
  shelf: PracticeShelf,
): readonly [number, number] {
  const [first = { holds: 0.5 }, second = { holds: 0.5 }] = potencies(pairOnPanel(pair, shelf));
  return [first.holds, second.holds];
}

/** Which of two inks swallows the other. */
export const stronger: Exercise = {
  id: 'stronger',
  label: 'Which is stronger',
  trains: 'To know which ink swallows the other, and wants less room.',
  follows: 'difference',
  unit: 'times',
  least: LEAST,
  start: 3,
  most: 12,
  guess: 0.5,
  make: (shelf, level, draw) => {
    const ratio = (one: DriedInk, other: DriedInk): number | undefined => {
      if (deltaE00(one.lab, other.lab) < APART) return undefined;
      const [first, second] = holdsOf([one, other], shelf);
      const least = Math.min(first, second);
      return least > 0.02 ? Math.max(first, second) / least : undefined;
    };
    // Fewer are tried than elsewhere: each is walked along.
    const some = shelf.inks.length > SOME ? pickSome(shelf.inks, draw) : shelf.inks;
    const found = pairNear(some, level, LEAST, ratio, draw);
    if (!found) return undefined;
    const pair = draw() < 0.5 ? found : ([found[1], found[0]] as const);
    const [first, second] = holdsOf(pair, shelf);
    const strong = first > second ? pair[0] : pair[1];
    return {
      exercise: 'stronger',
      mode: 'pick',
      key: `stronger ${idsOf(pair)}`,
      asks: 'Laid in equal parts and blended: which of them takes more of the join?',
      faces: [],
      options: pair.map(({ hex, ink }) => ({ label: ink.name, face: { kind: 'swatch', hex } })),
      right: [pair.indexOf(strong)],
      level: ratio(pair[0], pair[1]) ?? LEAST,
      inks: namesOf(pair),
      hues: huesOf(pair),
      lesson: {
        reason: `${strong.ink.name} is stronger: the mixture looks like it over more of the join, so it is given less room.`,
        numbers: `${pair[0].ink.name} holds ${Math.round(first * 100)} % of the join, ${pair[1].ink.name} ${Math.round(second * 100)} %.`,
        shows: [{ kind: 'panel', resolved: pairOnPanel(pair, shelf) }],
        tryIt: `Blend equal bands of ${namesOf(pair).join(' and ')}, and measure where one ends to the eye.`,
      },
    };
  },
};
const SOME = 8;
const pickSome = <T>(list: readonly T[], draw: () => number): T[] =>
  Array.from({ length: SOME }, () => list[Math.floor(draw() * list.length)] as T);
