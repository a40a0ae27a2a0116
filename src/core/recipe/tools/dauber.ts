import type { Tool } from './definition';

/** A finger dauber, level and from off the edge. Its looks are chosen by eye; stroke and care are common practice. */
export const dauber = {
  id: 'dauber',
  label: 'finger dauber',
  phrase: 'with a finger dauber',
  prints: 'a dauber prints its round edge',
  hardness: 1.45,
  coats: 1.05,
  wets: 1.2,
  takes: 1.25,
  look: {
    marks: [{ shape: 'dab', radius: [6, 9], overlap: 9, soft: 0.45, tilted: 5, spread: 0.05 }],
    uneven: [{ from: 0.22, to: 0.85, falls: 0.2, spread: 0.018 }],
    hand: 0.02,
  },
  noun: 'dauber',
  countedAs: 'daubers',
  loading: 'Press it into the pad, tap off on white kitchen paper, come down level in the solid part',
  touching: 'Touch it to the pad and dab off until it hardly marks white paper',
  goBackStroke: 'Small circles with the dauber level, light hand',
  stroke: 'small circles',
} as const satisfies Tool;
