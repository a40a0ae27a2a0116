import { BANDS, FIRST_NM, type Spectrum, STEP_NM } from './spectrum';

/** Reflectances at wavelengths of one's own, nm, rising. */
export interface ReadSpectrum {
  readonly nm: readonly number[];
  readonly values: readonly number[];
}

/**
 * A read spectrum in our bands: a straight line between neighbours, and beyond its ends the last value, as CIE 15 allows for
 * what is not measured.
 */
export function inBands({ nm, values }: ReadSpectrum): Spectrum {
  let at = 0;
  return Float64Array.from({ length: BANDS }, (_, band) => {
    const wanted = FIRST_NM + band * STEP_NM;
    while (at + 1 < nm.length && (nm[at + 1] ?? 0) < wanted) at++;
    const [from, to] = [nm[at] ?? wanted, nm[at + 1] ?? wanted];
    const [low, high] = [values[at] ?? 0, values[at + 1] ?? values[at] ?? 0];
    const part = to > from ? Math.min(Math.max((wanted - from) / (to - from), 0), 1) : 0;
    return low + part * (high - low);
  });
}
