/**
 * A tridiagonal system solved in place by elimination and back-substitution.
 *
 * @param lower below the diagonal, lower[0] unused
 * @param diagonal overwritten
 * @param upper above the diagonal, upper[n−1] unused
 * @param right the right-hand side, overwritten by the solution
 */
export function solveTridiagonal(lower: Float64Array, diagonal: Float64Array, upper: Float64Array, right: Float64Array, n: number): void {
  // One division a row: the diagonal is replaced by the reciprocal of its pivot.
  let pivot = 1 / diagonal[0]
  diagonal[0] = pivot
  for (let i = 1; i < n; i++) {
    const w = lower[i] * pivot
    right[i] -= w * right[i - 1]
    pivot = 1 / (diagonal[i] - w * upper[i - 1])
    diagonal[i] = pivot
  }
  let x = right[n - 1] * diagonal[n - 1]
  right[n - 1] = x
  for (let i = n - 2; i >= 0; i--) {
    x = (right[i] - upper[i] * x) * diagonal[i]
    right[i] = x
  }
}
