import { BANDS, type Spectrum } from '../colour/spectrum';
import { MODES, nmOf, spectrumModes } from './modes';

/**
 * What panels that were made have taught of an ink, against what its swatch and its kind say. Each value comes with how
 * far to trust it; together they give the film.
 */
export interface TaughtInk {
  /** How much of it this maker's hand lays in a coat, against its swatch, above 0. */
  readonly strength: number;
  /** S at 550 nm as a multiple of what is usual for the ink, above 0. */
  readonly scattering: number;
  /** n of (550 nm/λ)^n: how much more of short waves it scatters. */
  readonly slope: number;
  /** How far its hidden spectrum lies from the recovered one, a coefficient for each of `spectrumModes`. */
  readonly modes: readonly number[];
  /**
   * How sure all that is: covariances of its parameters (`keep/learn/inkParams.ts`) in the order strength, scattering, slope,
   * modes, each in standard deviations of what was thought before; the lower triangle, row by row.
   */
  readonly doubt: readonly number[];
  /** From how many panels. */
  readonly panels: number;
  /** When it was learned, ISO 8601. */
  readonly at: string;
  /** Kept, but switched off: the ink counts as its swatch says. */
  readonly off?: boolean;
}

/** Numbers of `doubt`: a triangle of three parameters and the modes. */
export const DOUBTS = ((3 + MODES) * (4 + MODES)) / 2;

/** What the values may be in a file. */
export const TAUGHT_LIMITS = {
  strength: { min: 0.05, max: 20 },
  scattering: { min: 0.02, max: 50 },
  slope: { min: -4, max: 6 },
  mode: { min: -8, max: 8 },
  doubt: { min: -2, max: 2 },
  panels: { min: 0, max: 100_000 },
} as const;

/** Where the slope turns, nm. */
const PIVOT = 550;

/** S of one coat as strong as the swatch, per band. */
export const taughtScattering = (
  usual: number,
  { scattering, slope }: Pick<TaughtInk, 'scattering' | 'slope'>,
): Spectrum => slopedScattering(usual * scattering, slope);

/** S that is `at550` at 550 nm and goes with (550 nm/λ)^slope. */
export const slopedScattering = (at550: number, slope: number): Spectrum =>
  Float64Array.from({ length: BANDS }, (_, band) => at550 * (PIVOT / nmOf(band)) ** slope);

/** A recovered reflectance with the modes' difference added in logit space; stays inside 0…1. */
export function shiftedSpectrum(reflectance: Spectrum, coefficients: readonly number[]): Spectrum {
  const modes = spectrumModes();
  return reflectance.map((value, band) => {
    let logit = Math.log(value / (1 - value));
    for (let mode = 0; mode < MODES; mode++) logit += (coefficients[mode] ?? 0) * (modes[mode]?.[band] ?? 0);
    return 1 / (1 + Math.exp(-logit));
  });
}

/** Changes with whatever of it decides a film. */
export const taughtSign = (taught: TaughtInk | undefined): string =>
  taught ? [taught.scattering, taught.slope, ...taught.modes].join(' ') : '';
