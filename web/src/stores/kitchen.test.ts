/** What is kept of the kitchen: the cook under way, the kit, the guests, the units. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createPinia, setActivePinia } from 'pinia'
import { nextTick } from 'vue'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { planned } from '#core/plan/planned.fixture'
import { standing } from '#core/session/events'
import { useCook } from './cook'
import { READY_KITS } from '#core/kit/kit'
import { useDraft } from './draft'
import { useGuests } from './guests'
import { useKit } from './kit'
import { useUnits } from './units'
import { freshEach, reload, settle, silent, there } from './fresh.fixture'

const { start } = vi.hoisted(() => ({ start: vi.fn() }))
vi.mock('../workers/engine', () => ({ startEngine: start, askEngine: vi.fn() }))

freshEach()
beforeEach(() => void start.mockReset().mockImplementation(silent))
const { plan: PLAN } = planned(FIRST_REQUEST)
const RESULT = { request: FIRST_REQUEST, plan: PLAN, preheatS: 212 }

describe('a cook under way', () => {
  it('is there.sent in the order it happened', async () => {
    const cook = useCook()
    cook.begin('Strip', RESULT, null)
    cook.say({ kind: 'lit' })
    cook.say({ kind: 'laid' })
    await settle()
    expect(there.sent.map(s => s.path)).toEqual(['/api/cooks', `/api/cooks/${cook.cook?.id}/events`, `/api/cooks/${cook.cook?.id}/events`])
    expect(cook.unsent).toBe(0)
  })

  it('waits for a dead server, through a closed page, and loses nothing', async () => {
    there.server = 'down'
    const before = useCook()
    before.begin('Strip', RESULT, null)
    before.say({ kind: 'laid' })
    await settle()
    expect(before.offline).toBe(true)
    expect(before.unsent).toBe(2)

    reload()
    const after = useCook()
    expect(after.cook?.id).toBe(before.cook?.id)
    after.say({ kind: 'turned' })
    there.server = 'up'
    await settle()
    expect(after.unsent).toBe(0)
    expect(after.offline).toBe(false)
    const kinds = there.sent.flatMap(s => ((s.body as { events?: { kind: string }[] }).events ?? []).map(e => e.kind))
    expect(kinds).toEqual(['laid', 'turned'])
  })

  it('in two pages with the server gone is one: each hears what the other says, and closed, both have said all of it', async () => {
    there.server = 'down'
    const listening: ((event: { key: string | null }) => void)[] = []
    vi.stubGlobal('window', {
      addEventListener: (kind: string, hear: (typeof listening)[number]) => kind === 'storage' && listening.push(hear)
    })
    const pages = [createPinia(), createPinia()]
    const at = (page: number): ReturnType<typeof useCook> => {
      setActivePinia(pages[page])
      return useCook()
    }
    at(0).begin('Strip', RESULT, null)
    at(1)
    const told = (): void => listening.forEach(hear => hear({ key: null }))
    at(0).say({ kind: 'laid' })
    told()
    expect(at(1).cook?.events.map(e => e.kind)).toEqual(['laid'])
    // Now neither is told in time, and each writes over what the other has kept.
    for (const page of [0, 1, 0, 1, 1, 0]) {
      vi.advanceTimersByTime(1000)
      at(page).say({ kind: 'turned' })
    }
    at(1).rename(at(1).cook!.id, 'Two of us')
    await vi.advanceTimersByTimeAsync(1)
    reload()
    const after = useCook()
    expect(after.cook?.events.map(e => e.kind)).toEqual(['laid', ...Array<string>(6).fill('turned')])
    expect(after.cook?.title).toBe('Two of us')
    there.server = 'up'
    await settle()
    expect(there.sent.flatMap(s => (s.body as { events?: object[] }).events ?? [])).toHaveLength(7)
  })

  it('refused for good, a letter does not hold up the others, and the cook is still here', async () => {
    const cook = useCook()
    there.server = 'refuses'
    cook.begin('Strip', RESULT, null)
    await settle()
    expect(cook.refused).toBe('Not like this.')
    expect(cook.unsent).toBe(0)
    expect(cook.cook?.title).toBe('Strip')
  })

  it('takes nothing that cannot have happened, and nothing before what already has', () => {
    const cook = useCook()
    cook.begin('Strip', RESULT, null)
    cook.say({ kind: 'turned' })
    expect(cook.cook?.events).toHaveLength(0)
    cook.say({ kind: 'laid' }, 50_000)
    cook.say({ kind: 'turned' }, 20_000)
    expect(cook.cook?.events.map(e => e.at)).toEqual([50_000, 50_000])
  })

  it('undo takes back the last thing said, then the one before, then nothing', () => {
    const cook = useCook()
    cook.begin('Strip', RESULT, null)
    cook.say({ kind: 'laid' })
    cook.say({ kind: 'reading', coreC: 20 })
    expect(cook.undo()?.kind).toBe('reading')
    expect(cook.undo()?.kind).toBe('laid')
    expect(cook.undo()).toBeNull()
    expect(cook.progress?.state).toBe('ready')
    expect(cook.cook?.events).toHaveLength(4)
  })

  it('what is taken back by name leaves alone what was said since, of every cook it was said of', () => {
    const cook = useCook()
    const one = cook.begin('One', RESULT, null)
    const two = cook.begin('Two', RESULT, null)
    vi.setSystemTime(10_000)
    cook.say({ kind: 'lit' }, 10_000, [one, two])
    vi.setSystemTime(20_000)
    const late = cook.say({ kind: 'delayed', seconds: 600 }, 20_000, [one, two])
    vi.setSystemTime(30_000)
    cook.say({ kind: 'laid' }, 30_000, [one])
    cook.takeBack(late)
    const stands = (id: string): string[] => standing(cook.cooks.find(c => c.id === id)!.events).map(e => e.kind)
    expect(stands(one)).toEqual(['lit', 'laid'])
    expect(stands(two)).toEqual(['lit'])
  })

  it('thrown away it is off the stove and out of the book, and put back it is in both', async () => {
    const cook = useCook()
    const id = cook.begin('Strip', RESULT, null)
    cook.say({ kind: 'lit' })
    const back = cook.throwAway(id)
    expect(cook.cooks).toHaveLength(0)
    back()
    await settle()
    expect(cook.cook?.events).toHaveLength(1)
    expect(there.sent.slice(-2).map(s => `${s.method} ${s.path}`)).toEqual([`DELETE /api/cooks/${id}`, `POST /api/cooks/${id}/restored`])
  })

  it('only the last verdict is there.sent, and put away the cook is still at hand', async () => {
    there.server = 'down'
    const cook = useCook()
    cook.begin('Strip', RESULT, null)
    const id = cook.cook?.id ?? ''
    for (const notes of ['a', 'ab', 'abc']) cook.judge(id, { doneness: null, crust: null, notes })
    cook.clear()
    there.server = 'up'
    await settle()
    expect(there.sent.filter(s => s.path.endsWith('/outcome')).map(s => (s.body as { notes: string }).notes)).toEqual(['abc'])
    expect(cook.cook).toBeNull()
    expect(cook.last?.outcome.notes).toBe('abc')
  })
})

describe('units', () => {
  it('change everywhere and stay changed', () => {
    useUnits().toggle()
    reload()
    expect(useUnits().system).toBe('us')
    expect(useUnits().label).toBe('in · °F · oz')
  })
})

describe('the kit', () => {
  const heavy = { ...READY_KITS[0].kit.pans[0], floorMm: 9, name: 'Heavy' }

  it('goes along with the draft, outlives the page and reaches the server once there is one', async () => {
    there.server = 'down'
    expect(useKit().put('pans', heavy)).toBe(true)
    await nextTick()
    expect(useDraft().request.kit.pan.floorMm).toBe(9)
    expect(useDraft().touched).toBe(false)
    reload()
    expect(useKit().kit.pans[0].name).toBe('Heavy')
    expect(useKit().unsent).toBe(true)
    there.server = 'up'
    await useKit().load()
    expect(there.sent.find(s => s.method === 'PUT' && s.path === '/api/kit')?.body).toMatchObject({
      pans: [{ name: 'Heavy' }, {}, {}, {}, {}]
    })
    expect(useKit().unsent).toBe(false)
  })

  it('a pan that is taken away is replaced in the draft; what cannot be is refused; undo brings it back', async () => {
    const kit = useKit()
    kit.remove('pans', 'cast-iron-28')
    await nextTick()
    expect(useDraft().request.kit.pan.id).toBe('cast-iron-24')
    kit.undo()
    expect(kit.kit.pans.map(p => p.id)).toContain('cast-iron-28')
    expect(kit.replace({ ...kit.kit, rings: [] })).toBe(false)
    expect(kit.problem).toContain('one ring at least')
    expect(kit.kit.rings).not.toEqual([])
  })
})

describe('guests', () => {
  it('each doneness once, the rarest first; a scale that crosses itself is not kept; a school keeps the word', () => {
    const guests = useGuests()
    expect(guests.targets).toEqual([54])
    guests.seat(59, 'Bo')
    guests.seat(50)
    guests.seat(59)
    expect(guests.targets).toEqual([50, 59])
    guests.dismiss(guests.guests[1].id)
    expect(guests.targets).toEqual([59])
    expect(guests.setOwn({ ...guests.own, bands: guests.own.bands.map((b, i) => (i === 1 ? { ...b, aim: 20 } : b)) })).toBeTruthy()
    guests.goBy('hot', 'medium rare')
    expect(useDraft().request).toMatchObject({ target: { scaleId: 'hot', coreC: 60 } })
    reload()
    expect(useGuests().guests.map(g => g.name)).toEqual(['Bo', ''])
  })
})
