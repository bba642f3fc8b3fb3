import { describe, expect, it } from 'vitest'
import { isTender } from './cut'
import { CUTS, cutById } from './cuts'
import { findContradiction } from './contradiction'
import { findCuts } from './names'
import { weightFromSize, type Piece } from './piece'

const found = (query: string): string | undefined => findCuts(query)[0]?.cut.id

describe('every name finds its muscle', () => {
  it.each([
    ['rump cap', 'rump-cap'],
    ['top sirloin cap', 'rump-cap'],
    ['Picanha', 'rump-cap'],
    ['aiguillette de rumsteck', 'rump-cap'],
    ['tapa de cuadril', 'rump-cap'],
    ['Tafelspitz', 'rump-cap'],
    ['coulotte', 'rump-cap'],
    ['onglet', 'hanger'],
    ['eye fillet', 'fillet'],
    ['FILET MIGNON', 'fillet'],
    ['file mignon', 'fillet'],
    ['entrecote', 'ribeye'],
    ['bife de chorizo', 'strip'],
    ['Burgermeisterstuck', 'tri-tip'],
    ['infraspinatus', 'flat-iron'],
    ['joue de boeuf', 'cheek'],
    ['ribeey steak', 'ribeye'],
    ['picaña', 'rump-cap']
  ])('%s', (query, id) => {
    expect(found(query)).toBe(id)
  })

  it('nonsense finds nothing, and nothing typed finds nothing', () => {
    expect(findCuts('xyzzy')).toEqual([])
    expect(findCuts('  ')).toEqual([])
  })
})

describe('the counter', () => {
  it('has ten tender cuts and more, and knows what must be braised', () => {
    expect(CUTS.filter(isTender).length).toBeGreaterThanOrEqual(10)
    for (const id of ['shin', 'cheek', 'brisket']) expect(cutById(id)?.braise).toMatch(/3½ h|braised/)
  })

  it.each(CUTS.map(c => [c.id, c] as const))(
    '%s: composition adds up, shape and weight are of the same piece, eight regions name it',
    (_, cut) => {
      const { water, protein, fat, ash } = cut.composition
      expect(water + protein + fat + ash).toBeCloseTo(1, 1)
      const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2
      const { shape } = cut
      const weight = weightFromSize(
        { thicknessMm: middle(shape.thicknessMm), lengthMm: middle(shape.lengthMm), widthMm: middle(shape.widthMm), startC: 5 },
        cut
      )
      expect(weight).toBeGreaterThan(shape.weightG[0])
      expect(weight).toBeLessThan(shape.weightG[1])
      expect(new Set(cut.regional.map(r => r.region)).size).toBe(8)
    }
  )
})

describe('weight and size are held against each other', () => {
  const strip = cutById('strip')!
  const piece: Piece = { cutId: 'strip', count: 1, thicknessMm: 38, weightG: 450, lengthMm: 160, widthMm: 90, startC: 5, surface: 'patted' }

  it('agree where they agree: 38 × 160 × 90 mm at 1.06 g/cm³ and a fill of 0.8 is about 460 g', () => {
    expect(weightFromSize(piece, strip)).toBeCloseTo(461, -1)
    expect(findContradiction(piece, strip)).toBeNull()
  })

  it('a thickness typed in centimetres is named as one', () => {
    const found = findContradiction({ ...piece, thicknessMm: 5 }, strip)
    expect(found?.culprit).toBe('thicknessMm')
    expect(found?.wouldFit).toBeGreaterThan(30)
  })

  it('the measure that is unusual for the cut is the culprit, and the value that would fit is given', () => {
    const found = findContradiction({ ...piece, weightG: 1600 }, strip)
    expect(found?.culprit).toBe('weightG')
    expect(found?.wouldFit).toBeCloseTo(461, -1)
    const thick = findContradiction({ ...piece, thicknessMm: 76, weightG: 460 }, strip)
    expect(thick?.culprit).toBe('thicknessMm')
    expect(thick?.wouldFit).toBeCloseTo(38, 0)
  })

  it('sixteen ounces typed as grams', () => {
    const found = findContradiction({ ...piece, weightG: 16.2 }, strip)
    expect(found?.culprit).toBe('weightG')
    expect(found?.slip).toMatch(/ounces/)
  })
})
