import type { Mood } from './mood';

/** Moods and occasions the application comes with. Limits are by eye over contact sheets; "for a man" is a convention of the trade. */
export const OWN_MOODS: readonly Mood[] = [
  {
    id: 'bright',
    name: 'Bright',
    limits: {
      dullest: { min: 40 },
      liveliness: { min: 48 },
      lightness: { min: 48 },
      darkest: { min: 40 },
      contrast: { max: 45 },
    },
    hues: [],
    needs: [],
    drab: false,
  },
  {
    id: 'muted',
    name: 'Muted',
    limits: {
      loudest: { max: 32 },
      dullest: { max: 20 },
      liveliness: { max: 24 },
      lightness: { min: 42, max: 70 },
      contrast: { min: 10, max: 56 },
    },
    hues: [],
    needs: [],
    drab: true,
  },
  {
    id: 'for-a-man',
    name: 'For a man',
    limits: {
      strongest: { max: 46 },
      chroma: { max: 38 },
      lightness: { min: 28, max: 54 },
      darkest: { max: 36 },
      contrast: { min: 15 },
    },
    hues: ['orange', 'yellow', 'yellow green', 'green', 'sea green', 'turquoise', 'greenish blue', 'blue'],
    needs: [],
    drab: true,
  },
  {
    id: 'spring',
    name: 'Springtime',
    limits: {
      darkest: { min: 64 },
      lightness: { min: 71 },
      dullest: { min: 24 },
      liveliness: { max: 55 },
      contrast: { max: 24 },
    },
    hues: [],
    needs: [
      { hues: ['yellow green', 'green', 'sea green'], chroma: 26, count: 1 },
      { hues: ['pink', 'purple', 'yellow'], chroma: 20, count: 1 },
    ],
    drab: false,
  },
  {
    id: 'autumn',
    name: 'Autumn',
    limits: {
      chroma: { min: 34 },
      lightness: { min: 34, max: 62 },
      palest: { max: 80 },
      contrast: { min: 15 },
      warmth: { min: 75 },
    },
    hues: ['red', 'orange', 'yellow', 'yellow green'],
    needs: [{ hues: ['red', 'orange', 'yellow'], chroma: 0, count: 2 }],
    drab: true,
  },
  {
    id: 'night',
    name: 'Night',
    limits: {
      darkest: { max: 28 },
      lightness: { max: 42 },
      palest: { max: 60 },
      contrast: { min: 10 },
    },
    hues: ['turquoise', 'greenish blue', 'blue', 'violet', 'purple'],
    needs: [{ hues: ['greenish blue', 'blue', 'violet'], chroma: 25, count: 1 }],
    drab: true,
  },
];
