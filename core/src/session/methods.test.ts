/** The stove by any method: every step is called in its turn, and what is slow is lit in time. */
import { describe, expect, it } from 'vitest'
import { planUnderWay } from '#core/estimate/underWay'
import { toppedUp, type Settings } from '#core/method/dials'
import { coatsFor, type Piece } from '#core/meat/piece'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { asked, planned } from '#core/plan/planned.fixture'
import { callFor, callsAfter, lookAfter } from './call'
import type { CookEvent } from './events'
import { nextAction, type NextAction } from './nextAction'
import { happenedUntil, progressOf, spentUntil } from './progress'
import { preheatsOf } from './warmUp'

const T0 = 1_750_000_000_000

interface Called {
  readonly does: NextAction['does']
  readonly says: string
  readonly done: string
  readonly advice: string
  readonly then: string
  /** s since the first thing was lit. */
  readonly at: number
}

const walked = new Map<string, Called[]>()
/** A cook who does at once what is called, when it is due; the same walk is walked once. */
function walk(kind: MethodKind, settings: Settings = {}, piece: Partial<Piece> = {}): Called[] {
  const key = JSON.stringify([kind, settings, piece])
  const before = walked.get(key)
  if (before) return before
  const called = walkAnew(kind, settings, piece)
  walked.set(key, called)
  return called
}
function walkAnew(kind: MethodKind, settings: Settings, piece: Partial<Piece>): Called[] {
  const { method, setup, plan, request } = planned(asked(kind, settings, piece))
  const events: CookEvent[] = []
  const called: Called[] = []
  let now = T0
  for (let i = 0; i < 60; i++) {
    const progress = progressOf(events)
    const forecast = planUnderWay(method, setup, request.target.coreC, happenedUntil(events, now), plan.free)
    const action = nextAction(progress, forecast, preheatsOf(request, forecast.marks), null, null, lookAfter(request))
    if (action === null) return called
    now = Math.max(now + 1, Math.round(action.due ?? now))
    const stand = { request, progress, forecast }
    const then = callsAfter(action, stand, [60, 120], 0, 'metric')
    const { says, done, advice } = callFor(action, stand, 'metric')
    called.push({ does: action.does, says, done, advice, then: then.map(t => t.what).join(', '), at: (now - T0) / 1000 })
    events.push({ id: `event-${i}`, kind: action.does, at: now, entered: now })
  }
  throw new Error('It never ends.')
}
const event = (kind: 'lit' | 'laid' | 'looked' | 'moved', s: number): CookEvent => ({
  id: kind,
  kind,
  at: T0 + 1000 * s,
  entered: T0 + 1000 * s
})
const does = (called: readonly Called[]): string => called.map(c => c.does).join(' ')
const plain = (text: string): string => text.replaceAll('\u00a0', ' ')

