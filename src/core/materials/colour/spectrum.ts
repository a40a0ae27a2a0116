/** Lowest wavelength of the working range, in nm. */
export const FIRST_NM = 380;
/** Spacing of the bands, in nm. */
export const STEP_NM = 10;
/** Number of bands: 380, 390 … 730 nm. */
export const BANDS = 36;

/** One value a band, 380–730 nm in 10 nm steps. For a reflectance every value lies in 0…1. */
export type Spectrum = Float64Array;

/** A spectrum that has the same value in every band. */
export const flatSpectrum = (value: number): Spectrum => new Float64Array(BANDS).fill(value);

/** A spectrum from a function of the wavelength in nm. */
export const spectrumFrom = (valueAt: (nm: number) => number): Spectrum =>
  Float64Array.from({ length: BANDS }, (_, band) => valueAt(FIRST_NM + band * STEP_NM));
