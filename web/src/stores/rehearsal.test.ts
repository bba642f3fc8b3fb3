/** A rehearsal at this device: a clock of its own, cooks that are not the kitchen's, and when to hurry and when not. */
import { describe, expect, it, vi } from 'vitest'
import { planned } from '#core/plan/planned.fixture'
import { goingAt, inTime, shownBy } from '#core/rehearsal/clock'
import type { Rehearsal } from '#core/rehearsal/record'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { timeAt, useClock } from './clock'
import { useCook } from './cook'
import { A_MINUTE } from '#core/rehearsal/schema'
import { useDrills } from './drills'
import { freshEach, reload, settle, there } from './fresh.fixture'
import { useRehearsal } from './rehearsal'
import { useStove } from './stove'

vi.mock('../workers/engine', async () => {
  const { silent } = await import('./fresh.fixture')
  return { startEngine: silent, askEngine: () => new Promise(() => undefined) }
})
vi.mock('../workers/ticker', () => ({ ticker: () => ({ start: () => undefined, stop: () => undefined }) }))
freshEach()

const { plan } = planned(FIRST_REQUEST)
const BEGUN = { request: FIRST_REQUEST, plan, preheatS: 200 }
const INTO = { id: 'rehearsal-one', name: 'A strip', calls: true, probe: true, guestsLateS: 0 }
const light = (title: string): string => useCook().begin(title, BEGUN, null, { id: 'rehearsal-one', after: null, called: '' })
/** A keeper that says where the rehearsal stands. */
const keeper = (of: Partial<Rehearsal>, more: Readonly<Record<string, unknown>> = {}): void =>
  void vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
    there.sent.push({ method, path, body: body === undefined ? undefined : JSON.parse(body) })
    const whole = { id: 'rehearsal-one', exercise: null, cooks: [], sides: [], points: null, clock: { at: Date.now(), speed: 1 }, ...of }
    const found = Object.entries(more).find(([end]) => path.endsWith(end))?.[1]
    return Promise.resolve(new Response(JSON.stringify(found ?? whole), { status: 200 }))
  })

describe('a clock of its own', () => {
  it('runs as fast as it is let, loses nothing when it is let otherwise, and can be held', () => {
    const clock = goingAt({ at: 1000, since: 0, speed: 60 }, 0, 3600_000)
    expect(clock.at).toBe(1000 + 60 * 3600_000)
    expect(shownBy(clock, 9e9)).toBe(clock.at)
    expect(shownBy(goingAt(clock, 10, 9e9), 9e9 + 500)).toBe(clock.at + 5000)
  })

  it('slows by itself before what is due, and waits for the cook at the pace of the kitchen', () => {
    expect([600_000, 50_000, 20_000, 5_000, 500, -4_000].map(ms => inTime(60, ms))).toEqual([60, 30, 10, 2, 1, 1])
    expect(inTime(5, 600_000)).toBe(5)
    expect(inTime(60, null)).toBe(1)
    expect(inTime(0, 600_000)).toBe(0)
  })

  it('is the kitchen’s again when the rehearsal is left, and goes on where the page is opened anew', () => {
    const clock = useClock()
    expect(timeAt(clock)).toBe(Date.now())
    clock.enter(INTO, 5_000_000, 60)
    vi.advanceTimersByTime(10_000)
    expect(timeAt(clock)).toBe(5_600_000)
    clock.go(0)
    reload()
    vi.advanceTimersByTime(60_000)
    expect(timeAt(useClock())).toBe(5_600_000)
    useClock().leave()
    expect(timeAt(useClock())).toBe(Date.now())
  })

  it('is set by its keeper where it has gone wrong, and not for a moment’s difference', () => {
    const clock = useClock()
    clock.enter(INTO, 5_000_000, 10)
    clock.set(5_000_900, 10)
    expect(timeAt(clock)).toBe(5_000_000)
    clock.set(5_009_000, 10)
    expect(timeAt(clock)).toBe(5_009_000)
  })
})

