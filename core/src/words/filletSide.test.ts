/** A steak with its bone in the middle: its two sides finish apart. */
import { describe, expect, it } from 'vitest'
import { planUnderWay } from '#core/estimate/underWay'
import { asked, planned } from '#core/plan/planned.fixture'
import { caveats } from './caveats'
import { filletThereAt } from '#core/plan/filletSide'

const steak = (thicknessMm: number) => ({ cutId: 't-bone', thicknessMm, weightG: 20 * thicknessMm, widthMm: 150, lengthMm: 210 })

describe('the fillet side', () => {
  it.each([
    ['grill', {}],
    ['two-zone grill', {}],
    ['sear then oven', {}],
    ['oven then sear', {}],
    ['bath then sear', {}]
  ] as const)('by %s it comes further than the strip side, the more the thicker, and not by two donenesses', (kind, settings) => {
    const [thin, thick] = [25, 45].map(mm => {
      const { plan } = planned(asked(kind, settings, steak(mm)))
      return plan.filletSide!.peak.core - plan.peak.core
    })
    expect(thin).toBeGreaterThan(0)
    expect(thick).toBeGreaterThan(thin)
    expect(thick).toBeLessThan(8)
  })

  it('is there before the other, the sooner the further it comes; and where both come together it is not said', () => {
    const { plan: apart } = planned(asked('sear then oven', {}, steak(45)))
    const there = filletThereAt(apart)!
    expect(there).toBeGreaterThan(0.5 * apart.pull.time)
    expect(there).toBeLessThan(apart.pull.time - 60)
    const { plan: together } = planned(asked('pan sear', {}, steak(25)))
    expect(filletThereAt({ ...together, target: together.target + 5 })).toBeNull()
  })

  it('is of such a cut alone, and a caveat names both figures', () => {
    const { request, plan } = planned(asked('sear then oven', {}, steak(45)))
    expect(caveats(request, plan, 'metric').join(' ')).toMatch(
      /fillet side is the narrower and comes to 6\d\s°C where its strip side comes to 54\s°C/
    )
    expect(planned(asked('sear then oven')).plan.filletSide).toBeNull()
  })

  it('goes by what has happened: pulled a fifth later, it is further', () => {
    const { method, setup, plan } = planned(asked('grill', {}, steak(45)))
    const [inTime, late] = [0.5, 0.6].map(share => {
      const seconds = share * plan.pull.time
      const past = [
        { stage: 0, down: 'first', seconds },
        { stage: 0, down: 'second', seconds }
      ] as const
      return planUnderWay(method, setup, 54, { past, off: true, again: false }, plan.free).filletSide!
    })
    expect(late.peak.core).toBeGreaterThan(inTime.peak.core + 4)
  })
})
