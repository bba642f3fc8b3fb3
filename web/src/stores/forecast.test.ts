/** What is asked of the engine while a cook is under way, and what it answers: a table that waits, and a rest as it was. */
import { describe, expect, it, vi } from 'vitest'
import { NO_OUTCOME, plannedOf, type CookRecord } from '#core/book/record'
import type { Settings } from '#core/method/dials'
import type { Plan } from '#core/plan/plan'
import { asked as requestOf, planned } from '#core/plan/planned.fixture'
import type { CookEvent } from '#core/session/events'
import { forecast } from '#core/usecase/forecast'
import { asked, type LaterBy } from './forecast'

vi.mock('../workers/queue', () => ({ Queue: class {} }))

const T0 = 1_790_000_000_000
type Doing = Exclude<CookEvent['kind'], 'reading' | 'delayed' | 'parted' | 'undone'>

function cooked(settings: Settings): { readonly plan: Plan; readonly told: (...events: CookEvent[]) => CookRecord } {
  const { request, plan } = planned(requestOf('pan sear', settings))
  const turns = plan.marks.slice(1).map(m => event('turned', m.from))
  const told = (...events: CookEvent[]): CookRecord => ({
    id: 'cook',
    title: 'Strip',
    createdAt: T0,
    request,
    planned: plannedOf(plan, null, 200),
    service: null,
    outcome: NO_OUTCOME,
    events: [event('laid', 0), ...turns, event('pulled', plan.pull.time), ...events]
  })
  return { plan, told }
}
function event(kind: Doing, s: number): CookEvent {
  const at = Math.round(T0 + 1000 * s)
  return { id: `${kind}-${at}`, kind, at, entered: at }
}
function foreseen(cook: CookRecord, s: number, whatIf: LaterBy | null = null): Plan {
  const found = forecast(asked({ cook, now: T0 + 1000 * s }, whatIf))
  if ('refused' in found) throw new Error(found.refused)
  return found.plan
}
const lengths = (plan: Plan): Record<string, number> =>
  Object.fromEntries(plan.phases.slice(1).map(p => [p.phase, Math.round((p.to - p.from) / 10) * 10]))
const AT_REST = { kind: 'clock', seconds: 300 } as const

describe('what it lay longer on the board', () => {
  it('is taken from the low oven: it is cut when the table is ready, and cooler', () => {
    const { plan, told } = cooked({ rest: AT_REST, heldS: 1200 })
    const off = plan.pull.time
    const onTime = foreseen(told(event('moved', off + 300)), off + 310)
    const late = foreseen(told(event('moved', off + 700)), off + 710)
    expect(lengths(onTime)).toEqual({ rest: 300, hold: 1200 })
    expect(lengths(late)).toEqual({ rest: 700, hold: 800 })
    expect(late.carve.time).toBeCloseTo(onTime.carve.time, 0)
    expect(late.carve.core).toBeLessThan(onTime.carve.core)
    expect(onTime.carve.time).toBeCloseTo(plan.carve.time, -1)
  })

  it('is taken from the fridge, and given to it where it went in sooner', () => {
    const { plan, told } = cooked({ rest: AT_REST, coldS: 7200 })
    const off = plan.pull.time
    expect(lengths(foreseen(told(event('moved', off + 900)), off + 910))).toEqual({ rest: 900, chill: 6600 })
    expect(lengths(foreseen(told(event('moved', off + 60)), off + 910))).toEqual({ rest: 60, chill: 7440 })
  })

  it('leaves a minute in the pan a minute; and past the table it is where it is', () => {
    const pan = cooked({ rest: AT_REST, rewarmS: 60 })
    const off = pan.plan.pull.time
    expect(lengths(foreseen(pan.told(event('moved', off + 700)), off + 710))).toEqual({ rest: 300, rewarm: 120 })
    const low = cooked({ rest: AT_REST, heldS: 300 })
    expect(foreseen(low.told(event('moved', low.plan.pull.time + 1500)), low.plan.pull.time + 1510).phases.at(-1)).toMatchObject({
      phase: 'hold'
    })
  })
})

describe('a table that is later', () => {
  it('is so much later however it is waited for; a flash is of that time, and said twice it is one', () => {
    const { plan, told } = cooked({ rest: AT_REST })
    const cook = told()
    const now = plan.pull.time + 60
    const by = (whatIf: LaterBy | null): Plan => foreseen(cook, now, whatIf)
    const ways = [{ seconds: 600 }, { seconds: 600, held: true }, { seconds: 600, flashS: 60 }].map(by)
    for (const way of ways) expect(way.carve.time - by(null).carve.time).toBeCloseTo(600, 0)
    expect(ways.map(lengths)).toEqual([{ rest: 900 }, { rest: 300, hold: 600 }, { rest: 780, rewarm: 120 }])
    const late = (id: string): CookEvent => ({
      id,
      kind: 'delayed',
      seconds: 600,
      flashS: 60,
      at: T0 + 1000 * now,
      entered: T0 + 1000 * now
    })
    expect(lengths(foreseen(told(late('one'), late('two')), now + 1))).toEqual({ rest: 1380, rewarm: 120 })
  })
})

it('what a device says whose clock is a moment ahead has happened: the next turn is a whole one after it', () => {
  const { told, plan } = cooked({})
  const turned = { ...told(), events: [event('laid', 0), event('turned', 24.3)] }
  const next = (now: number): number => foreseen(turned, now).marks[2].from
  expect(foreseen(turned, 24).marks[1].from).toBeCloseTo(24.3, 1)
  expect(next(24)).toBeCloseTo(next(24.3), 6)
  expect(next(24) - 24.3).toBeGreaterThan(0.8 * (plan.marks[2].from - plan.marks[1].from))
})
