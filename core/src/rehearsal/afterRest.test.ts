/** What follows the rest of a rehearsed piece: it is truly put back, heard, seen and paid for. */
import { describe, expect, it } from 'vitest'
import type { CookRecord } from '#core/book/record'
import { valueAt } from '#core/heat/history'
import type { Settings } from '#core/method/dials'
import { finish } from '#core/numerics/steps'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, type PlanRequest } from '#core/request/request'
import type { CookEvent } from '#core/session/events'
import { progressOf } from '#core/session/progress'
import { plan as planFor } from '#core/usecase/plan'
import { SHADES } from './browning'
import { cuttingOpen, type CutOpen } from './cutOpen'
import { playedByCalls } from './played.fixture'
import { signsAt, type Signs } from './signs'
import { ALONE, lived, truthOf } from './truth'

const AS_SAID = { thickness: 0, start: 0, contact: 0, air: 0, heat: 0, model: 0 }
const SEED = 5
const AT_REST = { kind: 'clock', seconds: 600 } as const
const strip = (settings: Settings): PlanRequest => by(FIRST_REQUEST, 'pan sear', { turning: 'every 60 s', rest: AT_REST, ...settings })
const cut = (request: PlanRequest, record: Pick<CookRecord, 'events' | 'planned'>): CutOpen =>
  finish(cuttingOpen(truthOf(request, SEED, AS_SAID), record, ALONE))

describe('a piece that is as was said', () => {
  it.each([
    ['kept warm', { heldS: 1500 }],
    ['back in the pan', { rewarmS: 60 }],
    ['kept warm and back in the pan', { heldS: 1200, rewarmS: 45 }]
  ])('%s after its rest comes to what was planned', (_, settings) => {
    const request = strip(settings)
    const answer = planFor(request)
    if ('refused' in answer) throw new Error(answer.refused)
    const { served, prices, score } = cut(request, playedByCalls(request))
    expect(Math.abs(served.carvedC - answer.plan.carve.core)).toBeLessThan(0.8)
    const { time, core } = answer.plan.history
    const byTheKnife = Math.max(...core.filter((_, i) => time[i] <= answer.plan.carve.time))
    expect(Math.abs(served.peakC - byTheKnife)).toBeLessThan(0.8)
    expect(Math.abs(served.loss - answer.plan.loss)).toBeLessThan(0.01)
    expect(prices).toEqual([])
    expect(score.points).toBe(100)
  })
})

describe('guests who are late', () => {
  const request = strip({})
  const played = playedByCalls(request)
  const { pulledAt, carvedAt } = progressOf(played.events)
  const LATE_S = 900
  const FACE_S = 60
  const said = (id: string, at: number, kind: 'moved' | 'turned' | 'carved'): CookEvent => ({ id, at, entered: at, kind })
  const later = (part: { readonly held?: boolean; readonly flashS?: number }, ...then: CookEvent[]): CookRecord => ({
    ...played,
    events: [
      ...played.events.filter(e => e.kind !== 'carved'),
      { id: 'late', at: pulledAt! + 60_000, entered: pulledAt! + 60_000, kind: 'delayed', seconds: LATE_S, ...part },
      ...then
    ]
  })
  const cutAt = carvedAt! + 1000 * LATE_S
  const waited = later({}, said('cut', cutAt, 'carved'))
  const inPan = cutAt - 2000 * FACE_S
  const flashed = later(
    { flashS: FACE_S },
    said('in', inPan, 'moved'),
    said('over', inPan + 1000 * FACE_S, 'turned'),
    said('cut', cutAt, 'carved')
  )
  const held = later({ held: true }, said('kept', carvedAt!, 'moved'), said('cut', cutAt, 'carved'))

  it('are given it warmer, and with more crust, when it was flashed; warmest when it was kept warm', () => {
    const [cold, hot, kept] = [waited, flashed, held].map(record => cut(request, record).served)
    expect(hot.carvedC).toBeGreaterThan(cold.carvedC + 0.2)
    expect(hot.crust!.dose).toBeGreaterThan(1.1 * cold.crust!.dose)
    expect(hot.loss).toBeGreaterThan(cold.loss + 0.002)
    expect(kept.carvedC).toBeGreaterThan(hot.carvedC)
    expect(Math.abs(kept.crust!.dose - cold.crust!.dose)).toBeLessThan(0.05 * cold.crust!.dose)
  })

  it('and while it is flashed it hisses in a hot pan, one face after the other', () => {
    const truth = truthOf(request, SEED, AS_SAID)
    const at = (now: number): Signs => {
      const events = flashed.events.filter(e => e.at <= now)
      return signsAt(truth, events, lived(truth, events, now + 60_000, ALONE), now, ALONE)
    }
    expect(at(inPan - 10_000).hiss).toBeNull()
    const [first, second] = [at(inPan + 20_000), at(inPan + 80_000)]
    expect(first.hiss!.loud).toBeGreaterThan(0.1)
    expect(second.hiss!.loud).toBeGreaterThan(0.1)
    // The face that lay in the pan is up now.
    expect(SHADES.indexOf(second.shade!)).toBeGreaterThanOrEqual(SHADES.indexOf(first.shade!))
  })

  it('left in the pan, nobody taking it out, it goes on cooking', () => {
    const truth = truthOf(request, SEED, AS_SAID)
    const events = flashed.events.filter(e => e.at <= inPan)
    const { run, laidAt } = lived(truth, events, inPan + 300_000, ALONE)!
    const core = (ms: number): number => valueAt(run.history.time, run.history.core, (ms - laidAt) / 1000)
    expect(core(inPan + 290_000)).toBeGreaterThan(core(inPan) + 4)
  })

  it('said to be moved where there is nothing to move it to, it rests on', () => {
    const nowhere = {
      ...played,
      events: [...played.events.filter(e => e.kind !== 'carved'), said('in', inPan, 'moved'), said('cut', cutAt, 'carved')]
    }
    expect(cut(request, nowhere).served.carvedC).toBeCloseTo(cut(request, waited).served.carvedC, 1)
  })
})
