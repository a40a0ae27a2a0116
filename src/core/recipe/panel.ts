import type { Size } from '../base/geometry';
import { type Millimetres, MM_AN_INCH } from '../base/length';
import { isoASize } from '../materials/card/paper';

/** The piece of card that is blended; upright or lying, measured as it lies on the mat. */
export type Panel = Size;

/** Shortest and longest side a panel may have, in mm. */
export const PANEL_LIMITS = { min: 30, max: 420 } as const;

const inches = (width: number, height: number): Panel => ({
  width: width * MM_AN_INCH,
  height: height * MM_AN_INCH,
});
const [a6Width, a6Height] = isoASize(6);

/** The front of a US folded card, 4 1/4 × 5 1/2 in: the panel a new recipe starts on. */
export const USUAL_PANEL = inches(4.25, 5.5);

/** Sizes in common use. */
export const PANEL_SIZES: readonly { readonly label: string; readonly panel: Panel }[] = [
  { label: '4¼ × 5½ inch front', panel: USUAL_PANEL },
  { label: '4 × 5¼ in, ⅛ mat', panel: inches(4, 5.25) },
  { label: '3½ × 4¾ in, ⅜ mat', panel: inches(3.5, 4.75) },
  { label: 'A6, 105 × 148 mm', panel: { width: a6Width, height: a6Height } },
  { label: '12 × 12 cm square', panel: { width: 120, height: 120 } },
];

/** Two sides this near are one: no rule is finer. */
const SAME: Millimetres = 0.01;

export const samePanel = (p: Panel, q: Panel): boolean =>
  Math.abs(p.width - q.width) < SAME && Math.abs(p.height - q.height) < SAME;
