import { BRUSH_WORDS, type Tool } from './definition';
import { circlesOf } from './marks';

/** The large blending brush: the even coat all others are measured by. Its looks are chosen by eye; stroke and care are common practice. */
export const brush = {
  id: 'brush',
  label: 'blending brush',
  phrase: 'with a blending brush',
  hardness: 1,
  coats: 1,
  wets: 1,
  takes: 1,
  look: { ...circlesOf(8), uneven: [], hand: 0.01 },
  noun: 'brush',
  ...BRUSH_WORDS,
} as const satisfies Tool;
