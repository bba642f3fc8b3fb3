/**
 * A tridiagonal system solved in place, by elimination from both ends toward the middle
 * at once and substitution back out. The two halves do not wait for each other, which
 * on one thread is nearly twice as fast as going from end to end.
 *
 * @param lower below the diagonal, lower[0] unused
 * @param diagonal overwritten
 * @param upper above the diagonal, upper[n−1] unused
 * @param right the right-hand side, overwritten by the solution
 */
export function solveTridiagonal(lower: Float64Array, diagonal: Float64Array, upper: Float64Array, right: Float64Array, n: number): void {
  // One division a row: the diagonal is replaced by the reciprocal of its pivot.
  const last = n - 1
  const half = n >> 1
  let a = 1 / diagonal[0]
  let b = 1 / diagonal[last]
  let ra = right[0]
  let rb = right[last]
  diagonal[0] = a
  diagonal[last] = b
  for (let i = 1; i < half; i++) {
    const j = last - i
    const wa = lower[i] * a
    const wb = upper[j] * b
    ra = right[i] - wa * ra
    rb = right[j] - wb * rb
    a = 1 / (diagonal[i] - wa * upper[i - 1])
    b = 1 / (diagonal[j] - wb * lower[j + 1])
    right[i] = ra
    right[j] = rb
    diagonal[i] = a
    diagonal[j] = b
  }
  let low: number
  let high: number
  if (n & 1) {
    const m = half
    low = ra * a
    if (m > 0) {
      const pivot = diagonal[m] - lower[m] * a * upper[m - 1] - upper[m] * b * lower[m + 1]
      low = (right[m] - lower[m] * a * ra - upper[m] * b * rb) / pivot
    }
    high = low
    right[m] = low
  } else {
    // Rows half−1 and half are left with each other.
    const m = half
    high = (rb - lower[m] * a * ra) / (1 / b - lower[m] * a * upper[m - 1])
    low = (ra - upper[m - 1] * high) * a
    right[m - 1] = low
    right[m] = high
  }
  for (let i = (n & 1 ? half : half - 1) - 1; i >= 0; i--) {
    const j = last - i
    low = (right[i] - upper[i] * low) * diagonal[i]
    high = (right[j] - lower[j] * high) * diagonal[j]
    right[i] = low
    right[j] = high
  }
}
