import type { Millimetres } from './length';

/**
 * How uneven something is, as a scan would show it: in which wavelengths, how fast it falls toward the finer ones, and
 * how far it spreads.
 */
export interface Unevenness {
  /** The finest and the coarsest wavelength. */
  readonly from: Millimetres;
  readonly to: Millimetres;
  /** The exponent over frequency by which amplitude falls: 0 is white, 1 the same in each octave. */
  readonly falls: number;
  /** Standard deviation, in the unit of what is uneven: a part of a coat, or mm of height. */
  readonly spread: number;
}
