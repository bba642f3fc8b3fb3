import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { panStages, panSubject, type Turning } from '#core/method/panSear'
import { KEEP_ENDS, run } from '#core/heat/program'
import { followRest, planPanSear } from './panPlan'
import { InfeasibleError } from './plan'
import { planSpread } from './spread'
import { stripSetup } from '#core/method/setups.fixture'

const pull = (...[piece, settings]: Parameters<typeof stripSetup>): number => planPanSear(stripSetup(piece, settings), 54).pull.time

describe('the pull is early enough that the least cooked point peaks at the target', () => {
  it.each(['once', 'twice a side', 'every 60 s', 'every 30 s'] as const)('turned %s', (turning: Turning) => {
    const setup = stripSetup({ thicknessMm: 32 }, { turning })
    const plan = planPanSear(setup, 54)
    const again = run(panSubject(setup), panStages(setup, plan.spells, 2400), KEEP_ENDS)
    expect(Math.abs(again.peak.core - 54)).toBeLessThan(0.1)
    expect(plan.pull.core).toBeLessThan(53)
  })

  it('for any sensible piece and target', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 15, max: 55 }),
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 46, max: 68 }),
        fc.integer({ min: 160, max: 260 }),
        (thicknessMm, startC, target, panC) => {
          const plan = planPanSear(stripSetup({ thicknessMm, startC }, { panC, turning: 'every 60 s' }), target)
          expect(Math.abs(plan.peak.core - target)).toBeLessThan(0.15)
          expect(plan.pull.core).toBeLessThan(target + 0.15)
        }
      ),
      { numRuns: 15, seed: 7 }
    )
  })
})

describe('what every cook knows', () => {
  it('thicker is slower, by more than in proportion', () => {
    const times = [20, 30, 40, 50].map(thicknessMm => pull({ thicknessMm }))
    for (let i = 1; i < times.length; i++) expect(times[i] / times[i - 1]).toBeGreaterThan([30 / 20, 40 / 30, 50 / 40][i - 1])
  })

  it('colder is slower, but not by much', () => {
    const cold = pull({ thicknessMm: 32, startC: 3 })
    const out = pull({ thicknessMm: 32, startC: 13 })
    expect(cold).toBeGreaterThan(out)
    expect(cold - out).toBeLessThan(180)
  })

  it('a hotter pan barely moves the centre and thickens the crust', () => {
    const plans = [190, 250].map(panC => planPanSear(stripSetup({ thicknessMm: 32 }, { panC }), 54))
    expect(plans[1].pull.time).toBeLessThan(plans[0].pull.time)
    expect(plans[1].pull.time).toBeGreaterThan(0.75 * plans[0].pull.time)
    expect(plans[1].section.crustMm[0]).toBeGreaterThan(plans[0].section.crustMm[0])
  })

  it('turned often the centre arrives sooner, rises more in the rest and the grey edge is thinner', () => {
    const [once, often] = (['once', 'every 60 s'] as const).map(turning => planPanSear(stripSetup({}, { turning }), 54))
    expect(often.pull.time).toBeLessThan(once.pull.time)
    expect(often.peak.core - often.pull.core).toBeGreaterThan(once.peak.core - once.pull.core)
    expect(often.section.greyMm[0] + often.section.greyMm[1]).toBeLessThan(once.section.greyMm[0] + once.section.greyMm[1])
  })

  it('a wet face must boil dry before it browns: it passes 120 °C many seconds after a dry one', () => {
    const browns = (surface: 'aired' | 'wet'): number => {
      const setup = stripSetup({ thicknessMm: 25, surface })
      const { history } = run(panSubject(setup), panStages(setup, [{ state: 'first down', seconds: 180 }], 0), { ...KEEP_ENDS, every: 1 })
      return history.time[history.first.findIndex(T => (T ?? 0) > 120)]
    }
    expect(browns('wet') - browns('aired')).toBeGreaterThan(8)
    expect(browns('aired')).toBeLessThan(60)
  })

  it('a crowded thin pan sags far below the pan that holds its heat', () => {
    const piece = { thicknessMm: 25, weightG: 380 }
    const heavy = planPanSear(stripSetup({ ...piece, count: 1 }), 54)
    const crowded = planPanSear(stripSetup({ ...piece, count: 3 }), 54)
    expect(crowded.coldestPan).toBeLessThan(heavy.coldestPan - 15)
    expect(crowded.pull.time).toBeGreaterThan(heavy.pull.time)
  })
})

