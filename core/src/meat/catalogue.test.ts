import { describe, expect, it } from 'vitest'
import * as yup from 'yup'
import { FEATURE_KINDS, GRAINS, heatsOf, HEATS, isTender, PRIMALS, PROFILES, REGIONS, SOURCES, type Cut } from './cut'
import { CUTS, cutById } from './cuts'
import { weightFromSize } from './piece'
import { SIDE } from './side'

const text = yup.string().strict().trim().min(2).required()
const range = yup
  .array(yup.number().strict().min(0).required())
  .length(2)
  .required()
  .test('rises', 'must rise', r => r[0] <= r[1])
const sizes = {
  thicknessMm: range,
  lengthMm: range,
  widthMm: range,
  weightG: range,
  fill: yup.number().strict().min(0.3).max(1).required()
}
const schema = yup
  .object({
    id: yup
      .string()
      .strict()
      .matches(/^[a-z-]+$/)
      .required(),
    name: text,
    muscle: text,
    primal: yup.string().oneOf(PRIMALS).required(),
    regional: yup
      .object(Object.fromEntries(REGIONS.map(r => [r, yup.array(text).min(1)])))
      .noUnknown()
      .required(),
    labels: yup.array(text).min(1).required(),
    shear: yup
      .object({ kg: yup.number().strict().min(2).max(12).required(), source: yup.string().oneOf(Object.keys(SOURCES)).required() })
      .noUnknown(),
    fat: range,
    composition: yup.object().required(),
    form: yup.string().oneOf(['steak', 'roast']).required(),
    shape: yup.object({ ...sizes, outline: yup.string().oneOf(['steak', 'round']).required() }).noUnknown(),
    whole: yup.object(sizes).noUnknown().nullable().defined(),
    portioning: yup.string().oneOf(['slices', 'lengths']).nullable().defined(),
    profile: yup.string().oneOf(PROFILES).required(),
    grain: yup.object({ runs: yup.string().oneOf(GRAINS).required(), text }).noUnknown(),
    slice: yup.object({ text, mm: yup.number().strict().min(1).max(60).required() }).noUnknown(),
    features: yup
      .array(yup.object({ kind: yup.string().oneOf(FEATURE_KINDS).required(), where: text, advice: text }).noUnknown())
      .required(),
    fatEdge: yup.boolean().strict().required(),
    bone: yup.boolean().strict().required(),
    trim: yup.number().strict().min(0.4).max(1).required(),
    gramsPerDiner: yup.number().strict().min(120).max(500).required(),
    price: yup.number().strict().integer().min(1).max(5).required(),
    suits: yup
      .array(yup.object({ heat: yup.string().oneOf(HEATS).required(), because: text.min(15) }).noUnknown())
      .min(1)
      .required(),
    pitfalls: yup.array(text.min(15)).min(1).required(),
    substitutes: yup
      .array(yup.object({ id: text, because: text }).noUnknown())
      .min(2)
      .required(),
    braise: yup
      .object({ because: text.min(20), outline: text.min(20) })
      .noUnknown()
      .nullable()
      .defined()
  })
  .noUnknown()

const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2

describe('the catalogue', () => {
  it('has at least 35 cuts, each once, most of them tender', () => {
    expect(new Set(CUTS.map(c => c.id)).size).toBe(CUTS.length)
    expect(CUTS.length).toBeGreaterThanOrEqual(35)
    expect(CUTS.filter(isTender).length).toBeGreaterThanOrEqual(30)
  })

  it('every region has its own name for nearly every cut, and every cut one in most regions', () => {
    for (const region of REGIONS) expect(CUTS.filter(c => c.regional[region]).length, region).toBeGreaterThan(0.85 * CUTS.length)
    for (const cut of CUTS) expect(Object.keys(cut.regional).length, cut.id).toBeGreaterThanOrEqual(4)
  })

  describe.each(CUTS.map(c => [c.id, c] as const))('%s', (id, cut) => {
    it('is whole and well formed', () => {
      schema.validateSync(cut, { strict: true, abortEarly: false })
    })

    it('weighs what its sizes call for, whole and cut', () => {
      const weight = (s: Omit<Cut['shape'], 'outline'>, outline: number): number =>
        (1.06 / 1000) * middle(s.thicknessMm) * middle(s.lengthMm) * middle(s.widthMm) * s.fill * outline
      const { shape } = cut
      const piece = weightFromSize(
        { thicknessMm: middle(shape.thicknessMm), lengthMm: middle(shape.lengthMm), widthMm: middle(shape.widthMm), startC: 5 },
        cut
      )
      expect(piece).toBeGreaterThan(shape.weightG[0])
      expect(piece).toBeLessThan(shape.weightG[1])
      if (cut.whole) {
        expect(weight(cut.whole, 1)).toBeGreaterThan(cut.whole.weightG[0])
        expect(weight(cut.whole, 1)).toBeLessThan(cut.whole.weightG[1])
      }
    })

    it('adds up: its parts are a whole, its fat lies in its range, and water falls as fat rises', () => {
      const { water, protein, fat, ash } = cut.composition
      expect(water + protein + fat + ash).toBeCloseTo(1, 6)
      expect(fat).toBeGreaterThanOrEqual(cut.fat[0])
      expect(fat).toBeLessThanOrEqual(cut.fat[1])
      expect(water).toBeGreaterThan(0.5)
    })

    it('its substitutes exist and are not itself; a braise is never planned, anything else is', () => {
      for (const s of cut.substitutes) {
        expect(s.id).not.toBe(id)
        expect(cutById(s.id), s.id).toBeDefined()
      }
      expect(heatsOf(cut).includes('braise')).toBe(!isTender(cut))
    })

    it('lies somewhere in the side of beef', () => {
      expect(SIDE.filter(m => m.cuts.includes(id)).length).toBeGreaterThanOrEqual(1)
    })
  })

  it('the known order of tenderness: fillet and flat iron first, the strip before the rump, the round last', () => {
    const kg = (id: string): number => cutById(id)!.shear.kg
    expect(kg('fillet')).toBeLessThan(kg('flat-iron'))
    expect(kg('flat-iron')).toBeLessThan(kg('strip'))
    expect(kg('strip')).toBeLessThan(kg('rump'))
    expect(kg('rump')).toBeLessThan(kg('topside'))
    expect(kg('topside')).toBeLessThan(kg('shin'))
  })

  it('cheek and shin take 3½ h covered and 1 h uncovered, until two forks pull them apart (common practice, no source)', () => {
    for (const id of ['cheek', 'shin']) expect(cutById(id)?.braise?.outline).toMatch(/3½ h.*1 h.*two forks/)
  })
})

describe('the side of beef', () => {
  it('is inside its frame and names only cuts there are', () => {
    for (const m of SIDE) {
      for (const cut of m.cuts) expect(cutById(cut), cut).toBeDefined()
      for (const [x, y] of m.outline) {
        expect(x).toBeGreaterThanOrEqual(0)
        expect(x).toBeLessThanOrEqual(1000)
        expect(y).toBeGreaterThanOrEqual(0)
        expect(y).toBeLessThanOrEqual(500)
      }
    }
  })
})
