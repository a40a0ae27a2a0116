import type { Tool } from './definition';

/** A foam pad: takes up more ink, and its corner prints a hard line. Its looks are chosen by eye; stroke and care are common practice. */
export const foam = {
  id: 'foam',
  label: 'foam pad',
  phrase: 'with a foam pad',
  prints: 'foam prints its corner',
  hardness: 1.7,
  coats: 1.1,
  wets: 1.4,
  takes: 1,
  look: {
    marks: [
      { shape: 'dab', radius: [8, 14], overlap: 6, soft: 0.6, spread: 0.03 },
      { shape: 'block', radius: [8, 12], overlap: 2.5, soft: 0.07, spread: 0.02 },
    ],
    uneven: [{ from: 0.22, to: 0.7, falls: 0.2, spread: 0.014 }],
    hand: 0.02,
  },
  noun: 'foam pad',
  loading: 'Press the foam into the pad, tap off on white kitchen paper, set it down flat in the solid part',
  touching: 'Touch it to the pad and dab off until it hardly marks white paper',
  goBackStroke: 'Small circles with the foam flat, light hand',
  stroke: 'circles with the foam flat: its corner prints a hard line',
} as const satisfies Tool;
