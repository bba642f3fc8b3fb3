/** A big rib roast as a cook would plan it: no figure that a cook would laugh at, and no work that cannot be let go. */
import { describe, expect, it } from 'vitest'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import type { Steps } from '#core/numerics/steps'
import { misjudging } from '#core/plan/misjudged'
import type { Plan } from '#core/plan/plan'
import { asked, planned } from '#core/plan/planned.fixture'
import { consequences, whatIf } from '#core/plan/whatIf'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { PlanRequest } from '#core/request/request'
import { spreading, spreadOf } from './spread'

const joint = (across: number, length: number, ovenC = 180): PlanRequest =>
  asked('roast', { ovenC, searS: 0 }, { cutId: 'ribeye', thicknessMm: across, widthMm: across, lengthMm: length, weightG: 3200 })
const roasted = (request: PlanRequest): Plan => planned(request).plan

describe('3.2 kg of rib', () => {
  const plans = [110, 140, 160, 180].map(ovenC => roasted(joint(133, 217, ovenC)))
  const climbs = plans.map(p => p.peak.core - p.pull.core)

  it('climbs further the hotter the oven: a few degrees from a low one, not past a dozen or so from a hot one', () => {
    climbs.slice(1).forEach((climb, i) => expect(climb).toBeGreaterThan(climbs[i]))
    expect(climbs[0]).toBeLessThan(5)
    expect(climbs[3]).toBeLessThan(14)
    for (const p of plans) expect(Math.abs(p.peak.core - 54)).toBeLessThan(0.15)
  })

  it('is called a joint, not a steak; a strip steak keeps its name', () => {
    const { piece } = joint(133, 217)
    expect(pieceName(piece, cutById('ribeye')!)).toMatch(/joint$/)
    expect(pieceName(FIRST_REQUEST.piece, cutById('strip')!)).toBe(cutById('strip')!.name)
  })

  it('is carved after half an hour at most, with a crust, and has lost what roasts lose', () => {
    for (const p of plans) {
      expect(p.carve.time - p.pull.time).toBeLessThan(1801)
      expect(p.loss).toBeGreaterThan(0.1)
      expect(p.loss).toBeLessThan(0.28)
    }
    expect(plans[3].section.side?.crustMm).toBeGreaterThan(0.5)
  })

  it('short and thick it comes out sooner, and still not cold', () => {
    const { pull } = roasted(joint(151, 170))
    expect(pull.core).toBeLessThan(plans[3].pull.core)
    expect(pull.core).toBeGreaterThan(38)
  })
})

describe('what follows from a plan goes step by step, so that it can be let go', () => {
  const { method, setup, plan } = planned(joint(110, 318, 170))
  function counted<T>(steps: Steps<T>): { readonly count: number; readonly value: T } {
    for (let count = 0; ; count++) {
      const step = steps.next()
      if (step.done === true) return { count, value: step.value }
    }
  }

  it('as many steps as runs, and the same answer as all at once', () => {
    const spread = counted(spreading(method, setup, plan))
    expect(spread.count).toBeGreaterThan(40)
    expect(spread.value).toEqual(spreadOf(method, setup, plan))
    const found = counted(consequences(method, setup, plan))
    expect(found.count).toBe(found.value.length)
    expect(found.value).toEqual(whatIf(method, setup, plan))
    expect(counted(misjudging(method, setup, plan)).count).toBe(1)
  })
})
