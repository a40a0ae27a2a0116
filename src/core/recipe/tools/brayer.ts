import type { Tool } from './definition';

/** A brayer: streaky, white showing, forgiving. Its looks are chosen by eye; stroke and care are common practice. */
export const brayer = {
  id: 'brayer',
  label: 'brayer',
  hardness: 1.2,
  coats: 0.92,
  mottle: { depth: 0.012, size: 9 },
  streaks: { depth: 0.09, size: 2.2 },
  noun: 'brayer',
  stroke: 'rolled along the run, lifted at the end of each pass',
  after: 'Mist it lightly and roll once more: the streaks smooth out.',
} as const satisfies Tool;
