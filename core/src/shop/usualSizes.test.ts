/** What is put on the bench for a weight has sizes that a piece of the cut has, and that weigh as much. */
import { describe, expect, it } from 'vitest'
import { isTender, type Cut, type Range } from '#core/meat/cut'
import { cutById, CUTS } from '#core/meat/cuts'
import { weightFromSize } from '#core/meat/piece'
import { usualSizes } from '#core/meat/usualSizes'
import { purchaseOf } from './choose'
import { orderFor } from './orderSlip'

const START_C = 5
/** What a ruler and a scale leave open. */
const within = (value: number, [low, high]: Range): boolean => value >= 0.97 * low - 1 && value <= 1.03 * high + 1

describe('a piece that nobody has measured', () => {
  const tender = CUTS.filter(isTender)

  it.each(tender.map(c => [c.id, c] as const))('%s: for a table of any size it is as large as the bench says is usual', (_, cut) => {
    const { shape } = cut
    for (const guests of [1, 2, 3, 4, 6, 9, 14, 40])
      for (const appetite of ['light', 'ordinary', 'hearty'] as const) {
        const { pieces, pieceG } = purchaseOf(cut, { guests, appetite, prices: {} })
        const { thicknessMm } = orderFor(cut, 'UK', { pieces, pieceG })
        const sizes = usualSizes(cut, { weightG: pieceG, thicknessMm, startC: START_C })
        const said = `${guests} ${appetite}: ${pieceG} g as ${JSON.stringify(sizes)}`
        expect(within(sizes.thicknessMm, shape.thicknessMm), said).toBe(true)
        expect(within(sizes.lengthMm, shape.lengthMm), said).toBe(true)
        if (!(shape.outline === 'round' && cut.form === 'steak')) expect(within(sizes.widthMm, shape.widthMm), said).toBe(true)
        const weighs = weightFromSize({ ...sizes, startC: START_C }, cut)
        expect(weighs / pieceG, said).toBeGreaterThan(0.93)
        expect(weighs / pieceG, said).toBeLessThan(1.07)
      }
  })

  const of = (id: string, weightG?: number, thicknessMm?: number) =>
    usualSizes(cutById(id) as Cut, { weightG, thicknessMm, startC: START_C })

  it('a heavier muscle is larger every way, a longer joint is no thicker, a slice as thick as it was ordered', () => {
    const [small, large] = [of('tri-tip', 500), of('tri-tip', 1100)]
    expect(large.thicknessMm).toBeGreaterThan(small.thicknessMm + 5)
    expect(large.lengthMm).toBeGreaterThan(small.lengthMm)
    expect(large.widthMm).toBeGreaterThan(small.widthMm)
    const [short, long] = [of('chateaubriand', 550), of('chateaubriand', 900)]
    expect(long.lengthMm / short.lengthMm).toBeCloseTo(900 / 550, 1)
    expect(long.thicknessMm).toBe(short.thicknessMm)
    expect(of('strip', 420, 51).thicknessMm).toBe(51)
  })

  it('without a weight is in the middle; with one that no such piece has, still of that weight', () => {
    const cut = cutById('tri-tip') as Cut
    expect(of('tri-tip').lengthMm).toBe(Math.round((cut.shape.lengthMm[0] + cut.shape.lengthMm[1]) / 2))
    for (const weightG of [120, 2400]) {
      const weighs = weightFromSize({ ...of('tri-tip', weightG), startC: START_C }, cut)
      expect(weighs / weightG).toBeGreaterThan(0.9)
      expect(weighs / weightG).toBeLessThan(1.1)
    }
  })
})
