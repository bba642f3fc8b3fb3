/** A round piece cut open: the axis, the side, and how much of the meat is as wanted. */
import { describe, expect, it } from 'vitest'
import type { Field } from '#core/heat/history'
import { acrossMiddle, axisColumn, readSection, type CutGeometry } from './section'

/** Three rings of 10 mm, four layers of 10 mm: the outermost ring is grey, the rest as wanted. */
const GEOMETRY: CutGeometry = { edgesMm: [0, 10, 20, 30, 40], radiiMm: [0, 10, 20, 30], rimMm: null, dimension: 2, mirrored: false }
const fieldOf = (rings: readonly number[]): Field => {
  const hottest = rings.flatMap(T => [T, T, T, T])
  return { time: 0, temperature: hottest, hottest, wetness: hottest.map(() => 1) }
}

describe('the section of a round piece', () => {
  it('counts the outer ring for what it is: five ninths of the meat', () => {
    const { evenness } = readSection(fieldOf([54, 54, 80]), GEOMETRY, 54, 100)
    expect(evenness).toBeCloseTo(4 / 9, 9)
  })

  it('measures grey and crust from the side inward, half-way up', () => {
    const { side, greyMm, crustMm } = readSection(fieldOf([50, 60, 120]), GEOMETRY, 54, 100)
    expect(side!.greyMm).toBeGreaterThan(5)
    expect(side!.greyMm).toBeLessThan(15)
    expect(side!.crustMm).toBeGreaterThan(0)
    expect(side!.crustMm).toBeLessThan(side!.greyMm)
    expect([...greyMm, ...crustMm]).toEqual([0, 0, 0, 0])
  })

  it('counts as crust what dried off without ever boiling', () => {
    const field = fieldOf([50, 60, 88])
    const dried = { ...field, wetness: field.wetness.map((w, i) => (i >= 8 ? 0.04 : w)) }
    expect(readSection(field, GEOMETRY, 54, 100).side!.crustMm).toBe(0)
    const { crustMm, greyMm } = readSection(dried, GEOMETRY, 54, 100).side!
    expect(crustMm).toBeGreaterThan(4)
    expect(crustMm).toBeLessThan(greyMm)
  })

  it('has the axis for its column, and a flat piece no side', () => {
    expect(axisColumn(fieldOf([50, 60, 70]), GEOMETRY).hottest).toEqual([50, 50, 50, 50])
    const flat: CutGeometry = { edgesMm: [0, 10, 20], radiiMm: [0, 1000], rimMm: null, dimension: 2, mirrored: false }
    const field: Field = { time: 0, temperature: [54, 70], hottest: [54, 70], wetness: [1, 1] }
    expect(readSection(field, flat, 54, 100).side).toBeNull()
    expect(axisColumn(field, flat)).toBe(field)
  })

  it('cut across the middle it runs from the axis outward', () => {
    expect(acrossMiddle(fieldOf([50, 60, 120]), GEOMETRY)).toEqual([50, 60, 120])
    const flat: CutGeometry = { edgesMm: [0, 10, 20], radiiMm: [0, 1000], rimMm: null, dimension: 2, mirrored: false }
    expect(acrossMiddle({ time: 0, temperature: [54, 70], hottest: [54, 70], wetness: [1, 1] }, flat)).toBeNull()
  })

  it('of half a piece both ends are alike', () => {
    const half: CutGeometry = { ...GEOMETRY, rimMm: null, dimension: 2, mirrored: true }
    const hottest = [80, 60, 54, 54, 80, 60, 54, 54, 80, 60, 54, 54]
    const { greyMm } = readSection({ time: 0, temperature: hottest, hottest, wetness: hottest }, half, 54, 100)
    expect(greyMm[0]).toBe(greyMm[1])
    expect(greyMm[0]).toBeGreaterThan(5)
  })
})
