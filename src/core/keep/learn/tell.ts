import { memoOf } from '../../base/memo';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { type Lab, labOfSpectrum } from '../../materials/colour/lab';
import { type Ink, isBare, SWATCH_GROUND, taughtOf } from '../../materials/ink/ink';
import { laidReflectance } from '../../materials/ink/laid';
import type { Reading } from './evidence';
import { type FilmSlopes, filmSlopes, INK_PARAMS, type InkPrior, inkPrior, paramsOf } from './inkParams';
import { doubtOf, normalEquations } from './normal';
import { layingOf, predict } from './predict';
import { lchWeights, turned } from './residual';
import { swatchWeights } from './swatch';

/** A place without its reading. */
export type Place = Pick<Reading, 'layers' | 'ground'>;

/** What the model itself gets wrong, ΔE00; tried on hidden inks. */
const MODEL = 0.2;

/** Dried colour of a place, as the inks are known now. */
export function placeColour({ layers, ground }: Place): Lab {
  let below = ground;
  for (const layer of layers) {
    const laid = layer.filter(({ ink, coats }) => coats > 0 && !isBare(ink));
    if (laid.length > 0) below = laidReflectance(laid, below);
  }
  return labOfSpectrum(below);
}

/**
 * How far a place's colour may lie from what is said of it: the ΔE00 within which two of three such places lie, laid by a
 * hand that is not known. It is wide for inks of which only the swatch is known, and narrows with what panels teach.
 */
export function trustOf({ layers, ground }: Place): number {
  const inks = [...new Map(layers.flat().map(({ ink }) => [ink.id, ink])).values()].filter(
    (ink) => !isBare(ink),
  );
  const known = inks.map(knownInk);
  const places = new Map(inks.map(({ id }, i) => [id, i]));
  const laying = layingOf(
    { layers: layers.map((layer) => layer.filter(({ ink }) => !isBare(ink))) },
    ({ id }) => places.get(id) ?? -1,
    ({ overWhite }) => labOfHex(overWhite).l,
  );
  const predicted = predict(laying, ground, (ink) => (known[ink] as KnownInk).slopes);
  const weights = lchWeights(predicted.lab);
  const byInks = turned(weights, predicted.byInks);
  const byHand = turned(weights, predicted.byHand);
  const parts = laying.inks.map((ink, i) => ({
    doubt: (known[ink] as KnownInk).doubt,
    rows: byInks.map((row) => row.subarray(i * INK_PARAMS, (i + 1) * INK_PARAMS)),
  }));
  const covariance = [0, 1, 2].map((p) =>
    [0, 1, 2].map(
      (q) =>
        dot(byHand[p], byHand[q]) +
        parts.reduce((sum, { doubt, rows }) => sum + between(doubt, rows[p], rows[q]), 0) +
        (p === q ? MODEL ** 2 / 3 : 0),
    ),
  );
  return twoThirds(covariance);
}

interface KnownInk {
  readonly slopes: FilmSlopes;
  /** Lower triangle of its covariance. */
  readonly doubt: readonly number[];
}

const knownInk = memoOf((ink: Ink): KnownInk => {
  const taught = taughtOf(ink);
  const prior = inkPrior(ink);
  const params = taught ? paramsOf(prior, taught) : new Float64Array(INK_PARAMS);
  return { slopes: filmSlopes(prior, params), doubt: taught?.doubt ?? swatchDoubt(prior) };
});

/** What is not known of an ink of which only the swatch is: what is thought of every ink, as far as its swatch lets it be. */
function swatchDoubt(prior: InkPrior): readonly number[] {
  const own = filmSlopes(prior, new Float64Array(INK_PARAMS), true);
  const laying = { layers: [[{ ink: 0, coats: 1, dark: 0 }]], inks: [0] };
  const { lab, byInks, byHand } = predict(laying, SWATCH_GROUND, () => own);
  const weights = swatchWeights(prior.ink, lab);
  const equations = normalEquations(1, 0);
  equations.addInks({
    weight: 1,
    inks: [0],
    residuals: [0, 0, 0],
    byInks: turned(weights, byInks),
    byHand: turned(weights, byHand),
  });
  return doubtOf(equations.precision(), 0);
}

const dot = (p: Float64Array | undefined, q: Float64Array | undefined): number =>
  p?.reduce((sum, value, i) => sum + value * (q?.[i] ?? 0), 0) ?? 0;

/** pᵀ·C·q for a covariance told by its lower triangle. */
function between(doubt: readonly number[], p: Float64Array | undefined, q: Float64Array | undefined): number {
  let sum = 0;
  let at = 0;
  for (let i = 0; i < INK_PARAMS; i++)
    for (let j = 0; j <= i; j++) {
      const [pi, pj, qi, qj] = [p?.[i] ?? 0, p?.[j] ?? 0, q?.[i] ?? 0, q?.[j] ?? 0];
      sum += (doubt[at++] ?? 0) * (i === j ? pi * qi : pi * qj + pj * qi);
    }
  return sum;
}

/**
 * Radius that holds 68 % of a normal error of this covariance: its squared length taken for a scaled χ² with the same
 * mean and variance. Sources: F. E. Satterthwaite, Biometrics 2 (1946) 110; E. B. Wilson, M. M. Hilferty, PNAS 17 (1931) 684.
 */
function twoThirds(covariance: readonly (readonly number[])[]): number {
  const mean = covariance.reduce((sum, row, i) => sum + (row[i] ?? 0), 0);
  const squares = covariance.flat().reduce((sum, value) => sum + value * value, 0);
  const freedom = mean ** 2 / squares;
  const spread = 2 / (9 * freedom);
  return Math.sqrt(mean * (1 - spread + Z68 * Math.sqrt(spread)) ** 3);
}
/** Below this a standard normal lies in 68 cases of 100. */
const Z68 = 0.4677;

/** ΔE00 of what is said of a place from what was read there. */
export const missOf = (reading: Reading): number => deltaE00(placeColour(reading), reading.lab);
