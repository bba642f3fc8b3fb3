/** Whatever is set on the dials: an answer whose every figure is one, or a refusal in words; never neither. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { by } from '#core/request/request'
import { plan as planned } from './plan'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { DIALS, dialsOf, dialValues, fitsDial, toppedUp, withSettings, type Dial, type Settings } from '#core/method/dials'
import { METHOD_KINDS } from '#core/method/methods'
import { TURNINGS } from '#core/method/turning'
import { USUAL_KIT, usualSettings } from '#core/method/usual'

/** Some value of a dial, its ends often among them; times kept short of a day, so that the test ends. */
function anywhere(dial: Dial): fc.Arbitrary<unknown> {
  switch (dial.kind) {
    case 'quantity': {
      const [low, high] = dial.range
      const top = dial.dimension === 'duration' ? Math.min(high, 1800) : high
      return fc.oneof(fc.constantFrom(low, top), fc.integer({ min: Math.ceil(low), max: Math.floor(top) }))
    }
    case 'count':
      return fc.integer({ min: Math.ceil(dial.range[0]), max: Math.min(8, Math.floor(dial.range[1])) })
    case 'choice':
      return fc.constantFrom(...dial.options.map(o => o.value))
    case 'yes':
      return fc.boolean()
    case 'turning':
      return fc.constantFrom(...TURNINGS, '3 spells', '40 spells')
    case 'rest':
      return fc.oneof(
        fc.constantFrom({ kind: 'to the peak' }, { kind: 'half the cooking time' }),
        fc.integer({ min: 0, max: 1800 }).map(seconds => ({ kind: 'clock', seconds }))
      )
    case 'top-ups':
      return fc.tuple(fc.integer({ min: 60, max: 1200 }), fc.double({ min: 0.05, max: 2, noNaN: true })).map(([s, l]) => toppedUp(s, l))
  }
}
const anySetting = fc.constantFrom(...METHOD_KINDS).chain(kind =>
  fc.record({
    kind: fc.constant(kind),
    turned: fc.record(Object.fromEntries(dialsOf(kind).map(d => [d.key, anywhere(d)])), { requiredKeys: [] }) as fc.Arbitrary<Settings>,
    thicknessMm: fc.integer({ min: 12, max: 42 }),
    startC: fc.integer({ min: 0, max: 20 }),
    targetC: fc.integer({ min: 45, max: 70 })
  })
)

const finite = (value: unknown, path = ''): void => {
  if (typeof value === 'number') expect(Number.isFinite(value), path).toBe(true)
  else if (value !== null && typeof value === 'object') for (const [key, inner] of Object.entries(value)) finite(inner, `${path}.${key}`)
}

describe('the dials of every method', () => {
  it('plan or refuse, whatever they are set to', () => {
    fc.assert(
      fc.property(anySetting, ({ kind, turned, thicknessMm, startC, targetC }) => {
        const piece = { ...FIRST_REQUEST.piece, thicknessMm, startC, weightG: 12 * thicknessMm }
        const target = { ...FIRST_REQUEST.target, coreC: targetC }
        const found = planned(by({ ...FIRST_REQUEST, piece, target }, kind, turned))
        if ('refused' in found) {
          expect(found.refused).toMatch(/[a-z].*\.$/)
          return
        }
        const { plan } = found
        finite({ ...plan, history: null, fields: null })
        expect(plan.carve.time).toBeGreaterThanOrEqual(plan.pull.time)
        expect(plan.peak.core).toBeGreaterThanOrEqual(plan.pull.core - 0.5)
        // A raw cold piece under foil gathers dew: the air there is taken to be as moist as over a hot one.
        expect(plan.loss).toBeGreaterThanOrEqual(-0.05)
        // At most all of its water, and what was on its faces: of a thin piece a good share of it.
        expect(plan.loss).toBeLessThan(0.76 + 0.6 / thicknessMm)
        if ((turned.byClockS ?? 0) > 0) return
        const bath = kind === 'bath then sear' || kind === 'sear then bath'
        if (!bath) expect(plan.peak.core).toBeGreaterThan(targetC - 0.6)
        // Minutes back in the hot pan cook it on, an oven of 60 °C what is wanted cooler than that; both are told.
        const after = (turned.rewarmS ?? 0) + (turned.heldS ?? 0)
        if (!bath && after <= 0) expect(plan.peak.core).toBeLessThan(targetC + 0.6)
      }),
      { numRuns: 60, seed: 11 }
    )
  })

  it('stand as the settings are, and leave what is not theirs alone', () => {
    for (const kind of METHOD_KINDS) {
      const usual = usualSettings(USUAL_KIT, 54)[kind]
      expect(withSettings(kind, usual, {})).toEqual(usual)
      expect(withSettings(kind, usual, dialValues(kind, usual))).toEqual(usual)
      const stray = DIALS.find(d => !dialsOf(kind).some(own => own.key === d.key))
      if (stray) expect(withSettings(kind, usual, { [stray.key]: 7 })).toEqual(usual)
    }
  })

  it('take nothing from elsewhere that does not fit', () => {
    for (const dial of METHOD_KINDS.flatMap(dialsOf)) {
      expect(fitsDial(dial, 'soup')).toBe(false)
      expect(fitsDial(dial, NaN)).toBe(false)
      expect(fitsDial(dial, null)).toBe(false)
      if (dial.kind === 'quantity' || dial.kind === 'count') {
        expect(fitsDial(dial, dial.range[1])).toBe(true)
        expect(fitsDial(dial, dial.range[1] + 1)).toBe(false)
      }
    }
  })
})
