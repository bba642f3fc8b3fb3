/** The small tools: roots, seeded draws, percentiles, against what is known of each. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Randomness } from './random'
import { risingRoot } from './root'
import { covariance, mean, percentile, percentiles, variance } from './statistics'

describe('a root', () => {
  const find = (f: (x: number) => number, low: number, high: number): number =>
    risingRoot(f, { low, high, atLow: f(low), atHigh: f(high) }, 1e-9, 1e-9)

  it('is found between its brackets, on a curve, on a bend, at an end', () => {
    expect(find(x => x ** 3 - 2, 0, 5)).toBeCloseTo(Math.cbrt(2), 6)
    expect(find(x => (x < 3 ? (x - 3) * 0.01 : (x - 3) * 50), 0, 10)).toBeCloseTo(3, 4)
    expect(find(x => x, 0, 10)).toBe(0)
  })

  it('of any rising line is where it crosses', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 50, noNaN: true }), fc.double({ min: -9, max: 9, noNaN: true }), (slope, at) => {
        expect(find(x => slope * (x - at), -10, 10)).toBeCloseTo(at, 6)
      })
    )
  })
})

describe('seeded draws', () => {
  it('are normal, cut at 2.5, and the same each time', () => {
    const draw = (): number[] => {
      const random = new Randomness(5)
      return Array.from({ length: 20_000 }, () => random.normal())
    }
    const values = draw()
    expect(draw()).toEqual(values)
    expect(Math.abs(mean(values))).toBeLessThan(0.03)
    expect(percentile(values, 0.9)).toBeCloseTo(1.2816, 1)
    expect(Math.max(...values)).toBeLessThanOrEqual(2.5)
  })
})

describe('statistics', () => {
  it('percentiles by straight interpolation', () => {
    expect(percentile([4, 1, 3, 2], 0.5)).toBe(2.5)
    expect(percentile([7], 0.9)).toBe(7)
    expect(percentiles([0, 10])).toEqual([1, 5, 9])
  })

  it('covariance with itself is the variance; of a line it is the slope times that', () => {
    const x = [1, 2, 4, 8, 9]
    expect(variance([2, 4])).toBe(2)
    expect(covariance(x, x)).toBeCloseTo(variance(x), 12)
    expect(
      covariance(
        x,
        x.map(v => 3 * v + 1)
      )
    ).toBeCloseTo(3 * variance(x), 9)
  })
})
