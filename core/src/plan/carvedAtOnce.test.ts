import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sharedOut } from './carvedAtOnce'

describe('pieces shared out among those who want them', () => {
  it('as they are wanted', () => {
    expect(sharedOut(4, [2, 1, 1])).toEqual([2, 1, 1])
    expect(sharedOut(6, [2, 1])).toEqual([4, 2])
    expect(sharedOut(3, [1, 1, 1])).toEqual([1, 1, 1])
  })
  it('one each at least, where there are fewer pieces than donenesses', () => {
    expect(sharedOut(1, [3, 1])).toEqual([1, 1])
  })
  it('of any party: none is left over, and none is further than a piece from his share', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 40 }),
        (wanted, pieces) => {
          const shares = sharedOut(pieces, wanted)
          const guests = wanted.reduce((sum, n) => sum + n, 0)
          expect(shares.reduce((sum, n) => sum + n, 0)).toBe(Math.max(pieces, wanted.length))
          if (pieces < guests) return
          shares.forEach((n, i) => expect(Math.abs(n - (wanted[i] / guests) * pieces)).toBeLessThanOrEqual(1))
        }
      )
    )
  })
})
