import { deltaE00 } from '../../materials/colour/difference';
import type { DriedInk } from '../../readings/driedShelf';
import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, oneOf, shuffled } from './pairs';

const LEAST = 2;
const SWATCHES = 6;
const TRIED = 80;

/** Of six swatches two are nearest to each other: the twins. */
export const twins: Exercise = {
  id: 'twins',
  label: 'Find the twins',
  trains: 'To tell inks that are nearly alike, before a third is bought.',
  follows: 'difference',
  unit: 'ΔE00',
  least: LEAST,
  start: 10,
  most: 25,
  guess: 1 / 15,
  make: ({ inks }, level, draw) => {
    let best: { chosen: DriedInk[]; pair: readonly [DriedInk, DriedInk]; lead: number } | undefined;
    for (let i = 0; i < TRIED; i++) {
      const first = oneOf(inks, draw);
      if (!first) return undefined;
      const near = inks
        .filter(({ ink }) => ink.id !== first.ink.id)
        .toSorted((p, q) => deltaE00(p.lab, first.lab) - deltaE00(q.lab, first.lab));
      const twin = near[0];
      const others = shuffled(near.slice(1, 4 * SWATCHES), draw).slice(0, SWATCHES - 2);
      if (!twin || others.length < SWATCHES - 2) return undefined;
      const chosen = [first, twin, ...others];
      const apart = deltaE00(first.lab, twin.lab);
      const rest = pairsOf(chosen).filter(([p, q]) => !(p === first && q === twin));
      // How much farther apart the next nearest pair is.
      const lead = Math.min(...rest.map(([p, q]) => deltaE00(p.lab, q.lab))) - apart;
      if (lead >= LEAST && (!best || Math.abs(lead - level) < Math.abs(best.lead - level)))
        best = { chosen, pair: [first, twin], lead };
    }
    if (!best) return undefined;
    const { pair, lead } = best;
    const options = shuffled(best.chosen, draw);
    return {
      exercise: 'twins',
      mode: 'pick',
      key: `twins ${idsOf(best.chosen)}`,
      asks: 'Which two are most alike?',
      faces: [],
      options: options.map(({ hex }, i) => ({ label: `swatch ${i + 1}`, face: { kind: 'swatch', hex } })),
      right: pair.map((one) => options.indexOf(one)),
      level: lead,
      inks: namesOf(pair),
      hues: huesOf(pair),
      lesson: {
        reason: `${pair[0].ink.name} and ${pair[1].ink.name}: what tells them apart is ${tellApart(pair)}.`,
        numbers: `ΔE00 ${deltaE00(pair[0].lab, pair[1].lab).toFixed(1)} between them; the next pair is ${lead.toFixed(1)} farther.`,
        shows: pair.map(({ hex }) => ({ kind: 'swatch', hex })),
        tryIt: `Dab ${namesOf(pair).join(' and ')} so that they touch.`,
      },
    };
  },
};

const pairsOf = (list: readonly DriedInk[]): (readonly [DriedInk, DriedInk])[] =>
  list.flatMap((p, i) => list.slice(i + 1).map((q) => [p, q] as const));

function tellApart([one, other]: readonly [DriedInk, DriedInk]): string {
  const l = Math.abs(one.lab.l - other.lab.l);
  const ab = Math.hypot(one.lab.a - other.lab.a, one.lab.b - other.lab.b);
  return l > ab ? 'mostly their lightness' : 'mostly their hue and strength';
}
