import { BRUSH_WORDS, type Tool } from './definition';
import { circlesOf } from './marks';

/** The small brush, for corners and narrow joints. Its looks are chosen by eye; stroke and care are common practice. */
export const smallBrush = {
  id: 'smallBrush',
  label: 'small brush',
  phrase: 'with a small brush',
  hardness: 1.25,
  coats: 1,
  wets: 1,
  takes: 1.5,
  look: { ...circlesOf(3.5, { spread: 1.2 }), uneven: [], hand: 0.012 },
  noun: 'small brush',
  ...BRUSH_WORDS,
} as const satisfies Tool;
