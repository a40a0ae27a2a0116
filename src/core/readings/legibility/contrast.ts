/**
 * Contrast ratio of two luminances, 1…21. The white of a screen has luminance 1.
 * Source: WCAG 2.2, definition of contrast ratio.
 */
export const contrastOf = (one: number, other: number): number =>
  (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);

/** What is to be read, and the contrast it needs. Source: WCAG 2.2, 1.4.3 for lettering, 1.4.11 for bold shapes. */
export const NEEDS = { lettering: 4.5, 'bold shape': 3 } as const;
export type Need = keyof typeof NEEDS;
