/** The probe has the last word: one reading far off is doubted, two that agree are believed; in the rest too. */
import { describe, expect, it } from 'vitest'
import { valueAt } from '#core/heat/history'
import { asked, planned } from '#core/plan/planned.fixture'
import { forecast, type Forecast, type ForecastQuestion } from './forecast'
import { nextAction } from '#core/session/nextAction'
import { progressOf } from '#core/session/progress'
import { preheatsOf } from '#core/session/warmUp'
import type { CookEvent } from '#core/session/events'
import { asPlanned } from '#core/estimate/asPlanned'
import { onTheHeat, turnedEvery } from '#core/estimate/done.fixture'
import type { Observation } from '#core/estimate/prior'

const strip = planned(asked('pan sear', { turning: 'once' }, { thicknessMm: 38, weightG: 430, lengthMm: 160, widthMm: 85 }))
const roast = planned(asked('roast', { searS: 0 }))

/** What is forecast on the heat, as planned so far, from readings of it so far. */
function heard({ request, plan }: typeof strip, at: number, readings: readonly Observation[]): Forecast {
  const happened = onTheHeat(asPlanned(plan, at))
  const found = forecast({ request, freeS: plan.free, happened, readings, byLastReading: happened, restingS: 0 })
  if ('refused' in found) throw new Error(found.refused)
  return found
}
/** The same in the rest. */
function resting({ request, plan }: typeof strip, off: number, restingS: number, readings: readonly Observation[]): Forecast {
  const happened = onTheHeat(asPlanned(plan, off), { off: true })
  const question: ForecastQuestion = { request, freeS: plan.free, happened, readings, byLastReading: happened, restingS }
  const found = forecast(question)
  if ('refused' in found) throw new Error(found.refused)
  return found
}
const readsAt = ({ plan }: typeof strip, time: number): number => valueAt(plan.history.time, plan.history.probe, time)

describe('on the heat', () => {
  const at = 0.55 * strip.plan.pull.time
  const far = readsAt(strip, at) + 22

  it('a first reading far from the forecast is doubted and changes nothing', () => {
    const { heard: told, plan } = heard(strip, at, [{ time: at, celsius: far }])
    expect(told!.rejected).toHaveLength(1)
    expect(told!.impossible).toEqual([])
    expect(plan.pull.time / strip.plan.pull.time).toBeCloseTo(1, 1)
  })

  it('a second that agrees moves the forecast there: what it then expects is what is read', () => {
    const readings = [
      { time: at - 40, celsius: far - 2 },
      { time: at, celsius: far }
    ]
    const { heard: told, plan } = heard(strip, at, readings)
    expect(told!.rejected).toEqual([])
    expect(Math.abs(valueAt(plan.history.time, plan.history.probe, at) - far)).toBeLessThan(3)
    expect(plan.pull.time).toBeLessThan(strip.plan.pull.time - 60)
  })

  it('fifty, one, two and three, where thirty was expected, are believed, and it is to come off', () => {
    const now = 0.6 * strip.plan.pull.time
    const readings = [50, 51, 52, 53].map((celsius, i) => ({ time: now - 60 + 20 * i, celsius }))
    const { heard: told, plan } = heard(strip, now, readings)
    expect(told!.rejected.length).toBeLessThanOrEqual(1)
    expect(plan.pull.time).toBeLessThan(now + 30)
  })

  it('two that contradict each other move nothing', () => {
    const readings = [
      { time: at - 20, celsius: far },
      { time: at, celsius: far - 40 }
    ]
    expect(heard(strip, at, readings).heard!.rejected.length).toBeGreaterThanOrEqual(1)
    expect(heard(strip, at, readings).plan.pull.time / strip.plan.pull.time).toBeCloseTo(1, 0.7)
  })

  it('colder than it went in or as hot as boiling is never believed, however often', () => {
    for (const celsius of [-2, 95]) {
      const readings = [0, 20, 40].map(s => ({ time: at - s, celsius })).reverse()
      const { heard: told, plan } = heard(strip, at, readings)
      expect(told!.impossible).toHaveLength(3)
      expect(plan.pull.time).toBeCloseTo(heard(strip, at, []).plan.pull.time, 0)
    }
  })

  it('a joint far ahead of its plan is believed as a steak is', () => {
    const half = 0.5 * roast.plan.pull.time
    const ahead = readsAt(roast, half) + 25
    const readings = [
      { time: half - 120, celsius: ahead - 2 },
      { time: half, celsius: ahead }
    ]
    expect(heard(roast, half, readings).plan.pull.time).toBeLessThan(0.8 * roast.plan.pull.time)
  })

  it('read at or past what it comes off at, it comes off now', () => {
    const laidAt = 1_000_000
    const events: CookEvent[] = [
      { id: 'a', at: laidAt, entered: laidAt, kind: 'laid' },
      { id: 'b', at: laidAt + 300_000, entered: laidAt + 300_000, kind: 'reading', coreC: strip.plan.pull.probe + 1 }
    ]
    const progress = progressOf(events)
    const { plan } = heard(strip, 300, [])
    const preheats = preheatsOf(strip.request, plan.marks)
    expect(nextAction(progress, plan, preheats)!.does).toBe('turned')
    expect(nextAction(progress, plan, preheats, progress.readings[0])).toEqual({ does: 'pulled', due: laidAt + 300_000 })
  })
})

