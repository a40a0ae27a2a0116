import type { Tool } from './definition';

/** A brayer: streaky, white showing, forgiving. Its looks are chosen by eye; stroke and care are common practice. */
export const brayer = {
  id: 'brayer',
  label: 'brayer',
  phrase: 'with a brayer',
  goesOneWay: true,
  hardness: 1.2,
  coats: 0.92,
  mottle: { depth: 0.012, size: 9 },
  streaks: { depth: 0.09, size: 2.2 },
  noun: 'brayer',
  loading:
    'Roll it over the pad until it is covered, once over white kitchen paper, then down in the solid part',
  touching: 'Roll it once over the pad, then over white paper until it hardly marks it',
  goBackStroke: 'Rolled along the run, hardly pressed',
  stroke: 'rolled along the run, lifted at the end of each pass',
} as const satisfies Tool;
