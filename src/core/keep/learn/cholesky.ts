/** A symmetric matrix, row by row; only what stands on and below the diagonal is read. */
export interface Square {
  readonly size: number;
  readonly at: Float64Array;
}

export const square = (size: number): Square => ({ size, at: new Float64Array(size * size) });

/**
 * The lower triangle L with L·Lᵀ equal to a symmetric, positive definite matrix, written in its place.
 *
 * @throws RangeError when it is not positive definite
 * Source: G. H. Golub, C. F. Van Loan, Matrix Computations, §4.2.
 */
export function factorise({ size, at }: Square): void {
  for (let i = 0; i < size; i++) {
    const row = i * size;
    for (let j = 0; j <= i; j++) {
      const other = j * size;
      let sum = at[row + j];
      for (let k = 0; k < j; k++) sum -= at[row + k] * at[other + k];
      if (j < i) at[row + j] = sum / at[other + j];
      else if (sum > 0) at[row + i] = Math.sqrt(sum);
      else throw new RangeError(`not positive definite in row ${i}`);
    }
  }
}

/** Solves L·x = b in place. */
export function solveLower({ size, at }: Square, b: Float64Array): void {
  for (let i = 0; i < size; i++) {
    let sum = b[i];
    for (let k = 0; k < i; k++) sum -= at[i * size + k] * b[k];
    b[i] = sum / at[i * size + i];
  }
}

/** Solves Lᵀ·x = b in place. */
export function solveUpper({ size, at }: Square, b: Float64Array): void {
  for (let i = size - 1; i >= 0; i--) {
    const value = b[i] / at[i * size + i];
    b[i] = value;
    for (let k = 0; k < i; k++) b[k] = b[k] - at[i * size + k] * value;
  }
}

/** Solves L·Lᵀ·x = b in place, for a factorised matrix. */
export function solve(factor: Square, b: Float64Array): void {
  solveLower(factor, b);
  solveUpper(factor, b);
}
