const PER_UNIT = 256;
const LARGEST = 64;

const exact = (u: number): number => {
  const q = Math.sqrt(u);
  return q < 1e-6 ? 1 : q / Math.tanh(q);
};
/** q·coth q at each 256th of u, from 0 to a little above 64. */
export const FILM_CURVE: Float64Array = Float64Array.from({ length: LARGEST * PER_UNIT + 2 }, (_, i) =>
  exact(i / PER_UNIT),
);

/**
 * q·coth q as a function of u = q², the one transcendental part of Kubelka's formula: with q² = K(K + 2S),
 *
 *     R = (S − Rg(K + S) + Rg·q·coth q) / (K + S − Rg·S + q·coth q)
 *
 * for a film that scatters or not. It is smooth in u, so a straight line between table entries is within 1e-7, with no
 * root and no exponential, for the millions of mixtures a shelf's joints ask for. From u = 64 on the hyperbolic
 * cotangent is 1 to within 3e-7.
 *
 * @param u at least 0
 */
export function filmCurve(u: number): number {
  if (u >= LARGEST) return Math.sqrt(u);
  const at = u * PER_UNIT;
  const low = at | 0;
  const from = FILM_CURVE[low];
  return from + (at - low) * (FILM_CURVE[low + 1] - from);
}
