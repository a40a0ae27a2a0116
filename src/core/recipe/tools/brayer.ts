import type { Tool } from './definition';

/** A brayer: streaky, white showing, forgiving. Its looks are chosen by eye; stroke and care are common practice. */
export const brayer = {
  id: 'brayer',
  label: 'brayer',
  phrase: 'with a brayer',
  prints: 'a brayer prints the edges of its roller',
  goesOneWay: true,
  hardness: 1.2,
  coats: 0.92,
  wets: 0.8,
  takes: 1,
  look: {
    marks: [],
    uneven: [{ from: 0.2, to: 1, falls: 0.4, spread: 0.02 }],
    hand: 0.01,
    rolled: {
      width: 38,
      edge: { width: 0.3, strength: 0.055 },
      skips: 0.5,
      streaks: { from: 0.5, to: 8, falls: 1, spread: 0.085 },
    },
  },
  noun: 'brayer',
  loading:
    'Roll it over the pad until it is covered, once over white kitchen paper, then down in the solid part',
  touching: 'Roll it once over the pad, then over white paper until it hardly marks it',
  goBackStroke: 'Rolled along the run, hardly pressed',
  stroke: 'rolled along the run, lifted at the end of each pass',
} as const satisfies Tool;
