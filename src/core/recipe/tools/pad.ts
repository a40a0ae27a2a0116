import { BRUSH_WORDS, NO_STREAKS, type Tool } from './definition';

/** The pad straight to the card, then blended out: the darkest. Its looks are chosen by eye; stroke and care are common practice. */
export const pad = {
  id: 'pad',
  label: 'pad to card',
  phrase: 'with the ink pad itself',
  hardness: 1.35,
  coats: 1.35,
  mottle: { depth: 0.045, size: 7 },
  streaks: NO_STREAKS,
  noun: 'brush',
  ...BRUSH_WORDS,
  loading:
    'Dab the pad straight on the card where it is to be solid, then blend it out at once with the brush of its colour',
} as const satisfies Tool;
