import { describe, expect, it } from 'vitest'
import { asked, planned } from './planned.fixture'
import { whatIf, type WhatIfId } from './whatIf'

describe('what if, cooked by the clock of the plan', () => {
  const { method, setup, plan } = planned(asked('pan sear', {}, { startC: 8 }))
  const off = new Map(whatIf(method, setup, plan).map(c => [c.id, c.offK]))
  const at = (id: WhatIfId): number => off.get(id)!

  it('thicker, colder, or in a cooler pan it stays behind; thinner or late it goes over', () => {
    for (const id of ['thicker', 'colder', 'cooler pan'] as const) expect(at(id), id).toBeLessThan(-0.5)
    for (const id of ['thinner', 'late'] as const) expect(at(id), id).toBeGreaterThan(0.5)
  })

  it('turned once, the middle is less far on after the same time; foil keeps a little more', () => {
    expect(at('turned once')).toBeLessThan(0)
    expect(at('foil')).toBeGreaterThanOrEqual(-0.1)
    expect(at('foil')).toBeLessThan(3)
  })

  it('cut without a rest, it is as cool inside as it was when it came off', () => {
    expect(at('no rest')).toBeCloseTo(plan.pull.core - plan.peak.core, 0)
  })

  it('what cannot be is not asked: a piece from the fridge, a pan turned once already', () => {
    const cold = planned(asked('pan sear', { turning: 'once' }, { startC: 4 }))
    const ids = whatIf(cold.method, cold.setup, cold.plan).map(c => c.id)
    expect(ids).not.toContain('colder')
    expect(ids).not.toContain('turned once')
  })
})

describe('a steak of two muscles', () => {
  it('over the coals its fillet side, narrower, comes out further done than its strip side, and not by a whole doneness twice over', () => {
    const piece = { cutId: 't-bone', thicknessMm: 45, weightG: 900, widthMm: 150, lengthMm: 210 }
    const { method, setup, plan } = planned(asked('grill', {}, piece))
    const fillet = whatIf(method, setup, plan).find(c => c.id === 'fillet side')!
    expect(fillet.offK).toBeGreaterThan(1)
    expect(fillet.offK).toBeLessThan(9)
    const strip = planned(asked('grill', {}, { thicknessMm: 45 }))
    expect(whatIf(strip.method, strip.setup, strip.plan).some(c => c.id === 'fillet side')).toBe(false)
  })
})
