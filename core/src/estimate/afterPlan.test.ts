/** What is asked of a plan once it is made: how sure, what if, whose comes out when, what goes back, what is kept. */
import { describe, expect, it } from 'vitest'
import type { MethodKind } from '#core/method/methods'
import type { Settings } from '#core/method/dials'
import { asked, planned, type PlannedCase } from '#core/plan/planned.fixture'
import { chilled } from '#core/plan/keeping'
import { InfeasibleError, planMethod, plateInUse } from '#core/plan/plan'
import { potAfter, potWater, topUpLitres } from '#core/plan/potWater'
import { secondServing } from '#core/plan/secondServing'
import { carvedAtOnce } from '#core/plan/carvedAtOnce'
import { whatIf, type WhatIfId } from '#core/plan/whatIf'
import { spreadOf } from './spread'
import { USUAL_KIT, usualSettings } from '#core/method/usual'
import { KITCHEN } from '#core/kit/air'

const made = (kind: MethodKind, settings: Settings = {}, targetC = 54): PlannedCase => planned(asked(kind, settings, {}, targetC))

describe('how sure a plan is', () => {
  it('holds the plan itself, is wider by the clock for an oven than for a bath, and says the same each time', () => {
    const oven = made('sear then oven')
    const sure = spreadOf(oven.method, oven.setup, oven.plan)
    expect(sure.pull[0]).toBeLessThan(oven.plan.pull.time)
    expect(sure.pull[2]).toBeGreaterThan(oven.plan.pull.time)
    expect(sure).toEqual(spreadOf(oven.method, oven.setup, oven.plan))
    sure.time.forEach((_, i) => expect(sure.low[i]).toBeLessThanOrEqual(sure.high[i]))
    const bath = made('bath then sear')
    const still = spreadOf(bath.method, bath.setup, bath.plan)
    expect(still.peakByClock[2] - still.peakByClock[0]).toBeLessThan(sure.peakByClock[2] - sure.peakByClock[0])
  })
})

describe('what if', () => {
  it('thicker, colder dials and an early knife leave it rarer; thinner, hotter ones and lateness further done', () => {
    const signs: Partial<Record<WhatIfId, 1 | -1>> = {
      thicker: -1,
      thinner: 1,
      'cooler pan': -1,
      'hotter oven': 1,
      'hotter coals': 1,
      'cooler lid': -1,
      'warmer bath': 1,
      'no lid': -1,
      late: 1,
      'tucked in': 1,
      'no rest': -1
    }
    for (const kind of ['sear then oven', 'two-zone grill', 'pot'] as const) {
      const { method, setup, plan } = made(kind)
      for (const { id, offK } of whatIf(method, setup, plan))
        if (signs[id]) expect(offK * signs[id], `${kind}: ${id}`).toBeGreaterThanOrEqual(-0.05)
    }
  })
})

describe('several donenesses', () => {
  it('a piece each: all are carved at once, the one further done goes in first', () => {
    const plans = [50, 54, 62].map(target => made('sear then oven', {}, target).plan)
    const slots = carvedAtOnce(plans)
    expect(slots.map(s => s.targetC)).toEqual([62, 54, 50])
    expect(slots[0].inAt).toBe(0)
    for (const s of slots) {
      const plan = plans.find(p => p.target === s.targetC)!
      expect(s.inAt + plan.carve.time).toBeCloseTo(plans[2].carve.time, 6)
    }
  })

  it('one piece: what goes back peaks where it was wanted; a gentle oven leaves it to the pan; less done than it is cannot be had', () => {
    const hot = made('sear then oven', {}, 52)
    const again = secondServing(hot.method, hot.setup, hot.plan, 60)
    expect(again.where).toBe('oven')
    expect(again.pullC).toBeGreaterThan(hot.plan.carve.core)
    expect(again.pullC).toBeLessThan(60)
    const gentle = made('oven then sear', {}, 52)
    const pan = secondServing(gentle.method, gentle.setup, gentle.plan, 60)
    expect(pan.where).toBe('pan')
    expect(pan.seconds).toBeLessThan(6 * 60)
    expect(() => secondServing(hot.method, hot.setup, hot.plan, 48)).toThrow(InfeasibleError)
  })
})

describe('kept for another day', () => {
  it('ice water chills in a fraction of what the fridge takes, and a thicker piece later', () => {
    const { method, setup, plan } = made('bath then sear')
    const kept = chilled(method, setup, plan)
    expect(kept.inIceS).toBeLessThan(kept.inFridgeS / 1.8)
    // Cold goes in as heat did: within a half or twice the time that the bath took to get near its water.
    expect(kept.inIceS / plan.free).toBeGreaterThan(0.4)
    expect(kept.inIceS / plan.free).toBeLessThan(2)
    const thick = { ...setup, piece: { ...setup.piece, thicknessMm: 50, weightG: 1200 } }
    expect(chilled(method, thick, planMethod(method, thick, 54)).inIceS).toBeGreaterThan(1.3 * kept.inIceS)
  })
})

describe('water without a machine', () => {
  const pot = usualSettings(USUAL_KIT, 54).pot

  it('4 parts at 100 °C and 1 part at 12 °C are 82 °C, and a little less in the pot', () => {
    const water = potWater(pot, KITCHEN)
    expect(water.mixedC).toBeCloseTo(82.4, 1)
    expect(water.inPotC).toBeLessThan(water.mixedC)
    expect(water.inPotC).toBeGreaterThan(water.mixedC - 4)
    expect(water.boilingL + water.coldL).toBeCloseTo(pot.pot.litres, 9)
    expect(potWater(pot, { ...KITCHEN, altitudeM: 1500 }).mixedC).toBeLessThan(water.mixedC - 3)
  })

  it('what is topped up brings back what was lost: by hand, 4 L and its pot from 74 to 76 with boiling water', () => {
    const litres = topUpLitres(pot, KITCHEN, 74, 76)!
    expect(litres).toBeCloseTo(((4 + 700 / 4070) * 2) / 24, 3)
    expect(topUpLitres(pot, KITCHEN, 90, 99.5)).toBeNull()
    expect(potAfter({ ...pot, lid: true }, KITCHEN, 80, 1800)).toBeGreaterThan(potAfter({ ...pot, lid: false }, KITCHEN, 80, 1800) + 5)
  })

  it('only what it lies in is shown as what it lies in', () => {
    const { plan } = made('sear then oven')
    const shown = plateInUse(plan)
    const oven = plan.phases.find(p => p.phase === 'oven')!
    plan.history.time.forEach((t, i) => {
      if (t > oven.from && t < oven.to) expect(shown[i]).toBeNull()
    })
    expect(shown.some(p => p !== null)).toBe(true)
  })
})
