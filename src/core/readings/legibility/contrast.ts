/**
 * Contrast ratio of two luminances, 1…21. The white of a screen has luminance 1.
 * Source: WCAG 2.2, definition of contrast ratio.
 */
export const contrastOf = (one: number, other: number): number =>
  (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);

/** A strip whose lightness is so near to the ground's, as contrast, at its usual place, needs a shadow to stand off. By eye. */
const STANDS_OFF = 1.6;

/** Whether a strip stands off what lies under it, by the contrasts along it; nothing is said of none. */
export function standsOff(contrasts: readonly number[]): boolean {
  const sorted = contrasts.toSorted((p, q) => p - q);
  const usual = sorted[sorted.length >> 1];
  return usual === undefined || usual >= STANDS_OFF;
}

/** What is to be read, and the contrast it needs. Source: WCAG 2.2, 1.4.3 for lettering, 1.4.11 for bold shapes. */
export const NEEDS = { lettering: 4.5, 'bold shape': 3 } as const;
export type Need = keyof typeof NEEDS;
