import { deltaE00 } from '../../materials/colour/difference';
import type { Lab } from '../../materials/colour/lab';
import { factorise, square } from './cholesky';

/** Far enough for digits to be left, near enough for CIEDE2000 to be a quadratic form. */
const STEP = 0.1;

/**
 * A small difference from a colour in three parts whose squares add up to that of ΔE00: its lightness, chroma and hue
 * weighted as CIEDE2000 does there. Upper triangle, row by row.
 */
export function lchWeights(at: Lab): Float64Array {
  const square00 = (...[l, a, b]: readonly [number, number, number]): number =>
    deltaE00(at, { l: at.l + STEP * l, a: at.a + STEP * a, b: at.b + STEP * b }) ** 2 / STEP ** 2;
  const [ll, aa, bb] = [square00(1, 0, 0), square00(0, 1, 0), square00(0, 0, 1)];
  const metric = square(3);
  metric.at.set([ll, 0, 0, (square00(1, 1, 0) - ll - aa) / 2, aa, 0]);
  metric.at.set([(square00(1, 0, 1) - ll - bb) / 2, (square00(0, 1, 1) - aa - bb) / 2, bb], 6);
  factorise(metric);
  const [a11 = 0, , , a21 = 0, a22 = 0, , a31 = 0, a32 = 0, a33 = 0] = metric.at;
  return Float64Array.of(a11, a21, a31, 0, a22, a32, 0, 0, a33);
}

/** Degrees of freedom of the loss: so few that a misread hardly pulls. */
const FREEDOM = 2;

/** Loss of three residuals whose squares sum to this: Student's t, minus its natural logarithm. */
export const lossOf = (squares: number): number => ((FREEDOM + 3) / 2) * Math.log(1 + squares / FREEDOM);
/** How much such a reading counts, against one a usual distance off. */
export const weightOf = (squares: number): number => (FREEDOM + 3) / (FREEDOM + squares);

/** The same for a reading so far off, both in ΔE00, against one as far off as such a reading usually is: 1 for that. */
export const countsFor = (off: number, noise: number): number =>
  weightOf(3 * (off / noise) ** 2) / weightOf(3);

/** One of three weighted differences. */
export const weighed = (weights: Float64Array, row: number, partOf: (i: number) => number): number =>
  (weights[3 * row] ?? 0) * partOf(0) +
  (weights[3 * row + 1] ?? 0) * partOf(1) +
  (weights[3 * row + 2] ?? 0) * partOf(2);

/** Slopes of L*, a*, b* as slopes of the weighted differences. */
export const turned = (weights: Float64Array, slopes: readonly Float64Array[]): Float64Array[] =>
  [0, 1, 2].map((row) =>
    Float64Array.from(slopes[0] ?? [], (_, at) => weighed(weights, row, (i) => slopes[i]?.[at] ?? 0)),
  );

/** A noise is that of all three parts together. */
export const weightsFor = (lab: Lab, noise: number): Float64Array =>
  lchWeights(lab).map((value) => (value * Math.sqrt(3)) / noise);
