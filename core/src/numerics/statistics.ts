/** Of samples: their middle, how far they spread and go together, and where their tails begin. */
import { mean as meanOf, quantileSorted, variance as varianceOf } from 'd3-array'

/** The 10th, 50th and 90th. */
export type Percentiles = readonly [low: number, middle: number, high: number]
export function percentiles(values: readonly number[]): Percentiles {
  const sorted = [...values].sort((a, b) => a - b)
  return [at(sorted, 0.1), at(sorted, 0.5), at(sorted, 0.9)]
}

const at = (sorted: number[], share: number): number => quantileSorted(sorted, share) ?? NaN

/** The value below which a share of them lies, by straight interpolation; NaN of none. */
export const percentile = (values: readonly number[], share: number): number =>
  at(
    [...values].sort((a, b) => a - b),
    share
  )

export const mean = (values: readonly number[]): number => meanOf(values) ?? NaN
/** Of a sample: divided by one less than there are. */
export const variance = (values: readonly number[]): number => varianceOf(values) ?? NaN
export function covariance(a: readonly number[], b: readonly number[]): number {
  const [ma, mb] = [mean(a), mean(b)]
  return a.reduce((sum, v, i) => sum + (v - ma) * (b[i] - mb), 0) / (a.length - 1)
}
