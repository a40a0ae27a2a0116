import { BRUSH_WORDS, type Tool } from './definition';
import { circlesOf } from './marks';

/** The pad straight to the card, then blended out: the darkest. Its looks are chosen by eye; stroke and care are common practice. */
export const pad = {
  id: 'pad',
  label: 'pad to card',
  phrase: 'with the ink pad itself',
  prints: 'the pad prints its edge',
  hardness: 1.35,
  coats: 1.35,
  wets: 1.9,
  takes: 1,
  look: {
    marks: [
      ...circlesOf(8).marks,
      { shape: 'block', radius: [9, 14], overlap: 3, soft: 0.12, spread: 0.035 },
    ],
    uneven: [{ from: 0.3, to: 2.5, falls: 0.8, spread: 0.025 }],
    hand: 0.02,
  },
  noun: 'brush',
  ...BRUSH_WORDS,
  loading:
    'Dab the pad straight on the card where it is to be solid, then blend it out at once with the brush of its colour',
  loadingRubber:
    'Dab the pad straight on the rubber where it is to be solid, then blend it out at once with the brush of its colour',
} as const satisfies Tool;