describe('in the rest', () => {
  const off = strip.plan.pull.time

  it('what is read as expected is as expected, at its own moment', () => {
    const time = off + 120
    const { heard: told } = resting(strip, off, 120, [{ time, celsius: readsAt(strip, time) }])
    expect(told!.rejected).toEqual([])
    expect(Math.abs(told!.expectedC! - readsAt(strip, time))).toBeLessThan(1)
  })

  it('colder than expected, it peaks lower, and is to go back for so long', () => {
    const time = off + 150
    const cold = readsAt(strip, time) - 7
    const { plan, backS } = resting(strip, off, 150, [{ time, celsius: cold }])
    expect(plan.peak.core).toBeLessThan(strip.plan.peak.core - 2.5)
    expect(backS).toBeGreaterThan(10)
    expect(backS).toBeLessThan(600)
  })

  it('hotter than expected, it peaks higher, and is not to go back', () => {
    const time = off + 150
    const { plan, backS } = resting(strip, off, 150, [{ time, celsius: readsAt(strip, time) + 5 }])
    expect(plan.peak.core).toBeGreaterThan(strip.plan.peak.core + 1.5)
    expect(backS).toBeNull()
  })

  it('taken off much too soon it is told how long it goes back, without any reading', () => {
    const { request, plan } = strip
    const past = turnedEvery(0, 0.4 * plan.pull.time, 0.2 * plan.pull.time)
    const happened = onTheHeat(past, { off: true })
    const found = forecast({ request, freeS: plan.free, happened, readings: [], byLastReading: happened, restingS: 60 })
    if ('refused' in found) throw new Error(found.refused)
    expect(found.backS).toBeGreaterThan(60)
  })
})

describe('a probe', () => {
  it('in a steak off a fierce sear shows a degree or so more than the coldest point, in a gently roasted joint hardly more', () => {
    const fierce = planned(asked('pan sear', { turning: 'every 60 s', panC: 230 })).plan
    expect(fierce.pull.probe - fierce.pull.core).toBeGreaterThan(0.5)
    expect(fierce.pull.probe - fierce.pull.core).toBeLessThan(3)
    const { pull } = planned(asked('roast', { searS: 0, ovenC: 120 })).plan
    expect(pull.probe - pull.core).toBeGreaterThanOrEqual(0)
    expect(pull.probe - pull.core).toBeLessThan(0.4)
  })
})
