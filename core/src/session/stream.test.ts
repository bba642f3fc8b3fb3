/** Several pieces at one fire: what is called first, what is done in one go, and when each may go in. */
import { describe, expect, it } from 'vitest'
import { planUnderWay } from '#core/estimate/underWay'
import { otherDown } from '#core/method/timeline'
import { asked, planned } from '#core/plan/planned.fixture'
import { callFor } from './call'
import type { CookEvent } from './events'
import { notBefore, type NotBefore } from './inService'
import { nextAction } from './nextAction'
import { happenedUntil, progressOf, standsLeft } from './progress'
import { nextOf, togetherWith, type Due } from './stream'
import { preheatsOf } from './warmUp'

const due = (id: string, seconds: number | null, does: Due['does'] = 'turned', fire: string | null = 'pan'): Due => ({
  id,
  does,
  fire,
  due: seconds === null ? null : seconds * 1000
})
const T0 = 1_750_000_000_000
const said = (kind: 'lit' | 'laid' | 'pulled' | 'halved' | 'carved', s: number): CookEvent => ({
  id: `${kind}-${s}`,
  kind,
  at: T0 + s * 1000,
  entered: T0 + s * 1000
})

describe('which call stands large', () => {
  it('is the soonest, and what waits for nothing before all', () => {
    expect(nextOf([due('a', 90), due('b', 60)], null)?.id).toBe('b')
    expect(nextOf([due('a', 90), due('b', 60), due('c', null)], null)?.id).toBe('c')
    expect(nextOf([], 'a')).toBeNull()
  })
  it('stays under the hand while nothing is clearly sooner', () => {
    expect(nextOf([due('a', 70), due('b', 60)], 'a')?.id).toBe('a')
    expect(nextOf([due('a', 90), due('b', 60)], 'a')?.id).toBe('b')
    expect(nextOf([due('b', 60)], 'gone')?.id).toBe('b')
  })
})

describe('what is done in one go', () => {
  const ids = (first: Due, all: Due[]): string[] => togetherWith(first, all).map(d => d.id)
  it('are turns at one fire within ten seconds', () => {
    const [a, b, c] = [due('a', 60), due('b', 69), due('c', 71)]
    expect(ids(a, [a, b, c])).toEqual(['a', 'b'])
  })
  it('are never another’s pan, another thing to do, or taking off', () => {
    const a = due('a', 60)
    expect(ids(a, [a, due('b', 60, 'turned', 'other pan'), due('c', 60, 'laid'), due('d', 60, 'turned', null)])).toEqual(['a'])
    const off = due('a', 60, 'pulled')
    expect(ids(off, [off, due('b', 60, 'pulled')])).toEqual(['a'])
  })
  it('costs a steak turned each minute under half a degree: its pull moves by no more than 2 s', () => {
    const { method, setup, plan, request } = planned(asked('pan sear', { turning: 'every 60 s' }, { thicknessMm: 30, weightG: 360 }))
    const pullWith = (first: number): number => {
      const past = [
        { stage: 0, down: 'first', seconds: first },
        { stage: 0, down: otherDown('first'), seconds: 1 }
      ] as const
      return planUnderWay(method, setup, request.target.coreC, { past, off: false, again: false }, plan.free).pull.time
    }
    const [early, onTime, late] = [50, 60, 70].map(pullWith)
    // At its pull such a steak gains a degree in about 8 s.
    expect(Math.abs(early - onTime)).toBeLessThan(2)
    expect(Math.abs(late - onTime)).toBeLessThan(2)
  })
})

