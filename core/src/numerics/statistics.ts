/** Of samples: their middle, how far they spread and go together, and where their tails begin. */

/** The 10th, 50th and 90th. */
export type Percentiles = readonly [low: number, middle: number, high: number]
export const percentiles = (values: readonly number[]): Percentiles => [
  percentile(values, 0.1),
  percentile(values, 0.5),
  percentile(values, 0.9)
]

/** The value below which a share of them lies, by straight interpolation. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  const at = share * (sorted.length - 1)
  const below = Math.floor(at)
  const above = Math.min(below + 1, sorted.length - 1)
  return sorted[below] + (at - below) * (sorted[above] - sorted[below])
}

export const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length
/** Of a sample: divided by one less than there are. */
export function covariance(a: readonly number[], b: readonly number[]): number {
  const [ma, mb] = [mean(a), mean(b)]
  return a.reduce((sum, v, i) => sum + (v - ma) * (b[i] - mb), 0) / (a.length - 1)
}
export const variance = (values: readonly number[]): number => covariance(values, values)