describe('a 38 mm and a 25 mm strip from the fridge to 54 °C', () => {
  it('38 mm: 12–16 min, off at 40–46 °C, up by itself ten degrees or so in 4–9 min', () => {
    const plan = planPanSear(stripSetup(), 54)
    expect(plan.pull.time / 60).toBeGreaterThan(12)
    expect(plan.pull.time / 60).toBeLessThan(16)
    expect(plan.peak.core - plan.pull.core).toBeGreaterThan(7)
    expect(plan.peak.core - plan.pull.core).toBeLessThan(13)
    expect((plan.peak.time - plan.pull.time) / 60).toBeGreaterThan(4)
    expect((plan.peak.time - plan.pull.time) / 60).toBeLessThan(9)
  })

  it('25 mm: 5½–8 min', () => {
    const plan = planPanSear(stripSetup({ thicknessMm: 25 }), 54)
    expect(plan.pull.time / 60).toBeGreaterThan(5.5)
    expect(plan.pull.time / 60).toBeLessThan(8)
  })
})

describe('what cannot be had is refused with what can', () => {
  it('too thick: how far a pan gets', () => {
    expect(() => planPanSear(stripSetup({ thicknessMm: 100, weightG: 1100 }, { turning: 'once' }), 70)).toThrow(InfeasibleError)
  })

  it('too thin and warm: where the shortest sear ends', () => {
    const thin = (): unknown => planPanSear(stripSetup({ thicknessMm: 5, weightG: 60, startC: 25 }), 45)
    expect(thin).toThrow(/too thin|already too warm/)
  })
})

describe('a plan made in the middle of a cook', () => {
  const setup = stripSetup({ thicknessMm: 30 })
  const plan = planPanSear(setup, 54)

  it('agrees with the first one where all has gone by it', () => {
    const again = planPanSear(setup, 54, plan.spells.slice(0, 4))
    expect(Math.abs(again.pull.time - plan.pull.time)).toBeLessThan(12)
    expect(again.turns.slice(0, 3)).toEqual(plan.turns.slice(0, 3))
  })

  it('takes a late turn as it was and still lands on the target', () => {
    const late = [...plan.spells.slice(0, 2), { state: 'first down' as const, seconds: 150 }]
    const again = planPanSear(setup, 54, late)
    expect(Math.abs(again.peak.core - 54)).toBeLessThan(0.1)
    expect(again.spells.slice(0, 3)).toEqual(late)
  })

  it('forgotten on the heat: says that it will overshoot, and by what', () => {
    const forgotten = planPanSear(setup, 54, [
      { state: 'first down', seconds: 500 },
      { state: 'second down', seconds: 700 }
    ])
    expect(forgotten.overshoot).toBe(true)
    expect(forgotten.peak.core).toBeGreaterThan(57)
  })

  it('once off the heat the rest is followed as planned', () => {
    expect(followRest(setup, 54, plan.spells).peak.core).toBeCloseTo(plan.peak.core, 1)
  })
})

describe('the spread', () => {
  const setup = stripSetup({ thicknessMm: 32 })
  const plan = planPanSear(setup, 54)
  const spread = planSpread(setup, plan)

  it('holds the plan inside it and is the same each time', () => {
    expect(spread.pull[0]).toBeLessThan(plan.pull.time)
    expect(spread.pull[2]).toBeGreaterThan(plan.pull.time)
    expect(planSpread(setup, plan)).toEqual(spread)
  })

  it('by the clock alone the peak is uncertain by several degrees: the reason for the probe', () => {
    expect(spread.peakByClock[2] - spread.peakByClock[0]).toBeGreaterThan(3)
    expect(spread.peakByClock[2] - spread.peakByClock[0]).toBeLessThan(15)
  })
})
