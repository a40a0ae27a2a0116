import { listed } from '../../base/words';
import { bridgeBetween } from '../../choose/search/bridges';
import { deltaE00, hueApart } from '../../materials/colour/difference';
import { COLOURLESS, chroma, hueDegrees, type Lab } from '../../materials/colour/lab';
import type { DriedInk } from '../../readings/driedShelf';
import type { VerdictKind } from '../../readings/joints/joint';
import { newRecipe } from '../../recipe/newRecipe';
import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, pairNear, shuffled } from './pairs';

const OPTIONS = 4;
/** Ends this far apart want something between, ΔE00. */
const APART = { wanted: 55, least: 35 } as const;
/** The shelf is looked at in part: each middle is walked along twice. */
const SOME = 18;
/** Off the shorter way round from one end's hue to the other's by no more than this, degrees. */
const ASIDE = 10;

/** Which ink goes between two. The right one keeps both joins clean, the others muddy one at least. */
export const middle: Exercise = {
  id: 'middle',
  label: 'Which middle ink',
  trains: 'To find the ink that leads from one to another without mud.',
  follows: 'knowledge',
  unit: '',
  least: 1,
  start: 1,
  most: 1,
  guess: 1 / OPTIONS,
  make: ({ inks, card }, _, draw) => {
    for (let tries = 0; tries < 6; tries++) {
      const pair = pairNear(
        inks,
        APART.wanted,
        APART.least,
        (one, other) => deltaE00(one.lab, other.lab),
        draw,
      );
      if (!pair) return undefined;
      const [first, last] = pair[0].lab.l > pair[1].lab.l ? pair : [pair[1], pair[0]];
      const some = shuffled(
        inks.filter(({ ink }) => ink.id !== first.ink.id && ink.id !== last.ink.id),
        draw,
      ).slice(0, SOME);
      const { middles } = bridgeBetween(
        first.ink,
        last.ink,
        some.map(({ ink }) => ink),
        card,
      );
      const has =
        (...kinds: readonly VerdictKind[]) =>
        ({ joints }: (typeof middles)[number]) =>
          joints.some(({ verdict }) => kinds.includes(verdict.kind));
      // What is too like an end is no answer, and no wrong one: its joins are clean.
      const best = middles.find((one) => !has('mud', 'dulls', 'too alike')(one));
      const muddy = middles.filter(has('mud', 'dulls'));
      if (!best || muddy.length < OPTIONS - 1) continue;
      const options = shuffled([best, ...shuffled(muddy, draw).slice(0, OPTIONS - 1)], draw);
      const driedOf = ({ ink: { id } }: Pick<DriedInk, 'ink'>) =>
        inks.find(({ ink }) => ink.id === id) as DriedInk;
      const isOnTheWay = liesBetween(first.lab, driedOf(best).lab, last.lab);
      const own = [first.ink, best.ink, last.ink];
      const told = inks.filter(({ ink }) => own.some(({ id }) => id === ink.id));
      return {
        exercise: 'middle',
        mode: 'pick',
        key: `middle ${idsOf([first, last])} ${best.ink.id}`,
        asks: `Which ink goes between ${first.ink.name} and ${last.ink.name}, with both joins clean?`,
        faces: [first, last].map(({ hex }) => ({ kind: 'swatch', hex })),
        options: options.map((one) => ({
          label: one.ink.name,
          face: { kind: 'swatch', hex: driedOf(one).hex },
        })),
        right: [options.indexOf(best)],
        level: 1,
        inks: namesOf(told),
        hues: huesOf(told),
        lesson: {
          reason: `${best.ink.name} ${isOnTheWay ? 'lies on the way round the hue circle between the two' : 'leads from one to the other without greying'}; the others lead through grey or brown.`,
          numbers: `${options
            .filter((one) => one !== best)
            .map(({ ink, joints }) => `${ink.name}: ${listed(joints.map(({ verdict }) => verdict.kind))}`)
            .join('; ')}.`,
          shows: [
            {
              kind: 'panel',
              resolved: {
                recipe: newRecipe('middle', own, card),
                card,
                inks: own,
                passInks: [],
                designs: [],
              },
            },
          ],
          tryIt: `Blend ${own.map(({ name }) => name).join(', ')} on a strip of ${card.name}.`,
        },
      };
    }
    return undefined;
  },
};

/** Whether a colour's hue lies between those of two others, the shorter way round; what has none lies nowhere. */
function liesBetween(first: Lab, colour: Lab, last: Lab): boolean {
  if ([first, colour, last].some((lab) => chroma(lab) < COLOURLESS)) return false;
  const [from, at, to] = [first, colour, last].map(hueDegrees) as [number, number, number];
  return hueApart(from, at) + hueApart(at, to) <= hueApart(from, to) + 2 * ASIDE;
}
