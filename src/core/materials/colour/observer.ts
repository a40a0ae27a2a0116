import { BANDS, type Spectrum } from './spectrum';

/**
 * Colour-matching functions of the CIE 1931 2° standard observer, 380–730 nm in 10 nm steps.
 * Source: ISO/CIE 11664-1, table 1.
 */
// biome-ignore format: a table, a row for each of x̄, ȳ, z̄
export const OBSERVER = {
  x: [0.001368, 0.004243, 0.01431, 0.04351, 0.13438, 0.2839, 0.34828, 0.3362, 0.2908, 0.19536, 0.09564, 0.03201, 0.0049, 0.0093, 0.06327, 0.1655, 0.2904, 0.43345, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.85445, 0.6424, 0.4479, 0.2835, 0.1649, 0.0874, 0.04677, 0.0227, 0.011359, 0.00579, 0.002899, 0.00144],
  y: [0.000039, 0.00012, 0.000396, 0.00121, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.09098, 0.13902, 0.20802, 0.323, 0.503, 0.71, 0.862, 0.954, 0.99495, 0.995, 0.952, 0.87, 0.757, 0.631, 0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032, 0.017, 0.00821, 0.004102, 0.002091, 0.001047, 0.00052],
  z: [0.00645, 0.02005, 0.06785, 0.2074, 0.6456, 1.3856, 1.74706, 1.77211, 1.6692, 1.28764, 0.81295, 0.46518, 0.272, 0.1582, 0.07825, 0.04216, 0.0203, 0.00875, 0.0039, 0.0021, 0.00165, 0.0011, 0.0008, 0.00034, 0.00019, 0.00005, 0.00002, 0, 0, 0, 0, 0, 0, 0, 0, 0],
} as const;

/** Relative spectral power of CIE standard illuminant D65, 380–730 nm in 10 nm steps. Source: ISO/CIE 11664-2, table 1. */
// biome-ignore format: a table
export const D65 = [49.9755, 54.6482, 82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811, 109.354, 107.802, 104.79, 107.689, 104.405, 104.046, 100, 96.3342, 95.788, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886, 83.6992, 80.0268, 80.2146, 82.2778, 78.2842, 69.7213, 71.6091, 74.349, 61.604, 69.8856] as const;

/** Tristimulus values of the white point used throughout, Y = 1: CIE D65 at x 0.3127, y 0.3290, as in IEC 61966-2-1. */
export const WHITE = { x: 0.3127 / 0.329, y: 1, z: (1 - 0.3127 - 0.329) / 0.329 } as const;

/**
 * What each band adds to X, Y and Z for a reflectance of 1: observer times illuminant, each row scaled so that
 * the perfect white sums exactly to `WHITE` (the 10 nm sums miss it by less than 0.1 %).
 */
export const WEIGHTS = {
  x: weightsFor(OBSERVER.x, WHITE.x),
  y: weightsFor(OBSERVER.y, WHITE.y),
  z: weightsFor(OBSERVER.z, WHITE.z),
};

function weightsFor(matching: readonly number[], sum: number): Spectrum {
  const row = Float64Array.from({ length: BANDS }, (_, band) => (matching[band] ?? 0) * (D65[band] ?? 0));
  const scale = sum / row.reduce((total, value) => total + value, 0);
  return row.map((value) => value * scale);
}
