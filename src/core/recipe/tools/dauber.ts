import { NO_STREAKS, type Tool } from './definition';

/** A finger dauber, level and from off the edge. Its looks are chosen by eye; stroke and care are common practice. */
export const dauber = {
  id: 'dauber',
  label: 'finger dauber',
  phrase: 'with a finger dauber',
  hardness: 1.45,
  coats: 1.05,
  mottle: { depth: 0.035, size: 6 },
  streaks: NO_STREAKS,
  noun: 'dauber',
  countedAs: 'daubers',
  loading: 'Press it into the pad, tap off on white kitchen paper, come down level in the solid part',
  touching: 'Touch it to the pad and dab off until it hardly marks white paper',
  goBackStroke: 'Small circles with the dauber level, light hand',
  stroke: 'small circles',
} as const satisfies Tool;
