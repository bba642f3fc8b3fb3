/** What happened is kept as it happened, the next thing is called in its turn, and what is called can be said. */
import { describe, expect, it } from 'vitest'
import { planUnderWay, type UnderWay } from '#core/estimate/underWay'
import type { Settings } from '#core/method/dials'
import { asked, planned } from '#core/plan/planned.fixture'
import { callFor, callsAfter, probedRangeFromNow, pullRangeFromNow, type Call } from './call'
import { standing, undoable, type CookEvent } from './events'
import { nextAction } from './nextAction'
import { atTheHeat, happenedUntil, progressOf, spentUntil } from './progress'
import { preheatsOf } from './warmUp'

const T0 = 1_750_000_000_000
type Said =
  | { kind: 'lit' | 'laid' | 'turned' | 'edged' | 'moved' | 'lifted' | 'returned' | 'pulled' | 'carved' }
  | { kind: 'reading'; coreC: number }
  | { kind: 'undone'; undoes: string }
const at = (seconds: number, what: Said, entered = seconds): CookEvent => ({
  id: `${what.kind}-${seconds}`,
  at: T0 + Math.round(seconds * 1000),
  entered: T0 + Math.round(entered * 1000),
  ...what
})
const now = (seconds: number): number => T0 + Math.round(seconds * 1000)
const lain = (events: readonly CookEvent[], until: number): string =>
  spentUntil(events, now(until))
    .map(s => `${s.stage === 'out' ? 'out' : `${s.stage} ${s.down}`} ${s.seconds}`)
    .join(', ')

describe('what happened is kept as it happened', () => {
  it('turned late, told later still: the spells are those of the meat, not of the clock', () => {
    expect(lain([at(0, { kind: 'laid' }), at(75, { kind: 'turned' }, 110)], 120)).toBe('0 first 75, 0 second 45')
  })

  it('lifted out for a while, it is out of the pan for that while and comes back on the same side', () => {
    const events = [at(0, { kind: 'laid' }), at(60, { kind: 'turned' }), at(90, { kind: 'lifted' }), at(130, { kind: 'returned' })]
    expect(lain(events, 150)).toBe('0 first 60, 0 second 30, out 40, 0 second 20')
    expect(atTheHeat(spentUntil(events, now(150)))).toBe(110)
  })

  it('moved on it is in the next stage, on its first face again', () => {
    const events = [at(0, { kind: 'laid' }), at(60, { kind: 'turned' }), at(120, { kind: 'moved' }), at(400, { kind: 'pulled' })]
    expect(lain(events, 9999)).toBe('0 first 60, 0 second 60, 1 first 280')
  })

  it('undone is as if it had not been, and yet it is still written', () => {
    const events = [at(0, { kind: 'laid' }), at(60, { kind: 'turned' }), at(62, { kind: 'undone', undoes: 'turned-60' })]
    expect(progressOf(events).turns).toBe(0)
    expect(lain(events, 100)).toBe('0 first 100')
    expect(events).toHaveLength(3)
    expect(undoable(events)?.kind).toBe('laid')
    expect(standing(events).map(e => e.kind)).toEqual(['laid'])
  })

  it('the rest begins at the pull; put back in the pan, the pull was a pause', () => {
    const pulled = [at(0, { kind: 'laid' }), at(300, { kind: 'turned' }), at(500, { kind: 'pulled' })]
    expect(progressOf(pulled).state).toBe('resting')
    expect(spentUntil(pulled, now(700)).reduce((sum, s) => sum + s.seconds, 0)).toBe(500)
    const back = [...pulled, at(560, { kind: 'returned' })]
    expect(progressOf(back)).toMatchObject({ state: 'on the heat', again: true })
    expect(lain(back, 600)).toBe('0 first 300, 0 second 200, out 60, 0 second 40')
    expect(happenedUntil(back, now(600))).toMatchObject({ off: false, again: true })
  })

  it('readings are kept with their moment', () => {
    expect(progressOf([at(0, { kind: 'laid' }), at(120, { kind: 'reading', coreC: 17.5 })]).readings).toEqual([{ time: 120, coreC: 17.5 }])
  })
})

const made = (settings: Settings = {}) => {
  const { method, setup, plan, request } = planned(asked('pan sear', settings, { thicknessMm: 28, weightG: 322 }))
  const from = (events: readonly CookEvent[], seconds: number): UnderWay =>
    planUnderWay(method, setup, 54, happenedUntil(events, now(seconds)), plan.free)
  const next = (events: readonly CookEvent[], seconds: number) => {
    const forecast = from(events, seconds)
    return nextAction(progressOf(events), forecast, preheatsOf(request, forecast.marks))
  }
  return { plan, request, from, next }
}

