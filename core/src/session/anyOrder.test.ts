/** Whatever a cook does at the stove, in whatever order it is allowed, the forecast stands and the next thing can be done. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Method, Resting } from '#core/method/method'
import { METHODS, METHOD_KINDS } from '#core/method/methods'
import { planFor, setupFor } from '#core/plan/everyMethod'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { InfeasibleError } from '#core/plan/plan'
import { planUnderWay } from '#core/estimate/underWay'
import type { CookEvent, EventKind } from './events'
import { ALLOWED, progressOf, spentUntil } from './progress'
import { afterOf, callOf, nextOf, type Forecast } from './stand'
import { begunBy, type Way } from './way'

const KINDS = METHOD_KINDS.filter((k): k is Way['kind'] => !['pan sear', 'roast', 'in pastry'].includes(k))
const request = { ...FIRST_REQUEST, piece: { ...FIRST_REQUEST.piece, thicknessMm: 30, weightG: 360 } }
const begun = new Map(
  KINDS.map(kind => {
    const found = planFor(request, kind, {})
    if ('unsuited' in found) throw new Error(found.unsuited)
    return [kind, begunBy(request, kind, {}, found.plan)]
  })
)
const T0 = 1_750_000_000_000

/** Of what may be said the one that a number picks, even going on where there is nothing to go on to. */
function allowed(events: readonly CookEvent[], pick: number): EventKind | null {
  const kinds = ALLOWED[progressOf(events).phase].filter(k => k !== 'reading')
  return kinds.length === 0 ? null : kinds[pick % kinds.length]
}

describe('any order of doings', () => {
  it('of any method: the forecast is of numbers, time does not run back, and what is called next may be said', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.array(fc.tuple(fc.nat(20), fc.constantFrom(0, 1, 20, 90, 400, 1500)), { minLength: 1, maxLength: 9 }),
        (kind, doings) => {
          const { way, preheatS, plan } = begun.get(kind)!
          const [method, setup] = [METHODS[kind] as unknown as Method<Resting>, setupFor(request, kind, {})]
          const events: CookEvent[] = []
          let now = T0
          for (const [pick, seconds] of doings) {
            const what = allowed(events, pick)
            if (what === null) break
            events.push({ id: `event-${events.length}`, at: now, entered: now, kind: what } as CookEvent)
            now += 1000 * seconds
          }
          const progress = progressOf(events)
          const off = progress.phase === 'resting' || progress.phase === 'carved'
          const past = spentUntil(events, now)
          let forecast: Forecast
          try {
            forecast = { way, plan: planUnderWay(method, setup, request.targetC, { past, off, again: progress.again }, way.free) }
          } catch (error) {
            // Refused in words is an answer too.
            expect(error).toBeInstanceOf(InfeasibleError)
            return
          }
          const spent = past.reduce((sum, s) => sum + s.seconds, 0)
          const { pull, peak, carve, marks, history, loss } = forecast.plan
          for (const figure of [pull.time, pull.core, peak.core, carve.time, carve.core, loss, ...history.core])
            expect(figure).toSatisfy(Number.isFinite)
          expect(pull.time).toBeGreaterThanOrEqual(spent - 1)
          expect(carve.time).toBeGreaterThanOrEqual(pull.time - 1e-6)
          expect(peak.core).toBeGreaterThan(-1)
          expect(peak.core).toBeLessThan(100)
          marks.slice(1).forEach((m, i) => expect(m.from).toBeGreaterThanOrEqual(marks[i].from))
          expect(marks.length).toBe(off ? Math.min(progress.stage, plan.turns.length) + 1 : plan.turns.length + 1)
          const asked = { request, preheatS }
          const action = nextOf(progress, forecast, asked)
          if (action === null) {
            expect(progress.phase).toBe('carved')
            return
          }
          expect(ALLOWED[progress.phase]).toContain(action.does)
          const call = callOf(action, progress, forecast, asked, 'us')
          const then = afterOf(action, progress, forecast, [0, 60], spent, 'us')
          expect([call.says, call.done, call.advice, ...then.flatMap(t => [t.what, t.when])].join(' ')).not.toMatch(
            /undefined|NaN|Infinity|°C/
          )
        }
      ),
      { numRuns: 120, seed: 11 }
    )
  })
})
