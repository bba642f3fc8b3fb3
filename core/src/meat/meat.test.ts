import { describe, expect, it } from 'vitest'
import { cutById } from './cuts'
import { findContradiction } from './contradiction'
import { askWhere, findCuts } from './names'
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
    ['picaña', 'rump-cap'],
    ['BNLS BF STRPLN STK', 'strip'],
    ['TNDRLN 1.8 KG', 'fillet'],
    ['PICANA 1.3kg', 'rump-cap'],
    ['EYE RND RST', 'eye-of-round'],
    ['CHK EYE', 'chuck-eye'],
    ['ミスジ', 'flat-iron'],
    ['misuji', 'flat-iron'],
    ['Flacheisen', 'flat-iron'],
    ['feather blade', 'blade'],
    ['London broil', 'topside'],
    ['whole rump', 'rump'],
    ['tendreloin', 'fillet']
  ])('%s', (query, id) => {
    expect(found(query)).toBe(id)
  })

  it.each([
    ['sirlion', /sirloin/i],
    ['rib rack', /rib/i],
    ['モモ', /もも/]
  ])('%s is nearly a name', (query, name) => expect(findCuts(query)[0]?.name).toMatch(name))

  it('nonsense finds nothing, and nothing typed finds nothing', () => {
    expect(findCuts('xyzzy')).toEqual([])
    expect(findCuts('  ')).toEqual([])
    expect(findCuts('frozen beef 2 kg')).toEqual([])
  })

  it('a name that means different muscles in different countries is asked about, by country', () => {
    const sirloin = new Map(askWhere('sirloin steak')?.means.map(m => [m.region, m.cut.id]))
    expect(sirloin.get('UK')).toBe('strip')
    expect(sirloin.get('US')).toBe('rump')
    const porterhouse = new Map(askWhere('porterhouse')?.means.map(m => [m.region, m.cut.id]))
    expect(porterhouse.get('AU')).toBe('strip')
    expect(porterhouse.get('US')).toBe('t-bone')
    expect(askWhere('picanha')).toBeNull()
    expect(askWhere('')).toBeNull()
  })
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