describe('in the pan', () => {
  it('light, lay in when the pan is hot, turn, turn, turn, off, carve', () => {
    const { plan, next } = made({ turning: 'twice a side' })
    const events: CookEvent[] = []
    expect(next(events, -300)).toEqual({ does: 'lit', due: null })
    events.push(at(-200, { kind: 'lit' }))
    const laid = next(events, -100)!
    expect(laid.does).toBe('laid')
    expect((laid.due! - now(-200)) / 1000).toBeGreaterThan(120)
    events.push(at(0, { kind: 'laid' }))
    for (const { from } of plan.marks.slice(1)) {
      const turn = next(events, from - 1)!
      expect(turn.does).toBe('turned')
      expect(Math.abs(turn.due! - now(from))).toBeLessThan(8000)
      events.push(at(from, { kind: 'turned' }))
    }
    expect(next(events, plan.pull.time - 2)?.does).toBe('pulled')
    events.push(at(plan.pull.time, { kind: 'pulled' }))
    expect(next(events, plan.pull.time)?.does).toBe('carved')
    events.push(at(plan.carve.time, { kind: 'carved' }))
    expect(next(events, plan.carve.time)).toBeNull()
  })

  it('the fat edge comes after the last turn, once', () => {
    const { plan, next, from, request } = made({ turning: 'twice a side', fatEdgeS: 60 })
    const edge = plan.marks.at(-1)!
    const events = [at(0, { kind: 'laid' }), ...plan.marks.slice(1, -1).map(m => at(m.from, { kind: 'turned' }))]
    expect(next(events, edge.from - 1)).toMatchObject({ does: 'edged' })
    const call = callFor(
      { does: 'edged', due: null },
      { request, progress: progressOf(events), forecast: from(events, edge.from) },
      'metric'
    )
    expect(call.says).toContain('fat edge')
    expect(call.advice).toContain('60')
    expect(next([...events, at(edge.from, { kind: 'edged' })], edge.from + 5)?.does).toBe('pulled')
  })
})

describe('what is called out', () => {
  const { plan, request, from } = made()
  const laid = [at(0, { kind: 'laid' })]
  const call = (does: 'turned' | 'pulled' | 'carved', forecast: UnderWay, asked = request, system: 'metric' | 'us' = 'metric'): Call =>
    callFor({ does, due: null }, { request: asked, progress: progressOf(laid), forecast }, system)
  const fresh = from(laid, 1)
  const done = (until: number, ...more: CookEvent[]): CookEvent[] => [
    ...laid,
    ...plan.marks.slice(1).flatMap(m => (m.from < until ? [at(m.from, { kind: 'turned' })] : [])),
    ...more
  ]

  it('names the piece, or the pieces', () => {
    expect(call('turned', fresh).says).toBe('Turn the strip steak')
    expect(call('turned', fresh, { ...request, piece: { ...request.piece, count: 2 } }).says).toBe('Turn the 2 pieces')
  })

  it('at the pull it gives the reading to wait for, in the cook’s own degrees, or says that it is too late', () => {
    expect(call('pulled', fresh).advice).toContain(`${Math.round(fresh.pull.probe)}\u00a0°C`)
    expect(call('pulled', fresh, request, 'us').advice).toMatch(/°F/)
    expect(call('pulled', from(laid, 1500)).advice).toMatch(/whatever you do/)
  })

  it('in the rest it says where the piece will end when that is not where it was to', () => {
    const rested = (until: number): UnderWay => from(done(until, at(until, { kind: 'pulled' })), until + 60)
    expect(call('carved', rested(plan.pull.time)).advice).toMatch(/Leave it alone/)
    expect(call('carved', rested(0.85 * plan.pull.time)).advice).toMatch(/Pulled early: .*, or serve it rarer\.$/)
    expect(call('carved', rested(0.5 * plan.pull.time)).advice).toMatch(/Pulled early: .*; as it is it is raw inside\.$/)
    expect(call('carved', rested(plan.pull.time + 240)).advice).toMatch(/carve sooner/)
  })

  it('the range of the pull moves with the forecast and is never in the past', () => {
    const later = { ...plan, pull: { ...plan.pull, time: plan.pull.time + 30 } }
    const [low, high] = pullRangeFromNow(later, plan.pull.time, [400, 450, 520], 100)
    expect(low).toBeCloseTo(330, 6)
    expect(high).toBeCloseTo(450, 6)
    expect(pullRangeFromNow(plan, plan.pull.time, [400, 450, 520], 5000)).toEqual([0, 0])
    const probed = probedRangeFromNow(plan, { sooner: 0.95, later: 1.1 }, 100)
    expect(probed[0]).toBeCloseTo(0.95 * plan.pull.time - 100, 9)
    expect(probed[1]).toBeCloseTo(1.1 * plan.pull.time - 100, 9)
    // Only the free time is uncertain: a sear of its own length before it is not.
    expect(probedRangeFromNow({ pull: { time: 900, core: 50, probe: 50 }, free: 600 }, { sooner: 0.9, later: 1.1 }, 0)).toEqual([840, 960])
    expect(probedRangeFromNow(plan, { sooner: 0.95, later: 1.1 }, 5000)).toEqual([0, 0])
    const stand = { request, progress: progressOf(laid), forecast: fresh }
    expect(callsAfter({ does: 'turned', due: null }, stand, [330, 450], 0, 'metric').map(c => c.what)).toEqual([
      expect.stringMatching(/^off the heat at/),
      'rest'
    ])
    expect(callsAfter({ does: 'pulled', due: null }, stand, [0, 0], 0, 'metric').map(c => c.what)).toEqual(['rest'])
  })
})

describe('what is said this very moment', () => {
  const turned = [at(0, { kind: 'laid' }), at(24, { kind: 'turned' })]

  it('has been done: the piece lies on its other face, is out, is in the next stage', () => {
    expect(lain(turned, 24)).toBe('0 first 24, 0 second 0')
    expect(lain([...turned, at(60, { kind: 'lifted' })], 60)).toBe('0 first 24, 0 second 36, out 0')
    expect(lain([...turned, at(60, { kind: 'moved' })], 60)).toBe('0 first 24, 0 second 36, 1 first 0')
  })

  it('laid in or taken off for good, nothing is behind it yet but what was', () => {
    expect(lain([at(0, { kind: 'laid' })], 0)).toBe('')
    expect(lain([...turned, at(60, { kind: 'pulled' })], 60)).toBe('0 first 24, 0 second 36')
  })
})
