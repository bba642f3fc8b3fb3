/** Guests late while the joint is in its oven, or the joint itself: what that would have to be turned to, and that what is past stays past. */
import { describe, expect, it } from 'vitest'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by } from '#core/request/request'
import { happenedUntil, progressOf } from '#core/session/progress'
import type { CookEvent } from '#core/session/events'
import { turnedOven, forecast, type Forecast, type ForecastQuestion } from './forecast'

const MIN = 60
const piece = {
  ...FIRST_REQUEST.piece,
  cutId: 'ribeye',
  form: 'roast' as const,
  weightG: 1500,
  thicknessMm: 90,
  widthMm: 95,
  lengthMm: 190
}
const { request, plan } = planned(by({ ...FIRST_REQUEST, piece }, 'roast', { ovenC: 150, searS: 240 }))
const said = (id: string, at: number, rest: object): CookEvent => ({ id, at: 1000 * at, entered: 1000 * at, ...rest }) as CookEvent
const [, inOven] = plan.phases
const begun = [said('laid', 0, { kind: 'laid' }), said('in', inOven.from, { kind: 'moved' })]
const asked = (events: readonly CookEvent[], now: number): ForecastQuestion => {
  const happened = happenedUntil(events, 1000 * now)
  return { request, freeS: plan.free, happened, readings: [], byLastReading: { past: [], off: false, again: false }, restingS: 0 }
}
const answered = (question: ForecastQuestion): Forecast => {
  const found = forecast(question)
  if ('refused' in found) throw new Error(found.refused)
  return found
}
/** Of one alone in its oven. */
const alone = (question: ForecastQuestion, laterS: number): { readonly ovenC: number; readonly forecast: Forecast } | null => {
  const found = turnedOven([question], laterS)
  return found && { ovenC: found.ovenC, forecast: found.forecasts[0]! }
}
const half = inOven.from + 0.5 * (inOven.to - inOven.from)

describe('an oven turned down while it is waited for', () => {
  const before = answered(asked(begun, half))
  const turned = alone(asked(begun, half), 25 * MIN)!

  it('is cooler, by fives, and the joint is carved about so much later, as done as it was to be', () => {
    expect(inOven.phase).toBe('oven')
    expect(turned.ovenC).toBeLessThan(150)
    expect(turned.ovenC % 5).toBe(0)
    const later = turned.forecast.plan.carve.time - before.plan.carve.time
    expect(later).toBeGreaterThan(15 * MIN)
    expect(later).toBeLessThan(35 * MIN)
    expect(Math.abs(turned.forecast.plan.peak.core - before.plan.peak.core)).toBeLessThan(1)
    // Gentler heat leaves less to climb.
    const climb = (f: Forecast): number => f.plan.peak.core - f.plan.pull.core
    expect(climb(turned.forecast)).toBeLessThan(climb(before))
  })

  it('for longer is cooler still; for longer than a table waits it is not offered', () => {
    expect(alone(asked(begun, half), 40 * MIN)!.ovenC).toBeLessThan(turned.ovenC)
    expect(alone(asked(begun, half), 4 * 3600)).toBeNull()
  })

  it('is not offered in the pan, before it is in, nor off the heat', () => {
    expect(alone(asked(begun.slice(0, 1), 30), 20 * MIN)).toBeNull()
    expect(alone(asked([], 0), 20 * MIN)).toBeNull()
    expect(alone(asked([...begun, said('out', half, { kind: 'pulled' })], half + 60), 20 * MIN)).toBeNull()
  })

  it('said and taken, the past stays as it was, what is to come goes at the new heat, and nothing more is called for', () => {
    const events = [...begun, said('late', half, { kind: 'delayed', seconds: 25 * MIN, ovenC: turned.ovenC })]
    expect(progressOf(events).later).toEqual({ in: 0, rest: 0, held: 0, flash: 0 })
    const [, first, second] = happenedUntil(events, 1000 * (half + 600)).past
    expect(first.stage).toBe(1)
    expect(first.seconds).toBeCloseTo(half - inOven.from, 3)
    expect(first.set).toBeUndefined()
    expect(second).toMatchObject({ stage: 1, set: { ovenC: turned.ovenC } })
    expect(second.seconds).toBeCloseTo(600, 3)
    const now = answered(asked(events, half + 600))
    expect(Math.abs(now.plan.carve.time - turned.forecast.plan.carve.time)).toBeLessThan(2 * MIN)
    expect(now.plan.marks.map(m => m.stage)).toEqual(before.plan.marks.map(m => m.stage))
    expect(now.plan.phases.map(p => [p.phase, p.spells])).toEqual(before.plan.phases.map(p => [p.phase, p.spells]))
    expect(happenedUntil(events, 1000 * half).past.at(-1)).toMatchObject({ seconds: 0, set: { ovenC: turned.ovenC } })
    const undone = [...events, said('undo', half + 30, { kind: 'undone', undoes: 'late' })]
    expect(happenedUntil(undone, 1000 * half).past).toEqual(happenedUntil(begun, 1000 * half).past)
  })
})

