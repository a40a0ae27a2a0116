import { factorise, type Square, solve, solveLower, square } from './cholesky';
import { INK_PARAMS } from './inkParams';

/** What one reading says: its residuals, and how they answer to the inks' and the panel's unknowns. */
export interface Row {
  /** How much it counts. */
  readonly weight: number;
  readonly inks: readonly number[];
  readonly residuals: ArrayLike<number>;
  /** A row a residual. */
  readonly byInks: readonly Float64Array[];
  readonly byHand: readonly Float64Array[];
}

/** A panel whose hand was found for itself: what remains is for the inks. */
interface Eliminated {
  readonly factor: Square;
  readonly inks: readonly number[];
  /** The panel's unknowns against the inks', row by row. */
  readonly across: Float64Array;
  readonly wanted: Float64Array;
}

/**
 * One Gauss–Newton step: the equations of all inks together, with each panel's own unknowns eliminated first (a Schur
 * complement), so that a hundred panels cost no more than their readings.
 *
 * @param damping  added to the diagonal, on top of the unit prior of every unknown
 */
// biome-ignore lint/complexity/noExcessiveLinesPerFunction: one matrix, and all that is added to it and asked of it.
export function normalEquations(inks: number, damping: number) {
  const size = inks * INK_PARAMS;
  const matrix = square(size);
  const wanted = new Float64Array(size);
  for (let i = 0; i < size; i++) matrix.at[i * size + i] = 1 + damping;
  const panels: Eliminated[] = [];

  /** @param params  where the inks' unknowns stand */
  const start = (params: Float64Array): void => {
    for (let i = 0; i < size; i++) wanted[i] = -params[i];
  };

  const addInks = ({ inks: places, residuals, byInks, weight }: Row): void => {
    for (let c = 0; c < 3; c++) {
      const row = byInks[c];
      const residual = residuals[c];
      for (let p = 0; p < row.length; p++) {
        const value = weight * row[p];
        if (value === 0) continue;
        const at = globalPlace(places, p);
        wanted[at] = wanted[at] - value * residual;
        for (let q = 0; q < row.length; q++) {
          const other = globalPlace(places, q);
          if (other <= at) matrix.at[at * size + other] = matrix.at[at * size + other] + value * row[q];
        }
      }
    }
  };

  /** @param hand  where the panel's unknowns stand, and of which inks its loads are */
  const addPanel = (rows: readonly Row[], places: readonly number[], hand: Float64Array): void => {
    const m = hand.length;
    const width = places.length * INK_PARAMS;
    const own = square(m);
    const across = new Float64Array(m * width);
    const ownWanted = new Float64Array(m);
    for (let i = 0; i < m; i++) {
      own.at[i * m + i] = 1 + damping;
      ownWanted[i] = -hand[i];
    }
    for (const row of rows) {
      addInks(row);
      const offsets = row.inks.map((ink) => INK_PARAMS * places.indexOf(ink));
      for (let c = 0; c < 3; c++) {
        const byHand = row.byHand[c];
        const byInks = row.byInks[c];
        for (let i = 0; i < m; i++) {
          const value = row.weight * byHand[i];
          if (value === 0) continue;
          ownWanted[i] = ownWanted[i] - value * row.residuals[c];
          for (let j = 0; j <= i; j++) own.at[i * m + j] = own.at[i * m + j] + value * byHand[j];
          for (let p = 0; p < byInks.length; p++) {
            const column = offsets[Math.floor(p / INK_PARAMS)] + (p % INK_PARAMS);
            across[i * width + column] = across[i * width + column] + value * byInks[p];
          }
        }
      }
    }
    eliminate(own, across, ownWanted, places);
  };

  function eliminate(own: Square, across: Float64Array, ownWanted: Float64Array, places: readonly number[]) {
    const m = own.size;
    const width = places.length * INK_PARAMS;
    factorise(own);
    panels.push({ factor: own, inks: places, across, wanted: ownWanted });
    const halfWanted = ownWanted.slice();
    solveLower(own, halfWanted);
    const half = new Float64Array(m * width);
    const column = new Float64Array(m);
    for (let p = 0; p < width; p++) {
      for (let i = 0; i < m; i++) column[i] = across[i * width + p];
      solveLower(own, column);
      for (let i = 0; i < m; i++) half[i * width + p] = column[i];
    }
    for (let p = 0; p < width; p++) {
      const at = globalPlace(places, p);
      for (let i = 0; i < m; i++) wanted[at] = wanted[at] - half[i * width + p] * halfWanted[i];
      for (let q = 0; q < width; q++) {
        const other = globalPlace(places, q);
        if (other > at) continue;
        let sum = 0;
        for (let i = 0; i < m; i++) sum += half[i * width + p] * half[i * width + q];
        matrix.at[at * size + other] = matrix.at[at * size + other] - sum;
      }
    }
  }

  /** The step of the inks' unknowns, and of each panel's in the order they were added. */
  const step = (): { readonly inks: Float64Array; readonly hands: readonly Float64Array[] } => {
    factorise(matrix);
    const byInks = wanted.slice();
    solve(matrix, byInks);
    const hands = panels.map(({ factor, inks: places, across, wanted: ownWanted }) => {
      const width = places.length * INK_PARAMS;
      const hand = ownWanted.slice();
      for (let i = 0; i < hand.length; i++)
        for (let p = 0; p < width; p++)
          hand[i] = hand[i] - across[i * width + p] * byInks[globalPlace(places, p)];
      solve(factor, hand);
      return hand;
    });
    return { inks: byInks, hands };
  };

  /** The factor of the inks' precision, for what is said of how sure they are. */
  const precision = (): Square => {
    factorise(matrix);
    return matrix;
  };

  return { start, addInks, addPanel, step, precision };
}

/** The lower triangle of one ink's covariance, row by row: what a file keeps of how sure it is. */
export function doubtOf(precision: Square, ink: number): number[] {
  const own = Array.from({ length: INK_PARAMS }, (_, i) => {
    const one = new Float64Array(precision.size);
    one[ink * INK_PARAMS + i] = 1;
    return one;
  });
  return covariance(precision, own).flatMap((row, i) => row.slice(0, i + 1));
}

const globalPlace = (places: readonly number[], p: number): number =>
  places[Math.floor(p / INK_PARAMS)] * INK_PARAMS + (p % INK_PARAMS);

/** Variances and covariances of linear functions of the inks' unknowns, given by their slopes. */
export function covariance(precision: Square, functions: readonly Float64Array[]): number[][] {
  const halves = functions.map((slopes) => {
    const half = slopes.slice();
    solveLower(precision, half);
    return half;
  });
  return halves.map((p) => halves.map((q) => p.reduce((sum, value, i) => sum + value * q[i], 0)));
}