describe('when a piece may go in beside another', () => {
  const after = { cookId: 'first', seconds: 56 }
  const second = { service: { id: 'dinner', after, called: 'rare piece' } }
  it('is so long after that one, and not known before that is in', () => {
    expect(notBefore(second, [{ id: 'first', events: [said('lit', 0)] }])).toEqual({ afterS: 56 })
    expect(notBefore(second, [{ id: 'first', events: [said('lit', 0), said('laid', 200)] }])).toBe(T0 + 256_000)
  })
  it('waits for nothing where the other is gone from the stove, or there never was one', () => {
    expect(notBefore(second, [])).toBeNull()
    expect(notBefore({ service: { id: 'dinner', after: null, called: '' } }, [])).toBeNull()
    expect(notBefore({ service: null }, [])).toBeNull()
  })
  it('is not called before its time though the pan is hot, nor before the pan is', () => {
    const { method, setup, plan, request } = planned(asked('pan sear'))
    const forecast = planUnderWay(method, setup, request.target.coreC, { past: [], off: false, again: false }, plan.free)
    const preheats = preheatsOf(request, forecast.marks)
    const lit = progressOf([said('lit', 0)])
    const at = (wait: NotBefore) => nextAction(lit, forecast, preheats, null, wait)
    const hot = T0 + preheats.first * 1000
    expect(at(null)).toEqual({ does: 'laid', due: hot })
    expect(at(hot + 90_000)).toEqual({ does: 'laid', due: hot + 90_000 })
    expect(at(hot - 90_000)).toEqual({ does: 'laid', due: hot })
    expect(at({ afterS: 56 })).toBeNull()
  })
  it('has its fire lit in time for that, and not an hour before it; with the other, where that is too soon after', () => {
    const { method, setup, plan, request } = planned(asked('pan sear'))
    const forecast = planUnderWay(method, setup, request.target.coreC, { past: [], off: false, again: false }, plan.free)
    const preheats = preheatsOf(request, forecast.marks)
    const at = (wait: NotBefore) => nextAction(progressOf([]), forecast, preheats, null, wait)
    expect(at(null)).toEqual({ does: 'lit', due: null })
    expect(at({ afterS: 3600 })).toBeNull()
    expect(at({ afterS: preheats.first - 30 })).toEqual({ does: 'lit', due: null })
    expect(at(T0 + 3600e3)).toEqual({ does: 'lit', due: T0 + (3600 - preheats.first) * 1000 })
  })
})

describe('what is called of one among several', () => {
  const { method, setup, plan, request } = planned(asked('pan sear', {}, { count: 3 }))
  const forecast = planUnderWay(method, setup, request.target.coreC, { past: [], off: false, again: false }, plan.free)
  const says = (does: 'pulled' | 'carved' | 'turned', more: { called?: string; among?: boolean }): string =>
    callFor({ does, due: null }, { request, progress: progressOf([said('lit', 0), said('laid', 200)]), forecast, ...more }, 'metric').says

  it('names it, and by itself it needs no name', () => {
    expect(says('pulled', { called: 'rare piece', among: true })).toBe('Take the rare piece off the heat')
    expect(says('carved', { called: 'rare piece', among: true })).toBe('Carve the rare piece')
    expect(says('turned', { called: 'rare piece', among: true })).toBe('Turn the rare piece')
    expect(says('pulled', { among: true })).toBe('Take the 3 pieces off the heat')
    expect(says('pulled', {})).toBe('Off the heat')
    expect(says('carved', {})).toBe('Carve')
  })
})

describe('a cook left by itself', () => {
  const hours = (n: number): number => T0 + n * 3600_000
  it('is left two hours past what was due, at the fire or on the board', () => {
    const on = [said('lit', 0), said('laid', 200)]
    expect(standsLeft(on, hours(1), T0 + 600_000)).toBeNull()
    expect(standsLeft(on, hours(10), T0 + 600_000)).toMatchObject({ since: T0 + 200_000, where: 'heat' })
    expect(standsLeft([...on, said('pulled', 800)], hours(10), T0 + 1200_000)).toMatchObject({ where: 'board' })
  })
  it('is not left while a long roast is still due, before anything was lit, nor once it is carved', () => {
    const on = [said('lit', 0), said('laid', 200)]
    expect(standsLeft(on, hours(7), hours(8))).toBeNull()
    expect(standsLeft([], hours(100), null)).toBeNull()
    expect(standsLeft([...on, said('pulled', 800), said('carved', 1400)], hours(30), null)).toBeNull()
  })
  it('without a forecast it may be a roast, for half a day', () => {
    const on = [said('lit', 0), said('laid', 0)]
    expect(standsLeft(on, hours(13), null)).toBeNull()
    expect(standsLeft(on, hours(15), null)).toMatchObject({ hours: 15 })
  })
})

