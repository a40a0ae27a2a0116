import type { Tool } from './definition';

/** Dipped into pooled ink: pale and marbled. Its looks are chosen by eye; stroke and care are common practice. */
export const dip = {
  id: 'dip',
  label: 'dipped',
  phrase: 'dipped into the pool',
  hardness: 1,
  coats: 0.6,
  wets: 2.8,
  takes: 1,
  look: {
    marks: [{ shape: 'dab', radius: [3, 9], overlap: 3, soft: 0.25, spread: 0.06 }],
    uneven: [{ from: 0.5, to: 11, falls: 1.5, spread: 0.08 }],
    hand: 0.03,
  },
  noun: 'brayer',
  soaks: true,
  loading:
    'Pool it on the mat with four or five sprays of water, no wider than its solid part; lay that part of the card into it face down, the rest bowed clear of it, lift, let it run off, and again until it is covered; then pull it out',
  touching: 'Roll it once over the pad, then over white paper until it hardly marks it',
  stroke: 'with one roll of the brayer as far as it fades',
  goBackStroke:
    'Rolled to and fro to pull the two together, hardly pressed; stop while veins of each are left',
  wakeStroke: 'Rolled outward once, hardly pressed',
} as const satisfies Tool;
