import type { Lab } from './lab';

/** Indices of colours from the palest (highest L*) to the darkest; equals keep their order. */
export const paleToDark = (colours: readonly Lab[]): number[] =>
  colours.map((_, i) => i).sort((i, j) => (colours[j]?.l ?? 0) - (colours[i]?.l ?? 0));
