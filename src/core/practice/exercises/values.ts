import type { Exercise } from './definition';
import { huesOf, idsOf, namesOf, oneOf, shuffled } from './pairs';

const SWATCHES = 5;
const LEAST = 2.5;
const TRIED = 80;

/** Five swatches from light to dark, of whatever hues. */
export const values: Exercise = {
  id: 'values',
  label: 'Light to dark',
  trains: 'To see value whatever the hue: it is what orders a ladder.',
  follows: 'difference',
  unit: 'L*',
  least: LEAST,
  start: 9,
  most: 15,
  guess: 1 / 120,
  make: ({ inks }, level, draw) => {
    let best: { gap: number; chosen: typeof inks } | undefined;
    for (let i = 0; i < TRIED; i++) {
      const first = oneOf(inks, draw);
      if (!first) return undefined;
      // Each next one about so much darker.
      const chosen = [first];
      while (chosen.length < SWATCHES) {
        const at = (chosen.at(-1) ?? first).lab.l - level;
        const fitting = inks.filter(({ lab }) => Math.abs(lab.l - at) < Math.max(level / 4, 0.8));
        const next = oneOf(fitting, draw);
        if (!next) break;
        chosen.push(next);
      }
      if (chosen.length < SWATCHES) continue;
      const gap = Math.min(...chosen.slice(1).map(({ lab }, at) => (chosen[at]?.lab.l ?? 0) - lab.l));
      if (gap >= LEAST && (!best || Math.abs(gap - level) < Math.abs(best.gap - level)))
        best = { gap, chosen };
    }
    if (!best) return undefined;
    const { chosen, gap } = best;
    const options = shuffled(chosen, draw);
    const told = chosen.map(({ ink, lab }) => `${ink.name} ${lab.l.toFixed(0)}`).join(', ');
    return {
      exercise: 'values',
      mode: 'order',
      key: idsOf(chosen),
      asks: 'Put them in order, the lightest first.',
      faces: [],
      options: options.map(({ hex, ink }) => ({ label: ink.name, face: { kind: 'swatch', hex } })),
      right: chosen.map((one) => options.indexOf(one)),
      level: gap,
      inks: namesOf(chosen),
      hues: huesOf(chosen),
      lesson: {
        reason: 'Value is lightness alone: a strong yellow is light however loud, a strong violet is dark.',
        numbers: `L* from light to dark: ${told}.`,
        shows: chosen.map(({ hex }) => ({ kind: 'swatch', hex })),
        tryIt: `Lay a dab of each side by side and squint: ${namesOf(chosen).join(', ')}.`,
      },
    };
  },
};
