import { NO_STREAKS, type Tool } from './definition';

/** A finger dauber, level and from off the edge. Its looks are chosen by eye; stroke and care are common practice. */
export const dauber = {
  id: 'dauber',
  label: 'finger dauber',
  hardness: 1.45,
  coats: 1.05,
  mottle: { depth: 0.035, size: 6 },
  streaks: NO_STREAKS,
  noun: 'dauber',
  stroke: 'small circles from off the edge, the dauber level',
} as const satisfies Tool;
