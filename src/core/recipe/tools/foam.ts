import { NO_STREAKS, type Tool } from './definition';

/** A foam pad: takes up more ink, and its corner prints a hard line. Its looks are chosen by eye; stroke and care are common practice. */
export const foam = {
  id: 'foam',
  label: 'foam pad',
  hardness: 1.7,
  coats: 1.1,
  mottle: { depth: 0.03, size: 12 },
  streaks: NO_STREAKS,
  noun: 'foam pad',
  stroke: 'circles with the foam flat: its corner prints a hard line',
} as const satisfies Tool;
