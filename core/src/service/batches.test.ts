/** More pieces than a pan takes: they go in batches, and every figure is of one of them. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asked } from '#core/plan/planned.fixture'
import { beefDish } from './beef'
import { batchesOf, coverage, setupOf } from '#core/request/setup'

describe('batches', () => {
  it('of any number of pieces: all of them, each batch fits, as even as can be, and not one batch too many', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 120, max: 900 }), (count, weightG) => {
        const request = asked('pan sear', {}, { count, weightG })
        const batches = batchesOf(request)
        expect(batches.reduce((sum, n) => sum + n, 0)).toBe(count)
        expect(Math.max(...batches) - Math.min(...batches)).toBeLessThanOrEqual(1)
        const covers = (n: number): number => coverage({ ...request, piece: { ...request.piece, count: n } })
        expect(covers(batches[0])).toBeLessThanOrEqual(1 + 1e-6)
        if (batches.length > 1) expect(covers(Math.ceil(count / (batches.length - 1)))).toBeGreaterThan(1)
      })
    )
  })
  it('are one where another fire than the pan’s takes them all', () => {
    expect(batchesOf(asked('grill', {}, { count: 24 }))).toEqual([24])
  })
  it('the engine cooks the fullest of them, not the whole heap', () => {
    const request = asked('pan sear', {}, { count: 12 })
    const [together] = batchesOf(request)
    expect(together).toBeLessThan(12)
    expect(setupOf(request).setup.piece.count).toBe(together)
  })
  it('on the ticket they keep ring and hands one after the other', () => {
    const phases = [
      { phase: 'sear', from: 0, to: 480 },
      { phase: 'rest', from: 480, to: 840 }
    ] as unknown as Parameters<typeof beefDish>[3]['phases']
    const plan = { phases, pull: { probe: 49 } } as Parameters<typeof beefDish>[3]
    const one = beefDish('a', 'Steak', asked('pan sear'), plan, 4)
    const many = beefDish('b', 'Steaks', asked('pan sear', {}, { count: 12 }), plan, 12)
    const n = batchesOf(asked('pan sear', {}, { count: 12 })).length
    expect(one.steps[0].seconds).toBe(480)
    expect(many.steps[0].seconds).toBe(n * 480 + (n - 1) * 90)
    expect(many.steps[0].hands[0]).toBe(many.steps[0].seconds)
  })
})
