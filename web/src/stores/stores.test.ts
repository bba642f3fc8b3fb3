/** What the browser keeps, and how it gets to the server in the end. */
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { preheatSeconds } from '#core/kit/pan'
import { isTender } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { planPanSear } from '#core/plan/panPlan'
import { setupOf } from '#core/request/request'
import { useCook } from './cook'
import { READY_KITS } from '#core/kit/kit'
import { useDraft } from './draft'
import { useGuests } from './guests'
import { useKit } from './kit'
import { usePass } from './pass'
import type { PlanResult } from './planner'
import { useMethods } from './methods'
import { useUnits } from './units'

const { hire } = vi.hoisted(() => ({ hire: vi.fn() }))
vi.mock('../workers/planner', async original => ({ ...(await original()), hireWorker: hire }))

const { settings, room } = setupOf(FIRST_REQUEST)
const RESULT: PlanResult = {
  request: FIRST_REQUEST,
  plan: planPanSear(setupOf(FIRST_REQUEST), FIRST_REQUEST.targetC),
  preheatS: preheatSeconds(settings.pan, settings.ring, FIRST_REQUEST.panC, room.temperatureC)
}

const storage = new Map<string, string>()
let sent: { method: string; path: string; body: unknown }[] = []
let server: 'up' | 'down' | 'refuses' = 'up'

beforeEach(() => {
  storage.clear()
  sent = []
  server = 'up'
  vi.useFakeTimers()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => storage.get(key) ?? null,
    setItem: (key: string, value: string) => void storage.set(key, value)
  })
  vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
    if (server === 'down') return Promise.reject(new TypeError('no route'))
    if (server === 'refuses') return Promise.resolve(new Response(JSON.stringify({ detail: 'Not like this.' }), { status: 422 }))
    sent.push({ method, path, body: body === undefined ? undefined : JSON.parse(body) })
    return Promise.resolve(new Response('{}', { status: 200 }))
  })
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

/** The page closed and opened again. */
function reload(): void {
  vi.clearAllTimers()
  setActivePinia(createPinia())
}
const settle = (): Promise<unknown> => vi.advanceTimersByTimeAsync(10_000)

describe('a cook under way', () => {
  it('is sent in the order it happened', async () => {
    const cook = useCook()
    cook.begin('Strip', RESULT, null)
    cook.say({ kind: 'lit' })
    cook.say({ kind: 'laid' })
    await settle()
    expect(sent.map(s => s.path)).toEqual(['/api/cooks', `/api/cooks/${cook.cook?.id}/events`, `/api/cooks/${cook.cook?.id}/events`])
    expect(cook.unsent).toBe(0)
  })

  it('waits for a dead server, through a closed page, and loses nothing', async () => {
    server = 'down'
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
    server = 'up'
    await settle()
    expect(after.unsent).toBe(0)
    expect(after.offline).toBe(false)
    const kinds = sent.flatMap(s => ((s.body as { events?: { kind: string }[] }).events ?? []).map(e => e.kind))
    expect(kinds).toEqual(['laid', 'turned'])
  })

  it('refused for good, a letter does not hold up the others, and the cook is still here', async () => {
    const cook = useCook()
    server = 'refuses'
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
    expect(cook.progress?.phase).toBe('ready')
    expect(cook.cook?.events).toHaveLength(4)
  })

  it('only the last verdict is sent, and put away the cook is still at hand', async () => {
    server = 'down'
    const cook = useCook()
    cook.begin('Strip', RESULT, null)
    const id = cook.cook?.id ?? ''
    for (const notes of ['a', 'ab', 'abc']) cook.judge(id, { doneness: null, crust: null, notes })
    cook.clear()
    server = 'up'
    await settle()
    expect(sent.filter(s => s.path.endsWith('/outcome')).map(s => (s.body as { notes: string }).notes)).toEqual(['abc'])
    expect(cook.cook).toBeNull()
    expect(cook.last?.outcome.notes).toBe('abc')
  })
})