describe('every method is called to its end', () => {
  it.each(METHOD_KINDS)('%s', kind => {
    const called = walk(kind)
    expect(called[0].does).toBe('lit')
    expect(called.at(-2)?.does).toBe('pulled')
    expect(called.at(-1)?.does).toBe('carved')
    for (const c of called) {
      expect(c.says.length).toBeGreaterThan(3)
      expect(`${c.says} ${c.advice} ${c.then}`).not.toMatch(/undefined|NaN|null|Infinity/)
    }
    called.slice(1).forEach((c, i) => expect(c.at).toBeGreaterThanOrEqual(called[i].at))
  })

  it('a sear, its turns, the fat edge, and the oven', () => {
    const called = walk('sear then oven', { turning: 'twice a side', fatEdgeS: 60 })
    expect(does(called)).toBe('lit lit laid turned turned turned edged moved pulled carved')
    expect(called.map(c => c.done)).toContain('On its edge')
    expect(called[7].says).toBe('Put the strip steak into the oven')
  })

  it('pastry is looked at after ten minutes, once, and nothing of the meat hangs on it', () => {
    const called = walk('in pastry')
    expect(does(called)).toBe('lit laid looked pulled carved')
    const [, laid, looked] = called
    expect(looked.at - laid.at).toBeCloseTo(600, 0)
    expect(looked).toMatchObject({ says: 'Look at the pastry', done: 'Looked at' })
    expect(looked.advice).toMatch(/Where it darkens already, lay foil over it/)
    expect(laid.then).toMatch(/^look at the pastry, out of the oven/)
    expect(looked.then).not.toMatch(/look/)
    const events = [event('lit', 0), event('laid', 900), event('looked', 1500), event('moved', 1600)]
    expect(progressOf(events)).toMatchObject({ moves: 1, looked: true, state: 'on the heat' })
    expect(happenedUntil(events, T0 + 1550e3)).toEqual(happenedUntil(events.slice(0, 2), T0 + 1550e3))
  })

  it('a crust of paste goes on between the pan and the oven', () => {
    const advice = (pasteMm: number): string =>
      walk('sear then oven', {}, { coats: coatsFor({ boneMm: 0, fatMm: 0, pasteMm }, undefined) }).find(c => c.does === 'moved')!.advice
    expect(advice(4)).toMatch(/^First its crust, spread over all but the underside\. On a rack/)
    expect(advice(0)).toMatch(/^On a rack/)
  })

  it('a joint is put in, taken out, carved', () => {
    const called = walk('roast', { searS: 0 })
    expect(does(called)).toBe('lit laid pulled carved')
    expect(called[1].says).toBe('Put the fillet joint into the oven')
    expect(called[2].says).toBe('Out of the oven')
  })

  it('a pot is topped up when its time comes, with what was said', () => {
    const called = walk('pot', { topUps: toppedUp(600, 0.5), turning: 'once' })
    const poured = called.filter(c => c.says === 'Top up the pot with 500\u00a0ml')
    expect(poured.length).toBeGreaterThan(1)
    expect(poured[1].at - poured[0].at).toBeCloseTo(600, 0)
  })
})

