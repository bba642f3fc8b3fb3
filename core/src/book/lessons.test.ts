/** What the Book teaches: cooks in an oven that is not what its dial says, read with a probe. */
import { describe, expect, it } from 'vitest'
import type { CookEvent } from '#core/session/events'
import { valueAt } from '#core/heat/history'
import { kitInUse, READY_KITS, type KitInUse } from '#core/kit/kit'
import type { Plan } from '#core/plan/plan'
import { planned as planOf } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, type PlanRequest } from '#core/request/request'
import { finish } from '#core/numerics/steps'
import { lessons, MOST_COOKS } from './lessons'
import { NO_OUTCOME, plannedOf, type CookRecord } from './record'

const GALLEY = kitInUse(READY_KITS[0].kit, {}, FIRST_REQUEST.kit.pan.id, FIRST_REQUEST.kit.ring.id)
const HOUR = 3_600_000

const planned = (request: PlanRequest): Plan => planOf(request).plan

/**
 * A steak seared and finished in an oven that is so much hotter than its dial, K, by a plan made with
 * what the cook believed of it then.
 */
function cooked(number: number, hotter: number, believed = 0, readAs: (celsius: number) => number = c => c): CookRecord {
  const kitWith = (offsetC: number): KitInUse => ({ ...GALLEY, oven: { ...GALLEY.oven!, offsetC } })
  const request = by({ ...FIRST_REQUEST, kit: kitWith(believed) }, 'sear then oven', { turning: 'once', searS: 120 })
  const plan = planned(request)
  const truth = planned({ ...request, kit: kitWith(hotter) })
  const laid = 1_750_000_000_000 + number * HOUR
  const at = (
    seconds: number,
    what: { kind: 'laid' | 'turned' | 'moved' | 'pulled' | 'carved' } | { kind: 'reading'; coreC: number }
  ): CookEvent => ({
    id: `event-${number}-${seconds}-${what.kind}`,
    at: laid + Math.round(1000 * seconds),
    entered: laid + Math.round(1000 * seconds),
    ...what
  })
  const read = (share: number): CookEvent => {
    const seconds = share * Math.min(plan.pull.time, truth.pull.time)
    return at(seconds, { kind: 'reading', coreC: readAs(valueAt(truth.history.time, truth.history.core, seconds)) })
  }
  const [, turn, move] = plan.marks.map(m => m.from)
  return {
    id: `cook-${number}`,
    title: 'Strip',
    createdAt: laid,
    request,
    planned: plannedOf(plan, null, 240),
    events: [
      at(0, { kind: 'laid' }),
      at(turn, { kind: 'turned' }),
      at(move, { kind: 'moved' }),
      read(0.6),
      read(0.95),
      at(Math.min(plan.pull.time, truth.pull.time), { kind: 'pulled' }),
      at(plan.carve.time + 600, { kind: 'carved' })
    ],
    service: null,
    outcome: NO_OUTCOME
  }
}
const learned = (records: readonly CookRecord[]) => finish(lessons(records))
const ofOven = (records: readonly CookRecord[]) => learned(records).find(l => l.shelf === 'ovens')

describe('what the Book teaches', () => {
  it('an oven that is cooler than its dial is found to be, and surer with every cook; a hot one too', () => {
    const cool = [0, 1, 2, 3, 4, 5].map(n => cooked(n, -25))
    const found = ofOven(cool)!
    expect(found).toMatchObject({ id: GALLEY.oven!.id, cooks: 6, enough: true })
    expect(found.value).toBeLessThan(-9)
    expect(found.value).toBeGreaterThan(-30)
    const first = ofOven(cool.slice(0, 1))!
    expect(found.high - found.low).toBeLessThan(first.high - first.low)
    expect(first.enough).toBe(false)
    expect(ofOven([0, 1, 2].map(n => cooked(n, 20)))!.value).toBeGreaterThan(4)
  })

  it('of a cook in the pan alone only the pan is learned', () => {
    const other = cooked(0, 0)
    const request = by(other.request, 'pan sear')
    const plan = planned(request)
    const [laid] = other.events
    const at = (seconds: number) => ({
      id: `pan-event-${Math.round(seconds)}`,
      at: laid.at + 1000 * seconds,
      entered: laid.at + 1000 * seconds
    })
    const read = 0.8 * plan.pull.time
    const events: CookEvent[] = [
      laid,
      ...plan.marks.slice(1).map(m => ({ ...at(m.from), kind: 'turned' as const })),
      { ...at(read + 1), kind: 'reading', coreC: valueAt(plan.history.time, plan.history.core, read + 1) },
      { ...at(plan.pull.time + 2), kind: 'pulled' },
      { ...at(plan.carve.time + 9), kind: 'carved' }
    ]
    expect(learned([{ ...other, request, events }]).map(l => [l.shelf, l.id, l.cooks])).toEqual([['pans', request.kit.pan.id, 1]])
  })

  it('what was already planned with does not count twice', () => {
    const first = ofOven([0, 1, 2].map(n => cooked(n, -20)))!
    const again = ofOven([0, 1, 2].map(n => cooked(n, -20, -20)))!
    expect(first.value).toBeLessThan(-4)
    expect(Math.abs(again.value - first.value)).toBeLessThan(2)
  })

  it('a probe in the wrong place, no reading at all, or a cook not finished teach nothing', () => {
    expect(learned([cooked(0, -10, 0, () => 85)])).toEqual([])
    const whole = cooked(1, -10)
    expect(learned([{ ...whole, events: whole.events.filter(e => e.kind !== 'reading') }])).toEqual([])
    expect(learned([{ ...whole, events: whole.events.filter(e => e.kind !== 'carved') }])).toEqual([])
  })

  it('only the newest count, and in their own order', () => {
    const old = cooked(0, -20)
    const many = Array.from({ length: MOST_COOKS }, (_, i) => ({
      ...cooked(1, 1),
      id: `later-${i}`,
      createdAt: old.createdAt + (i + 1) * HOUR,
      events: []
    }))
    expect(learned([...many, old])).toEqual([])
    const two = [cooked(0, -20), cooked(1, 10)]
    expect(learned([...two].reverse())).toEqual(learned(two))
  })
})