describe('the draft', () => {
  it('survives a reload', () => {
    useDraft().changePiece({ thicknessMm: 31 })
    reload()
    expect(useDraft().request.piece.thicknessMm).toBe(31)
    expect(useDraft().touched).toBe(true)
  })

  it.each(['{', '{"piece":{}}', JSON.stringify({ ...FIRST_REQUEST, panC: 9000 }), 'null'])(
    'what cannot be read back (%s) gives way to the example',
    stored => {
      storage.set('macellaio.draft', stored)
      expect(useDraft().request).toEqual(FIRST_REQUEST)
    }
  )

  it.each(CUTS.filter(isTender).map(c => [c.id, c] as const))(
    'a usual piece of %s comes to the bench without contradicting itself, and can be planned',
    async (_, cut) => {
      const draft = useDraft()
      draft.take(cut)
      await nextTick()
      expect(draft.contradiction).toBeNull()
      expect(() => setupOf({ ...draft.request, panId: 'cast-iron-28' })).not.toThrow()
    }
  )

  it('a problem stands until it is mended or another cut is taken', () => {
    const draft = useDraft()
    draft.complain('Thickness', 'Not a length.')
    expect(draft.firstProblem).toEqual(['Thickness', 'Not a length.'])
    draft.take(CUTS[1])
    expect(draft.firstProblem).toBeUndefined()
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
    server = 'down'
    expect(useKit().put('pans', heavy)).toBe(true)
    await nextTick()
    expect(useDraft().request.kit?.pan.floorMm).toBe(9)
    expect(useDraft().touched).toBe(false)
    reload()
    expect(useKit().kit.pans[0].name).toBe('Heavy')
    expect(useKit().unsent).toBe(true)
    server = 'up'
    await useKit().load()
    expect(sent.find(s => s.method === 'PUT' && s.path === '/api/kit')?.body).toMatchObject({ pans: [{ name: 'Heavy' }, {}, {}, {}, {}] })
    expect(useKit().unsent).toBe(false)
  })

  it('a pan that is taken away is replaced in the draft; what cannot be is refused; undo brings it back', async () => {
    const kit = useKit()
    kit.remove('pans', 'cast-iron-28')
    await nextTick()
    expect(useDraft().request.panId).toBe('cast-iron-24')
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
    expect(useDraft().request).toMatchObject({ scaleId: 'hot', targetC: 60 })
    reload()
    expect(useGuests().guests.map(g => g.name)).toEqual(['Bo', ''])
  })
})

describe('one way looked at in full', () => {
  it('set back before it was answered, it is asked again and not left waiting', async () => {
    const asked: ((answer: unknown) => void)[] = []
    hire.mockImplementation(() => ({ remote: { method: () => new Promise(answer => asked.push(answer)) }, stop: () => undefined }))
    const methods = useMethods()
    methods.follow('roast')
    await nextTick()
    const answerNext = async (): Promise<void> => {
      asked.shift()!({ kind: 'roast', unsuited: 'No.', nearestC: null })
      for (let i = 0; i < 5; i++) await Promise.resolve()
    }
    await answerNext()
    expect(methods.current('roast')).not.toBeNull()
    methods.turn('roast', 'ovenC', 150)
    await nextTick()
    methods.asUsual('roast')
    await nextTick()
    await answerNext()
    await answerNext()
    expect(methods.current('roast')).not.toBeNull()
  })
})

describe('the ticket of the pass', () => {
  const at = (when: string): void => void vi.setSystemTime(new Date(when))

  it('is an example for whom the beef feeds, on the next evening there is time for', () => {
    at('2026-11-26T12:00')
    expect(usePass().ticket).toMatchObject({ serveAt: '2026-11-26T19:30', diners: 2, cooks: 1 })
    storage.clear()
    reload()
    at('2026-11-26T18:30')
    expect(usePass().ticket.serveAt).toBe('2026-11-27T19:30')
  })

  it('the plan of the same piece and way takes the place of the one before; of another way it is another dish', () => {
    const pass = usePass()
    pass.putBeef('pan sear', RESULT.plan)
    pass.putBeef('pan sear', RESULT.plan)
    const beef = () => pass.dishes.filter(d => d.kind === 'beef')
    expect(beef()).toHaveLength(1)
    expect(beef()[0].pullC).toBe(RESULT.plan.pull.core)
    pass.putBeef('sear then oven', RESULT.plan)
    expect(beef()).toHaveLength(2)
  })

  it('keeps what was changed through a reload, takes the last change back, and refuses what cannot be', () => {
    const pass = usePass()
    const before = pass.ticket
    expect(pass.add({ recipe: 'rice' })).toBeNull()
    reload()
    const again = usePass()
    expect(again.ticket.lines.at(-1)).toMatchObject({ recipe: 'rice' })
    expect(again.change({ diners: 0 })).toMatch(/from 1 to 40/)
    expect(again.ticket.diners).toBe(before.diners)
    again.remove(again.ticket.lines[0].id)
    again.undo()
    expect(again.ticket.lines).toHaveLength(before.lines.length + 1)
  })

  it('of an evening gone by is for the next, with nothing done; of one under way it stays', () => {
    at('2026-11-26T19:00')
    const pass = usePass()
    pass.change({ serveAt: '2026-11-26T19:30' })
    pass.tick('x 0 on')
    at('2026-11-26T21:00')
    pass.renew()
    expect(pass.ticket.serveAt).toBe('2026-11-26T19:30')
    expect(pass.done).toEqual(['x 0 on'])
    at('2026-11-27T10:00')
    pass.renew()
    expect(pass.ticket.serveAt).toBe('2026-11-27T19:30')
    expect(pass.done).toEqual([])
  })

  it('what an older page left behind and cannot be used is an example again', () => {
    storage.set('macellaio.ticket', JSON.stringify({ serveAt: 'soon', diners: 6, cooks: 1, lines: [] }))
    expect(usePass().ticket.lines.length).toBeGreaterThan(1)
  })
})