describe('what follows the rest is called as well', () => {
  it('out of the ice into the fridge, and sliced on the next day', () => {
    const night = 14 * 3600
    const called = walk('pot', { cover: 'ice', rest: { kind: 'clock', seconds: 1800 }, coldS: night })
    expect(does(called)).toMatch(/pulled moved carved$/)
    const [out, fridge, sliced] = called.slice(-3)
    expect(fridge.at - out.at).toBeCloseTo(1800, -1)
    expect([fridge.says, fridge.done]).toEqual(['Put the strip steak into the fridge', 'It is in the fridge'])
    expect(out.done).toBe('It is in the ice')
    expect(out.advice).toMatch(/straight into ice and water\.$/)
    expect(fridge.advice).toMatch(/^In ice and water until then\. Its bag dried/)
    expect(sliced.at - fridge.at).toBeCloseTo(night, -1)
    expect([sliced.says, sliced.advice]).toEqual(['Slice it cold', 'Thin, across the grain.'])
  })

  it('kept warm for who is late: into the low oven at the end of the rest', () => {
    const called = walk('pan sear', { rest: { kind: 'clock', seconds: 300 }, heldS: 1200 })
    const [out, low, carved] = called.slice(-3)
    expect(low.at - out.at).toBeCloseTo(300, -1)
    expect(low.says).toBe('Put the strip steak under foil into the low oven')
    expect(plain(low.advice)).toBe('An oven at 60 °C, until the table is ready.')
    expect(carved.at - low.at).toBeCloseTo(1200, -1)
  })

  it('rewarmed: the ring is lit again so that the pan is hot when the rest is over, then a face and the other', () => {
    const called = walk('pan sear', { rest: { kind: 'clock', seconds: 900 }, rewarmS: 40 })
    expect(does(called)).toMatch(/pulled lit moved turned carved$/)
    const [out, ring, pan, turn, carved] = called.slice(-5)
    expect(ring.says).toBe('Light the ring')
    expect(plain(ring.then)).toBe('into the hot pan, carved')
    expect(pan.then).toBe('carved')
    expect(pan.at - ring.at).toBeGreaterThan(120)
    expect(pan.at - out.at).toBeCloseTo(900, -1)
    expect(pan.says).toBe('Put the strip steak into the hot pan')
    expect(plain(pan.advice)).toMatch(/^40 s a face/)
    expect([turn.at - pan.at, carved.at - turn.at]).toEqual([expect.closeTo(40, -1), expect.closeTo(40, -1)])
  })

  it('put in the pan three minutes late it lies there as long; and nothing of that counts as time at the heat', () => {
    const { method, setup, plan, request } = planned(asked('pan sear', { rest: { kind: 'clock', seconds: 600 }, rewarmS: 40 }))
    const at = (s: number, kind: 'laid' | 'pulled' | 'lit' | 'moved' | 'turned' | 'returned'): CookEvent => ({
      id: `${kind}-${s}`,
      kind,
      at: T0 + s * 1000,
      entered: T0 + s * 1000
    })
    const pull = Math.round(plan.pull.time)
    const off = [at(0, 'laid'), at(pull, 'pulled')]
    const late = [...off, at(pull + 300, 'lit'), at(pull + 780, 'moved')]
    const next = (events: readonly CookEvent[]): NextAction | null => {
      const forecast = planUnderWay(method, setup, request.target.coreC, happenedUntil(events, T0 + (pull + 781) * 1000), plan.free)
      return nextAction(progressOf(events), forecast, preheatsOf(request, forecast.marks))
    }
    expect(next(late)).toEqual({ does: 'turned', due: T0 + (pull + 820) * 1000 })
    expect(next([...late, at(pull + 830, 'turned')])).toEqual({ does: 'carved', due: T0 + (pull + 870) * 1000 })
    // What follows is as much later: forty seconds a face, from when it went in.
    const now = pull + 781
    const asItIs = planUnderWay(method, setup, request.target.coreC, happenedUntil(late, T0 + now * 1000), plan.free)
    const then = callsAfter(next(late)!, { request, progress: progressOf(late), forecast: asItIs }, [0, 0], now, 'metric')
    expect(then.map(t => plain(`${t.what} ${t.when}`))).toEqual(['carved in 80 s'])
    // A turn that another hand said as it came off takes it nowhere.
    expect(progressOf([...off, at(pull + 2, 'turned')])).toMatchObject({ state: 'resting', turns: 0, onward: [] })
    expect(progressOf(late)).toMatchObject({ state: 'resting', turns: 0, moves: 0, onward: [T0 + (pull + 780) * 1000] })
    expect(spentUntil(late, Infinity)).toEqual(spentUntil(off, Infinity))
    // Said of the table when it was on already, it is told as what was set.
    const flashed: CookEvent = { id: 'd', kind: 'delayed', seconds: 600, flashS: 50, at: T0 + 1000, entered: T0 + 1000 }
    const asSaid = [at(0, 'laid'), flashed, at(pull, 'pulled'), at(pull + 300, 'lit')]
    const { request: plainly } = planned(asked('pan sear'))
    const forecast = planUnderWay(method, setup, request.target.coreC, happenedUntil(asSaid, T0 + (pull + 301) * 1000), plan.free)
    const stand = {
      request: { ...plainly, target: { ...plainly.target, coreC: forecast.peak.core } },
      progress: progressOf(asSaid),
      forecast
    }
    expect(plain(callFor({ does: 'moved', due: null }, stand, 'metric').advice)).toMatch(/^50 s a face/)
    const past = { ...stand, request: { ...stand.request, target: { ...plainly.target, coreC: forecast.peak.core - 6 } } }
    for (const does of ['lit', 'moved'] as const)
      expect(plain(callFor({ does, due: null }, past, 'metric').advice)).toMatch(/^It will reach \d+ °C: cut it sooner, and leave the pan/)
    // Put back to the heat for good, it stands where it stood.
    const back = [...late, at(pull + 900, 'returned')]
    expect(progressOf(back)).toMatchObject({ state: 'on the heat', moves: 0, onward: [] })
    expect(spentUntil(back, T0 + (pull + 960) * 1000).map(s => s.stage)).toEqual([0, 'out', 0])
  })
})

