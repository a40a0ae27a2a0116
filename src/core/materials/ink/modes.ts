import { memo } from '../../base/memo';
import { BANDS, FIRST_NM, type Spectrum, STEP_NM } from '../colour/spectrum';

/** How many ways a hidden spectrum may differ from the recovered one; three give false certainty. */
export const MODES = 8;
/** Variance of the difference in one band, in logit space, and how far bands go together, nm; tried on hidden inks. */
const VARIANCE = 1.6;
const REACH = 40;
/** Rounds of the iteration; the last mode settles to 1e-9 well before. */
const ROUNDS = 400;

/**
 * The smooth ways in which spectra of one colour differ, strongest first: leading eigenvectors of the covariance
 * 1.6·exp(−½(d/40 nm)²) between bands, each times the root of its eigenvalue, so that a coefficient of one is one
 * standard deviation. Found once, by orthogonal iteration (G. H. Golub, C. F. Van Loan, Matrix Computations, §8.2).
 */
export const spectrumModes = memo(1, leadingModes);

function leadingModes(): readonly Spectrum[] {
  const covariance = Array.from({ length: BANDS }, (_, i) =>
    Float64Array.from(
      { length: BANDS },
      (_, j) => VARIANCE * Math.exp(-0.5 * (((i - j) * STEP_NM) / REACH) ** 2),
    ),
  );
  // Cosines of rising frequency are near to them already, and have none of the wanted ones missing.
  let modes: readonly Spectrum[] = Array.from({ length: MODES }, (_, mode) =>
    Float64Array.from({ length: BANDS }, (_, band) => Math.cos((Math.PI * mode * (band + 0.5)) / BANDS)),
  );
  let sizes: readonly number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const grown: readonly Spectrum[] = modes.map((mode) =>
      Float64Array.from(covariance, (row) => dot(row, mode)),
    );
    const upright: Spectrum[] = [];
    sizes = grown.map((vector) => {
      for (const earlier of upright) subtract(vector, earlier, dot(vector, earlier));
      const size = Math.sqrt(dot(vector, vector));
      upright.push(vector.map((value) => value / size));
      return size;
    });
    modes = upright;
  }
  return modes.map((mode, i) => mode.map((value) => value * Math.sqrt(sizes[i] as number)));
}

function dot(p: Spectrum, q: Spectrum): number {
  let sum = 0;
  for (let i = 0; i < BANDS; i++) sum += p[i] * q[i];
  return sum;
}

function subtract(from: Spectrum, vector: Spectrum, times: number): void {
  for (let i = 0; i < BANDS; i++) from[i] = from[i] - times * vector[i];
}

/** Wavelength of a band, nm. */
export const nmOf = (band: number): number => FIRST_NM + band * STEP_NM;
