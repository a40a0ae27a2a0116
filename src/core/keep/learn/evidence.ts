import type { Lab } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import type { Laid } from '../../materials/ink/laid';

/** What was read at one place, and what lies there. */
export interface Reading {
  /** The lowest first; the inks of one layer were laid wet into each other, in coats as a sheet counts them. */
  readonly layers: readonly (readonly Laid[])[];
  /** Reflectance of what they lie on. */
  readonly ground: Spectrum;
  /** Dried. */
  readonly lab: Lab;
  /** How far the reading is usually off: the root mean square of its ΔE00, above 0. */
  readonly noise: number;
}

/** The readings of one panel: they share the hand that laid it. */
export interface PanelEvidence {
  readonly readings: readonly Reading[];
}