describe('an oven turned up for a joint that is behind', () => {
  const before = answered(asked(begun, half))
  const climb = (f: Forecast): number => f.plan.peak.core - f.plan.pull.core

  it('is hotter, by fives, and the joint is carved sooner, as done as it was to be, with more left to climb', () => {
    const turned = alone(asked(begun, half), -10 * MIN)!
    expect(turned.ovenC).toBeGreaterThan(150)
    expect(turned.ovenC % 5).toBe(0)
    const sooner = before.plan.carve.time - turned.forecast.plan.carve.time
    expect(sooner).toBeGreaterThan(5 * MIN)
    expect(sooner).toBeLessThan(13 * MIN)
    expect(Math.abs(turned.forecast.plan.peak.core - before.plan.peak.core)).toBeLessThan(1)
    expect(climb(turned.forecast)).toBeGreaterThan(climb(before))
  })

  it('never by more than sixty degrees: what that does not make up for is said as what it wins', () => {
    const turned = alone(asked(begun, half), -3 * 3600)!
    expect(turned.ovenC).toBe(210)
    expect(before.plan.carve.time - turned.forecast.plan.carve.time).toBeLessThan(before.plan.pull.time - half)
  })

  it('a minute before it comes out there is nothing left to win', () => {
    expect(alone(asked(begun, before.plan.pull.time - 60), -10 * MIN)).toBeNull()
  })

  it('of an oven that was found to be slow it is the dial that is turned: what it is short of stays', () => {
    const slow = { ...request, kit: { ...request.kit, oven: { ...request.kit.oven!, offsetC: -20 } } }
    const turned = alone({ ...asked(begun, half), request: slow }, -10 * MIN)!
    const straight = alone(asked(begun, half), -10 * MIN)!
    expect(turned.forecast.plan.carve.time).toBeGreaterThan(straight.forecast.plan.carve.time)
  })
})

describe('two in one oven', () => {
  const smaller = { ...piece, weightG: 900, thicknessMm: 70, widthMm: 75, lengthMm: 170 }
  const other = planned(by({ ...FIRST_REQUEST, piece: smaller }, 'roast', { ovenC: 150 }))
  const otherAsked = (now: number): ForecastQuestion => ({ ...asked(begun, now), request: other.request, freeS: other.plan.free })
  const now = 0.3 * half
  const [big, small] = [answered(asked(begun, now)), answered(otherAsked(now))]

  it('have one dial: later, the one that it delays the most is what the table waits for, and the other is ready by then', () => {
    const turned = turnedOven([asked(begun, now), otherAsked(now)], 25 * MIN)!
    const [bigger, lesser] = turned.forecasts as [Forecast, Forecast]
    const later = [bigger.plan.carve.time - big.plan.carve.time, lesser.plan.carve.time - small.plan.carve.time]
    expect(Math.abs(Math.max(...later) - 25 * MIN)).toBeLessThan(8 * MIN)
    expect(Math.min(...later)).toBeGreaterThan(0)
    for (const { plan: of } of [bigger, lesser]) expect(of.peak.core).toBeGreaterThan(of.target - 2)
    // Alone the joint could be left in a hotter one, or in a cooler: never in two at once.
    expect(alone(asked(begun, now), 25 * MIN)!.ovenC).toBeGreaterThanOrEqual(turned.ovenC)
  })

  it('sooner for the one that is behind, the other goes along and is no more done for it', () => {
    const turned = turnedOven([asked(begun, now), otherAsked(now)], -10 * MIN)!
    const [bigger, lesser] = turned.forecasts as [Forecast, Forecast]
    expect(big.plan.carve.time - bigger.plan.carve.time).toBeGreaterThan(5 * MIN)
    expect(lesser.plan.carve.time).toBeLessThan(small.plan.carve.time)
    expect(Math.abs(lesser.plan.peak.core - small.plan.peak.core)).toBeLessThan(1)
  })

  it('what is not in it does not count, and is not told of', () => {
    const turned = turnedOven([asked(begun.slice(0, 1), 30), asked(begun, half)], 25 * MIN)!
    expect(turned.forecasts[0]).toBeNull()
    expect(turned.forecasts[1]!.plan.carve.time).toBeCloseTo(alone(asked(begun, half), 25 * MIN)!.forecast.plan.carve.time, 6)
  })

  it('set to different heats they are in two ovens, and neither is turned for the other', () => {
    const hotter = { ...otherAsked(now), request: by(other.request, 'roast', { ovenC: 170 }) }
    expect(turnedOven([asked(begun, now), hotter], 25 * MIN)).toBeNull()
  })
})

describe('an oven with a dish in it', () => {
  it('is turned no further than the dish bears', () => {
    const free = alone(asked(begun, half), 25 * MIN)!
    expect(turnedOven([asked(begun, half)], 25 * MIN, [free.ovenC, 230])!.ovenC).toBe(free.ovenC)
    expect(turnedOven([asked(begun, half)], 25 * MIN, [150, 230])).toBeNull()
    expect(turnedOven([asked(begun, half)], -3 * 3600, [120, 180])!.ovenC).toBe(180)
  })
})