describe('what is slow is lit in time', () => {
  it('the oven first, the ring so late that the pan does not burn dry, and both ready when the piece is laid in', () => {
    const [oven, ring, laid, ...rest] = walk('sear then oven', { turning: 'once', searS: 240 })
    expect(oven.says).toBe('Heat the oven')
    expect(plain(oven.advice)).toMatch(/^190 °C in the oven\. The ring comes in \d+½? min\.$/)
    expect(ring.says).toBe('Light the ring')
    expect(laid.at - ring.at).toBeGreaterThan(120)
    expect(laid.at - ring.at).toBeLessThan(400)
    const moved = rest.find(c => c.does === 'moved')!
    expect(moved.at).toBeCloseTo(15 * 60, -1)
  })

  it('the pan for a sear at the end is lit before the oven is done with', () => {
    const called = walk('oven then sear', { turning: 'once' })
    expect(does(called)).toBe('lit laid lit moved turned pulled carved')
    expect(called[2].says).toBe('Light the ring')
    expect(called[3].at - called[2].at).toBeGreaterThan(120)
    expect(called[3].says).toBe('Put the strip steak into the hot pan')
  })

  it('coals take half an hour, and the bath is on before the sear', () => {
    const grill = walk('two-zone grill')
    expect(grill[1].at).toBeCloseTo(1800, 0)
    expect(does(grill)).toBe('lit laid turned moved pulled carved')
    expect(walk('sear then bath')[0].says).toBe('Start the bath')
  })
})

describe('what else is said', () => {
  it('a bag stays shut: it goes by the clock, and what comes out of it is dried', () => {
    const water = walk('sear then bath')
    expect(water.find(c => c.does === 'pulled')!.advice).toMatch(/^By the clock/)
    expect(walk('bath then sear').find(c => c.does === 'moved')!.advice).toMatch(/dried/)
    expect(walk('two-zone grill', { order: 'direct first' }).find(c => c.does === 'moved')!.advice).toMatch(/Pepper it now/)
    expect(walk('pan sear', { basted: true }).find(c => c.does === 'turned')!.advice).toMatch(/butter over it/)
    for (const kind of ['pan sear', 'grill'] as const) {
      expect(walk(kind, { cheese: true }).find(c => c.does === 'pulled')!.advice).toMatch(/cheese on at once, and a lid over it/)
      expect(walk(kind).find(c => c.does === 'pulled')!.advice).not.toMatch(/cheese/)
      for (const cover of ['ice', 'fridge'] as const)
        expect(walk(kind, { cheese: true, cover }).find(c => c.does === 'pulled')!.advice).not.toMatch(/cheese/)
    }
    expect(walk('pan sear').find(c => c.does === 'turned')!.advice).not.toMatch(/butter/)
  })

  it('what follows is said once: not the move that is called already', () => {
    const called = walk('sear then oven', { turning: 'once' })
    expect(called.find(c => c.does === 'turned')!.then).toMatch(/^into the oven, out of the oven at/)
    expect(called.find(c => c.does === 'moved')!.then).toMatch(/^out of the oven at/)
  })

  it('out of the heat for good and put back, it says that it goes on; lifted out, it waits', () => {
    const at = (s: number, kind: 'laid' | 'moved' | 'lifted' | 'returned' | 'pulled'): CookEvent => ({
      id: `${kind}-${s}`,
      kind,
      at: T0 + s * 1000,
      entered: T0 + s * 1000
    })
    const events = [at(0, 'laid'), at(100, 'moved'), at(400, 'lifted'), at(460, 'returned'), at(900, 'pulled'), at(960, 'returned')]
    expect(spentUntil(events, T0 + 1_000_000)).toEqual([
      { stage: 0, down: 'first', seconds: 100 },
      { stage: 1, down: 'first', seconds: 300 },
      { stage: 'out', down: 'first', seconds: 60 },
      { stage: 1, down: 'first', seconds: 440 },
      { stage: 'out', down: 'first', seconds: 60 },
      { stage: 1, down: 'first', seconds: 40 }
    ])
    expect(progressOf(events)).toMatchObject({ state: 'on the heat', moves: 1, again: true, pulledAt: null })
    expect(progressOf(events.slice(0, 4)).again).toBe(false)
    expect(spentUntil(events.slice(0, 5), T0 + 5_000_000).at(-1)).toEqual({ stage: 1, down: 'first', seconds: 440 })
  })
})
