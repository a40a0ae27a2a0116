/** What a bordered system is solved for. */
export interface BorderedSolution {
  /** The n unknowns of the banded part. */
  readonly step: Float64Array;
  /** The three unknowns of the border. */
  readonly multiplier: readonly [number, number, number];
}

/**
 * Solves
 *
 *     A·step + Bᵀ·multiplier = gradient
 *     B·step                 = −miss
 *
 * where A is tridiagonal, n × n, with one number all along both off-diagonals, and B has three rows of n.
 * One forward and back sweep each for the gradient and the three rows, then a 3 × 3 system: O(n).
 *
 * @returns undefined when a pivot vanishes
 */
export function solveBordered(
  diagonal: Float64Array,
  offDiagonal: number,
  border: readonly [Float64Array, Float64Array, Float64Array],
  gradient: Float64Array,
  miss: readonly [number, number, number],
): BorderedSolution | undefined {
  const sweep = factor(diagonal, offDiagonal);
  if (!sweep) return undefined;
  const free = sweep(gradient);
  const [b0, b1, b2] = border;
  const [s0, s1, s2] = [sweep(b0), sweep(b1), sweep(b2)];
  const multiplier = solveThree(
    [
      [dot(b0, s0), dot(b0, s1), dot(b0, s2)],
      [dot(b1, s0), dot(b1, s1), dot(b1, s2)],
      [dot(b2, s0), dot(b2, s1), dot(b2, s2)],
    ],
    [dot(b0, free) + miss[0], dot(b1, free) + miss[1], dot(b2, free) + miss[2]],
  );
  if (!multiplier) return undefined;
  const [m0, m1, m2] = multiplier;
  const step = free.map((value, i) => value - m0 * s0[i] - m1 * s1[i] - m2 * s2[i]);
  return { step, multiplier };
}

const dot = (p: Float64Array, q: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < p.length; i++) sum += p[i] * q[i];
  return sum;
};

/** Thomas elimination once; the function it returns solves for any right-hand side. */
function factor(diagonal: Float64Array, off: number): ((rhs: Float64Array) => Float64Array) | undefined {
  const n = diagonal.length;
  const ratio = new Float64Array(n);
  const pivot = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const p = diagonal[i] - (i > 0 ? off * ratio[i - 1] : 0);
    if (Math.abs(p) < 1e-14) return undefined;
    pivot[i] = p;
    ratio[i] = off / p;
  }
  return (rhs) => {
    const x = new Float64Array(n);
    for (let i = 0; i < n; i++) x[i] = (rhs[i] - (i > 0 ? off * x[i - 1] : 0)) / pivot[i];
    for (let i = n - 2; i >= 0; i--) x[i] = x[i] - ratio[i] * x[i + 1];
    return x;
  };
}

type Three = readonly [number, number, number];

/** Cramer's rule for three equations. */
function solveThree(
  [[a, b, c], [d, e, f], [g, h, i]]: readonly [Three, Three, Three],
  [p, q, r]: Three,
): [number, number, number] | undefined {
  const determinant = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  if (Math.abs(determinant) < 1e-300 || !Number.isFinite(determinant)) return undefined;
  return [
    (p * (e * i - f * h) - b * (q * i - f * r) + c * (q * h - e * r)) / determinant,
    (a * (q * i - f * r) - p * (d * i - f * g) + c * (d * r - q * g)) / determinant,
    (a * (e * r - q * h) - b * (d * r - q * g) + p * (d * h - e * g)) / determinant,
  ];
}
