import { NOTHING } from '../tolerances.ts';

/**
 * Solves a system of linear equations by elimination with row pivots. Takes a square matrix of rows
 * and the right-hand side; returns null when the rows do not fix one answer.
 */
export function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const inverse = eliminate(
    matrix,
    right.map((value) => [value]),
  );
  return inverse ? inverse.map(([value]) => value) : null;
}

/** The inverse of a square matrix of rows; null when it has none. */
export function invert(matrix: readonly (readonly number[])[]): number[][] | null {
  return eliminate(
    matrix,
    matrix.map((_, k) => matrix.map((__, m) => (m === k ? 1 : 0))),
  );
}

/** Gauss and Jordan: turns the matrix into the unit matrix and does the same to the right-hand sides. */
function eliminate(matrix: readonly (readonly number[])[], right: readonly (readonly number[])[]): number[][] | null {
  const size = matrix.length;
  const rows = matrix.map((row, k) => [...row, ...right[k]]);
  for (let column = 0; column < size; column++) {
    let pivot = column;
    for (let k = column + 1; k < size; k++) if (Math.abs(rows[k][column]) > Math.abs(rows[pivot][column])) pivot = k;
    const lead = rows[pivot][column];
    if (Math.abs(lead) < NOTHING) return null;
    [rows[column], rows[pivot]] = [rows[pivot], rows[column]];
    const top = rows[column];
    for (let m = column; m < top.length; m++) top[m] /= lead;
    for (let k = 0; k < size; k++) {
      const share = rows[k][column];
      if (k === column || share === 0) continue;
      for (let m = column; m < top.length; m++) rows[k][m] -= share * top[m];
    }
  }
  return rows.map((row) => row.slice(size));
}
