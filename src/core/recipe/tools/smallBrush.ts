import { BRUSH_WORDS, NO_STREAKS, type Tool } from './definition';

/** The small brush, for corners and narrow joints. Its looks are chosen by eye; stroke and care are common practice. */
export const smallBrush = {
  id: 'smallBrush',
  label: 'small brush',
  phrase: 'with a small brush',
  hardness: 1.25,
  coats: 1,
  mottle: { depth: 0.02, size: 4.5 },
  streaks: NO_STREAKS,
  noun: 'small brush',
  ...BRUSH_WORDS,
} as const satisfies Tool;
