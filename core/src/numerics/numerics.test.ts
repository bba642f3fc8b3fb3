/** The small tools: roots, seeded draws, percentiles, against what is known of each. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Randomness } from './random'
import { risingRoot, type Found, type Search } from './root'
import { covariance, mean, percentile, percentiles, variance } from './statistics'

describe('a root', () => {
  const search = (f: (x: number) => number, more: Partial<Search> = {}): Found =>
    risingRoot(f, { from: 1, slope: 1, low: -10, high: 10, close: ({ y }) => Math.abs(y) < 1e-9, narrow: 1e-12, most: 80, ...more })
  const find = (f: (x: number) => number, more?: Partial<Search>): number => search(f, more).points.at(-1)!.x

  it('is found on a curve, on a bend, at an end, from either side', () => {
    for (const from of [-9, 0.5, 9]) {
      expect(find(x => x ** 3 - 2, { from })).toBeCloseTo(Math.cbrt(2), 6)
      expect(find(x => (x < 3 ? (x - 3) * 0.01 : (x - 3) * 50), { from })).toBeCloseTo(3, 4)
      expect(find(x => x + 10, { from })).toBeCloseTo(-10, 8)
    }
  })

  it('of any rising line is where it crosses, at once where the slope is known', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 50, noNaN: true }), fc.double({ min: -9, max: 9, noNaN: true }), (slope, at) => {
        const line = (x: number): number => slope * (x - at)
        expect(find(line)).toBeCloseTo(at, 6)
        expect(search(line, { slope, from: at - 0.1, close: ({ y }) => Math.abs(y) < 1e-6 }).points.length).toBeLessThanOrEqual(2)
      })
    )
  })

  it('that is not there says on which side it would be, having asked at the end', () => {
    expect(search(x => x + 20)).toMatchObject({ ends: 'above' })
    expect(search(x => x + 20).points.at(-1)!.x).toBe(-10)
    expect(search(x => x - 20)).toMatchObject({ ends: 'below' })
    expect(search(x => x - 20).points.at(-1)!.x).toBe(10)
  })

  it('of a flight of stairs is given up between two of them, after so many steps', () => {
    const stairs = search(x => Math.round(x) - 0.5, { narrow: 0.01 })
    expect(stairs.ends).toBe('tired')
    expect(Math.abs(stairs.points.at(-1)!.x - 0.5)).toBeLessThan(0.6)
    expect(search(x => Math.atan(x - 5), { most: 3 }).points).toHaveLength(3)
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
