import type { Size } from '../base/geometry';
import { MM_AN_INCH } from '../base/length';

/** Points in a millimetre, as PDF measures. */
export const POINT = 72 / MM_AN_INCH;

/** What sheets are printed on. */
export type Paper = 'A4' | 'Letter';

/** Sizes in mm. Source: ISO 216; US Letter is 8½ × 11 in. */
export const PAPERS: Readonly<Record<Paper, Size>> = {
  A4: { width: 210, height: 297 },
  Letter: { width: 8.5 * MM_AN_INCH, height: 11 * MM_AN_INCH },
};