describe('what stands beside the beef', () => {
  const SIDES = [
    { id: 'mash 0 on', of: 'Mash', says: 'Peel the potatoes', dueS: 300, doneAt: null },
    { id: 'mash 1 on', of: 'Mash', says: 'Water of 2 litres to the boil', dueS: 900, doneAt: null }
  ]

  it('is called once the first piece is in, one step after another, and done for every device; taken back it is called again', async () => {
    const [cook, clock, stove, rehearsal] = [useCook(), useClock(), useStove(), useRehearsal()]
    keeper({ sides: SIDES, clock: { at: 5_000_000, speed: 1 } })
    clock.enter(INTO, 5_000_000, 1)
    light('Strip')
    await settle()
    expect(clock.sides).toHaveLength(2)
    expect(stove.stream.filter(c => c.dish)).toEqual([])
    cook.say({ kind: 'laid' })
    const laidAt = cook.cook!.events.find(e => e.kind === 'laid')!.at
    const called = () => stove.stream.find(c => c.dish)
    expect(called()).toMatchObject({ of: 'Mash', says: 'Peel the potatoes', due: laidAt + 300_000 })
    const first = SIDES[0]
    keeper({ sides: [{ ...first, doneAt: 5_100_000 }, SIDES[1]] as never, clock: { at: 5_000_000, speed: 1 } })
    await rehearsal.did(first.id)
    expect(there.sent.at(-1)).toMatchObject({ method: 'PUT', path: expect.stringContaining('/sides/mash%200%20on') as string })
    expect(called()).toMatchObject({ due: laidAt + 900_000 })
    keeper({ sides: SIDES, clock: { at: 5_000_000, speed: 1 } })
    await rehearsal.did(first.id, false)
    expect(there.sent.at(-1)).toMatchObject({ method: 'DELETE' })
    expect(called()).toMatchObject({ due: laidAt + 300_000 })
    // With all of the beef cut nothing is called any more.
    for (const kind of ['pulled', 'carved'] as const) cook.say({ kind })
    expect(called()).toBeUndefined()
    clock.enter({ ...INTO, id: 'rehearsal-two' }, 5_000_000, 1)
    expect(clock.sides).toEqual([])
  })

  it('is left to the cook where nothing is called', async () => {
    const [cook, clock, stove] = [useCook(), useClock(), useStove()]
    keeper({ sides: SIDES })
    clock.enter({ ...INTO, calls: false }, 5_000_000, 1)
    light('Strip')
    useRehearsal()
    cook.say({ kind: 'laid' })
    await settle()
    expect(stove.stream).toEqual([])
  })
})

describe('cooks of a rehearsal', () => {
  it('are on no stove but its own; the kitchen’s are not on its', () => {
    const [cook, clock] = [useCook(), useClock()]
    cook.begin('Supper', BEGUN, null)
    cook.say({ kind: 'laid' })
    expect(cook.inEarnest).toBe(true)
    clock.enter(INTO, 5_000_000, 1)
    expect(cook.cooks).toEqual([])
    light('Strip')
    expect(cook.cooks.map(c => c.title)).toEqual(['Strip'])
    expect(cook.cook).toMatchObject({ rehearsed: true, createdAt: 5_000_000 })
    cook.say({ kind: 'lit' })
    expect(cook.cook!.events[0].at).toBe(5_000_000)
    clock.leave()
    expect(cook.cooks.map(c => c.title)).toEqual(['Supper'])
    reload()
    expect(useCook().cooks.map(c => c.title)).toEqual(['Supper'])
  })

  it('hear what another device has said, and a thermometer at the moment that it was read', async () => {
    const [cook, clock] = [useCook(), useClock()]
    clock.enter(INTO, 5_000_000, 1)
    const id = light('Strip')
    const lit = { id: 'lit-elsewhere', kind: 'lit' as const, at: 5_001_000, entered: 5_001_000 }
    const signs = {
      pan: 'a drop of water lies there and steams',
      fire: null,
      hiss: null,
      shade: null,
      smoke: 'none' as const,
      feel: null,
      flames: false
    }
    keeper(
      { cooks: [{ id, signs, events: 1 }], clock: { at: 5_002_000, speed: 1 } },
      { '/cooks': { cooks: [{ ...cook.cook!, events: [lit] }], thrownAway: [] }, '/probe': { at: 5_100_000, celsius: 41.3 } }
    )
    const rehearsal = useRehearsal()
    await vi.advanceTimersByTimeAsync(1200)
    expect(rehearsal.signsOf(id)).toEqual(signs)
    expect(cook.cook!.events.map(e => e.id)).toEqual(['lit-elsewhere'])
    cook.say({ kind: 'laid' }, 5_050_000)
    await rehearsal.probe(id)
    expect(cook.cook!.events.at(-1)).toMatchObject({ kind: 'reading', coreC: 41.3, at: 5_100_000 })
  })

  it('where its keeper does not answer it says so, and goes on', async () => {
    useClock().enter(INTO, 5_000_000, 10)
    there.server = 'down'
    const rehearsal = useRehearsal()
    await vi.advanceTimersByTimeAsync(1200)
    expect(rehearsal.trouble).toBe('The server does not answer.')
    expect(timeAt(useClock())).toBeGreaterThan(5_001_000)
    keeper({ clock: { at: 5_100_000, speed: 1 } })
    await vi.advanceTimersByTimeAsync(1200)
    expect(rehearsal.trouble).toBeNull()
  })

  it('by signs alone it is never faster than eyes are', async () => {
    useClock().enter({ ...INTO, calls: false }, 5_000_000, 1)
    const rehearsal = useRehearsal()
    light('Strip')
    rehearsal.wishFor(60)
    expect(rehearsal.wish).toBe(10)
    useCook().say({ kind: 'lit' })
    await vi.advanceTimersByTimeAsync(400)
    expect(useClock().speed).toBe(5)
    rehearsal.wishFor(0)
    expect(useClock().speed).toBe(0)
    rehearsal.leave()
    expect(useClock().rehearsing).toBeNull()
  })
})

