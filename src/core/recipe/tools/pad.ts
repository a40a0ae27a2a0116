import { NO_STREAKS, type Tool } from './definition';

/** The pad straight to the card, then blended out: the darkest. Its looks are chosen by eye; stroke and care are common practice. */
export const pad = {
  id: 'pad',
  label: 'pad to card',
  hardness: 1.35,
  coats: 1.35,
  mottle: { depth: 0.045, size: 7 },
  streaks: NO_STREAKS,
  noun: 'pad and brush',
  stroke: 'dabbed straight from the pad where it is solid, then blended out with a brush',
} as const satisfies Tool;