describe('a table that is late', () => {
  const { method, setup, plan, request } = planned(asked('pan sear', {}, { thicknessMm: 30, weightG: 360 }))
  const late = (s: number, seconds: number): CookEvent => ({
    id: `late-${s}`,
    kind: 'delayed',
    seconds,
    at: T0 + s * 1000,
    entered: T0 + s * 1000
  })

  it('puts off what is not in yet, and what is in rests longer', () => {
    expect(progressOf([said('lit', 0), late(10, 600)]).later).toEqual({ in: 600, rest: 0, held: 0, flash: 0 })
    expect(progressOf([said('lit', 0), late(10, 600), said('laid', 200), late(300, 300)]).later).toEqual({
      in: 600,
      rest: 300,
      held: 0,
      flash: 0
    })
    expect(progressOf([late(10, 600), { id: 'u', kind: 'undone', undoes: 'late-10', at: T0, entered: T0 }]).later).toEqual({
      in: 0,
      rest: 0,
      held: 0,
      flash: 0
    })
    const held: CookEvent = { ...late(300, 900), kind: 'delayed', seconds: 900, held: true }
    expect(progressOf([said('laid', 200), held, late(400, 60)]).later).toEqual({ in: 0, rest: 60, held: 900, flash: 0 })
    // Late again, it is flashed once.
    const flashed: CookEvent = { ...late(300, 600), kind: 'delayed', seconds: 600, flashS: 60 }
    expect(progressOf([said('laid', 200), flashed, late(400, 60)]).later).toEqual({ in: 0, rest: 660, held: 0, flash: 60 })
  })
  it('in two waves half of it is carved when it was to be, and only what is left waits', () => {
    const parted: CookEvent = { id: 'p', kind: 'parted', seconds: 1200, at: T0 + 300_000, entered: T0 + 300_000 }
    const on = [said('lit', 0), said('laid', 200), parted, said('pulled', 800)]
    expect(progressOf(on)).toMatchObject({ state: 'resting', inWaves: true, halvedAt: null, later: { rest: 0 } })
    const callOf = (events: readonly CookEvent[]) => {
      const progress = progressOf(events)
      const { rest } = progress.later
      const longer = { ...setup, settings: { ...setup.settings, rest: { kind: 'clock', seconds: 240 + rest } as const } }
      const forecast = planUnderWay(method, longer, request.target.coreC, happenedUntil(events, T0 + 800_000), plan.free)
      const action = nextAction(progress, forecast, preheatsOf(request, forecast.marks))!
      const stand = { request, progress, forecast, backS: null, among: false, called: undefined }
      return { ...action, ...callFor(action, stand as never, 'metric') }
    }
    const first = callOf(on)
    expect(first).toMatchObject({ does: 'halved', done: 'Half is carved', says: expect.stringMatching(/^Carve half of /) as string })
    const halved = [...on, said('halved', 1100)]
    expect(progressOf(halved)).toMatchObject({ state: 'resting', carvedAt: null, later: { rest: 1200 } })
    const second = callOf(halved)
    expect(second).toMatchObject({ does: 'carved', says: expect.stringMatching(/^Carve the rest of /) as string })
    expect(second.due! - first.due!).toBeCloseTo(1_200_000, -3)
    expect(progressOf([...halved, said('carved', 2300)])).toMatchObject({ state: 'carved', carvedAt: T0 + 2_300_000 })
    // Not served in two waves after all.
    const whole = [...on, { id: 'u', kind: 'undone' as const, undoes: 'p', at: T0 + 900_000, entered: T0 + 900_000 }]
    expect(callOf(whole).does).toBe('carved')
  })

  it('changes nothing of where it stands, and what is called next is called so much later', () => {
    const forecast = planUnderWay(method, setup, request.target.coreC, { past: [], off: false, again: false }, plan.free)
    const preheats = preheatsOf(request, forecast.marks)
    const before = progressOf([said('lit', 0)])
    const after = progressOf([said('lit', 0), late(10, 600)])
    expect(after.state).toBe(before.state)
    expect(nextAction(after, forecast, preheats)!.due! - nextAction(before, forecast, preheats)!.due!).toBe(600_000)
  })
  it('cools a steak by a few degrees in a quarter of an hour, never warms it, and leaves its pull alone', () => {
    const resting = (seconds: number) =>
      planUnderWay(
        method,
        { ...setup, settings: { ...setup.settings, rest: { kind: 'clock', seconds } } },
        request.target.coreC,
        { past: [], off: false, again: false },
        plan.free
      )
    const [soon, later, latest] = [300, 1200, 2400].map(resting)
    expect(Math.abs(later.pull.time - soon.pull.time)).toBeLessThan(3)
    expect(later.carve.core).toBeLessThan(soon.carve.core - 2)
    expect(latest.carve.core).toBeLessThan(later.carve.core)
    expect(latest.carve.core).toBeGreaterThan(request.room.temperatureC)
  })
})
