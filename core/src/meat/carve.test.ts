/** Carving, against what a cook does with a knife. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import { carvingOf, type Carving } from './carve'
import { CUTS, cutById } from './cuts'
import type { Piece } from './piece'

const STEAK: Piece = { cutId: 'strip', count: 1, thicknessMm: 38, weightG: 450, lengthMm: 160, widthMm: 90, startC: 5, surface: 'patted' }
const JOINT: Piece = { ...STEAK, cutId: 'fillet', form: 'roast', thicknessMm: 75, widthMm: 75, lengthMm: 340, weightG: 1600 }
const LOSS = 0.1
const carved = (piece: Partial<Piece> & { cutId: string }, guests = 1): Carving => {
  const cut = cutById(piece.cutId)
  if (!cut) throw new Error(piece.cutId)
  return carvingOf({ ...STEAK, ...piece }, cut, LOSS, guests)
}

describe('the knife', () => {
  it('goes square to fibres that lie in the board’s plane', () => {
    const fibres = { along: 0, across: 90, slanting: 45 }
    const lying = CUTS.filter(c => c.grain.runs in fibres)
    expect(lying.length).toBeGreaterThan(5)
    for (const { id, grain } of lying) {
      const between = Math.abs(carved({ cutId: id }).knifeDegrees - fibres[grain.runs as keyof typeof fibres]) % 180
      expect(between, id).toBe(90)
    }
  })

  it('leans where they stand upright in a steak, and not in a joint of the same cut', () => {
    expect(carved({ cutId: 'fillet' }).leaning).toBe(true)
    expect(carved(JOINT).leaning).toBe(false)
  })

  it('makes slices that together are as long as the piece, within half a slice', () => {
    for (const cut of CUTS) {
      const { knifeDegrees, slices, sliceMm } = carved({ cutId: cut.id })
      if (slices > 1) expect(Math.abs(slices * sliceMm - (knifeDegrees === 0 ? 90 : 160)), cut.id).toBeLessThanOrEqual(sliceMm / 2)
    }
  })
})

describe('what comes off first', () => {
  it('the bone; of a T-bone the fillet', () => {
    expect(carved({ cutId: 't-bone' }).steps[0]).toContain('fillet')
    expect(carved({ cutId: 'rib-steak' }).steps[0]).toContain('Off the bone first')
    expect(carved({ cutId: 'strip' }).steps.join()).not.toContain('bone')
  })

  it('a joint is not served whole; one in pastry takes a serrated knife', () => {
    const steps = carved(JOINT).steps.join(' ')
    expect(steps).not.toMatch(/served whole/i)
    expect(steps).toMatch(/end slices/)
    expect(carved(JOINT).sliceMm).toBe(12)
    expect(carved(JOINT).slices).toBe(Math.round(340 / 12))
    expect(steps).not.toContain('pastry')
    expect(carved({ ...JOINT, coats: [{ what: 'pastry', on: 'side', thicknessMm: 3 }] }).steps[0]).toContain('serrated')
  })
})

describe('the portions', () => {
  it('are alike, and together all that is left of the meat', () => {
    const four = carved({ cutId: 'strip' }, 4)
    expect(4 * four.perGuest.grams).toBeCloseTo(450 * (1 - LOSS), 6)
    expect(Math.abs(4 * four.perGuest.slices - four.slices)).toBeLessThan(4)
  })

  it('leave the bone on the board: a fifth of what a bone-in piece weighs, where a boneless one leaves none', () => {
    expect(carved({ cutId: 't-bone' }).cookedG / carved({ cutId: 'strip' }).cookedG).toBeCloseTo(0.8, 6)
    const along: Piece['coats'] = [{ what: 'bone', on: 'side', thicknessMm: 10 }]
    expect(carved({ cutId: 'strip', coats: along }).cookedG).toBeCloseTo(carved({ cutId: 't-bone' }).cookedG, 6)
  })

  it('of two pieces are twice as much', () => {
    const [one, two] = [carved({ cutId: 'strip' }), carved({ cutId: 'strip', count: 2 })]
    expect(two.cookedG).toBeCloseTo(2 * one.cookedG, 6)
    expect(two.slices).toBe(2 * one.slices)
  })
})
