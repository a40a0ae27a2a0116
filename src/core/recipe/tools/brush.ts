import { BRUSH_WORDS, NO_STREAKS, type Tool } from './definition';

/** The large blending brush: the even coat all others are measured by. Its looks are chosen by eye; stroke and care are common practice. */
export const brush = {
  id: 'brush',
  label: 'blending brush',
  phrase: 'with a blending brush',
  hardness: 1,
  coats: 1,
  mottle: { depth: 0.012, size: 9 },
  streaks: NO_STREAKS,
  noun: 'brush',
  ...BRUSH_WORDS,
} as const satisfies Tool;