describe('two devices in one rehearsal', () => {
  const at = (speed: number): Partial<Rehearsal> => ({ clock: { at: timeAt(useClock()), speed } })
  it('hold it together, and hurry together', async () => {
    useClock().enter(INTO, 5_000_000, 1)
    const rehearsal = useRehearsal()
    keeper(at(30))
    await vi.advanceTimersByTimeAsync(1200)
    expect(rehearsal.wish).toBe(30)
    keeper(at(0))
    await vi.advanceTimersByTimeAsync(1200)
    expect([rehearsal.wish, useClock().speed]).toEqual([0, 0])
    keeper(at(10))
    await vi.advanceTimersByTimeAsync(1200)
    expect(rehearsal.wish).toBe(10)
  })

  it('what was asked before a word is not held against it', async () => {
    useClock().enter(INTO, 5_000_000, 1)
    const rehearsal = useRehearsal()
    rehearsal.wishFor(0)
    let late: (() => void) | null = null
    vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
      const whole = {
        id: 'rehearsal-one',
        exercise: null,
        cooks: [],
        points: null,
        clock: { at: 5_000_000, speed: body === undefined ? 60 : (JSON.parse(body) as { speed: number }).speed }
      }
      const answer = new Response(JSON.stringify(whole), { status: 200 })
      return method === 'PUT' || !path.endsWith('/rehearsal-one')
        ? Promise.resolve(answer)
        : new Promise(done => (late = () => done(answer)))
    })
    rehearsal.wishFor(5)
    await vi.advanceTimersByTimeAsync(1100)
    rehearsal.wishFor(0)
    late!()
    await vi.advanceTimersByTimeAsync(100)
    expect(rehearsal.wish).toBe(0)
  })

  it('take nothing of it along when it is left', () => {
    const [cook, clock] = [useCook(), useClock()]
    clock.enter(INTO, 5_000_000, 1)
    light('Strip')
    useRehearsal().leave()
    expect(clock.rehearsing).toBeNull()
    clock.enter(INTO, 5_000_000, 1)
    expect(cook.cooks).toEqual([])
  })
})

describe('the drills', () => {
  const DAY = 24 * 3600_000
  const inDays = (due: Date): number => Math.round((due.getTime() - Date.now()) / DAY)
  it('come again later the better they went, and each time later still', async () => {
    const drills = useDrills()
    expect(drills.isDue('climb')).toBe(true)
    const well = inDays(drills.done('climb', A_MINUTE))
    const badly = inDays(drills.done('grain', 1))
    expect(badly).toBe(1)
    expect(well).toBeGreaterThan(badly)
    expect(drills.isDue('climb')).toBe(false)
    vi.setSystemTime(drills.dueAt('climb')!)
    expect(drills.isDue('climb')).toBe(true)
    expect(inDays(drills.done('climb', 4))).toBeGreaterThan(well)
    await settle()
    const due = drills.dueAt('climb')
    reload()
    expect(useDrills().dueAt('climb')).toEqual(due)
  })

  it('go on from what an earlier version kept in this browser, and from what was done at another screen', async () => {
    const now = Date.now()
    const card = {
      due: new Date(now + 9 * DAY),
      stability: 9,
      difficulty: 4,
      elapsed_days: 0,
      scheduled_days: 9,
      learning_steps: 0,
      reps: 2,
      lapses: 0,
      state: 2
    }
    localStorage.setItem('macellaio.drills', JSON.stringify({ climb: { ...card, last_review: new Date(now) } }))
    expect(inDays(useDrills().dueAt('climb')!)).toBe(9)
    vi.setSystemTime(now + 9 * DAY)
    expect(inDays(useDrills().done('climb', A_MINUTE))).toBeGreaterThan(9)
    reload()
    await settle()
    const told = there.sent.filter(s => s.method === 'PUT')
    expect(told.map(s => s.body)).toMatchObject([{ kind: 'climb', right: 5 }])
    const elsewhere = { id: 'drilled-elsewhere', kind: 'grain', right: 5, at: Date.now() }
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify({ drills: [told[0].body, elsewhere] }))))
    const drills = useDrills()
    const due = drills.dueAt('climb')
    expect(drills.isDue('grain')).toBe(true)
    await drills.load()
    expect(drills.isDue('grain')).toBe(false)
    expect(drills.dueAt('climb')).toEqual(due)
    // With the server gone what is known stays known.
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no route')))
    await drills.load()
    expect(drills.isDue('grain')).toBe(false)
  })

  it('what cannot be read back is asked as if it were new', () => {
    localStorage.setItem('macellaio.drills', '{"climb":{"due":"never"},"grain":7}')
    expect(useDrills().dueAt('climb')).toBeNull()
    expect(useDrills().isDue('grain')).toBe(true)
  })
})
