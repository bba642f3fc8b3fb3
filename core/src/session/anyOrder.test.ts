/** Whatever a cook does at the stove, in whatever order it is allowed, the forecast stands and the next thing can be done. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planUnderWay, type UnderWay } from '#core/estimate/underWay'
import { METHOD_KINDS } from '#core/method/methods'
import { InfeasibleError } from '#core/plan/plan'
import { asked, planned } from '#core/plan/planned.fixture'
import { callFor, callsAfter } from './call'
import type { CookEvent, EventKind } from './events'
import { nextAction } from './nextAction'
import { ALLOWED, happenedUntil, progressOf, spentUntil } from './progress'
import { preheatsOf } from './warmUp'

const KINDS = METHOD_KINDS.filter(k => k !== 'roast' && k !== 'in pastry')
const begun = new Map(KINDS.map(kind => [kind, planned(asked(kind, {}, { thicknessMm: 30, weightG: 360 }))]))
const T0 = 1_750_000_000_000

/** Of what may be said the one that a number picks, even going on where there is nothing to go on to. */
function allowed(events: readonly CookEvent[], pick: number): EventKind | null {
  const kinds = ALLOWED[progressOf(events).state].filter(k => k !== 'reading')
  return kinds.length === 0 ? null : kinds[pick % kinds.length]
}

describe('any order of doings', () => {
  it('of any method: the forecast is of numbers, time does not run back, and what is called next may be said', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.array(fc.tuple(fc.nat(20), fc.constantFrom(0, 1, 20, 90, 400, 1500)), { minLength: 1, maxLength: 9 }),
        (kind, doings) => {
          const { method, setup, plan, request } = begun.get(kind)!
          const events: CookEvent[] = []
          let now = T0
          for (const [pick, seconds] of doings) {
            const what = allowed(events, pick)
            if (what === null) break
            events.push({
              id: `event-${events.length}`,
              at: now,
              entered: now,
              kind: what,
              ...(what === 'delayed' || what === 'parted' ? { seconds: 600 } : {})
            } as CookEvent)
            now += 1000 * seconds
          }
          const progress = progressOf(events)
          const off = progress.state === 'resting' || progress.state === 'carved'
          const past = spentUntil(events, now)
          let forecast: UnderWay
          try {
            forecast = planUnderWay(method, setup, request.target.coreC, happenedUntil(events, now), plan.free)
          } catch (error) {
            // Refused in words is an answer too.
            expect(error).toBeInstanceOf(InfeasibleError)
            return
          }
          const spent = past.reduce((sum, s) => sum + s.seconds, 0)
          const { pull, peak, carve, marks, history, loss } = forecast
          for (const figure of [pull.time, pull.core, peak.core, carve.time, carve.core, loss, ...history.core])
            expect(figure).toSatisfy(Number.isFinite)
          expect(pull.time).toBeGreaterThanOrEqual(spent - 1)
          expect(carve.time).toBeGreaterThanOrEqual(pull.time - 1e-6)
          expect(peak.core).toBeGreaterThan(-1)
          expect(peak.core).toBeLessThan(100)
          marks.slice(1).forEach((m, i) => expect(m.from).toBeGreaterThanOrEqual(marks[i].from))
          // What is behind is marked as it was; off the heat nothing else is.
          if (off) expect(marks.length).toBeLessThanOrEqual(progress.moves + 1)
          else expect(marks.length).toBeGreaterThanOrEqual(1)
          const action = nextAction(progress, forecast, preheatsOf(request, forecast.marks))
          if (action === null) {
            expect(progress.state).toBe('carved')
            return
          }
          expect(ALLOWED[progress.state]).toContain(action.does)
          const stand = { request, progress, forecast }
          const call = callFor(action, stand, 'us')
          const then = callsAfter(action, stand, [0, 60], spent, 'us')
          expect([call.says, call.done, call.advice, ...then.flatMap(t => [t.what, t.when])].join(' ')).not.toMatch(
            /undefined|NaN|Infinity|°C/
          )
        }
      ),
      { numRuns: 120, seed: 11 }
    )
  })
})
