/** Services at two devices and one server: told once, taken over, kept while the server is away, told anew where it has forgotten. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { parseEvents, parseNewCook } from '#core/book/cookSchema'
import { NO_OUTCOME, type CookRecord } from '#core/book/record'
import { parseServiceEvents } from '#core/formats/serviceSchema'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { serviceOf, type ServiceEvent } from '#core/service/record'
import { standing } from '#core/session/events'
import { useCook } from './cook'
import { useDraft } from './draft'
import { freshEach, settle, silent, storage } from './fresh.fixture'
import { usePass } from './pass'
import { usePreparation } from './preparation'
import { useServices } from './services'

const { start } = vi.hoisted(() => ({ start: vi.fn() }))
vi.mock('../workers/engine', () => ({ startEngine: start, askEngine: vi.fn() }))
freshEach()

/** What the server has; it checks what comes as the real one does. */
const logs = new Map<string, ServiceEvent[]>()
const cooks = new Map<string, CookRecord>()
const thrownAway = new Set<string>()
let up = true
/** Where an answer is on its way and does not arrive. */
let held: Promise<void> | null = null

function answer(method: string, path: string, body: unknown): unknown {
  const [, kind, id, what] = /^\/api\/(services|cooks)(?:\/([\w-]+))?(?:\/(\w+))?/.exec(path) ?? []
  if (kind === 'cooks' && id === undefined) {
    const begun = { ...parseNewCook(body), events: [], outcome: NO_OUTCOME } as CookRecord
    if (!cooks.has(begun.id)) cooks.set(begun.id, begun)
    return {}
  }
  if (kind === 'cooks' && method === 'DELETE') return void thrownAway.add(id)
  if (kind === 'cooks') {
    const of = cooks.get(id)
    const told = parseEvents(body).filter(e => !of?.events.some(k => k.id === e.id))
    if (of) cooks.set(id, { ...of, events: [...of.events, ...told] })
    return of ? {} : null
  }
  const ofService = [...cooks.values()].filter(c => c.service?.id === id)
  if (what === 'cooks')
    return { cooks: ofService.filter(c => !thrownAway.has(c.id)), thrownAway: ofService.map(c => c.id).filter(c => thrownAway.has(c)) }
  if (method === 'POST') {
    const log = logs.get(id) ?? []
    for (const e of parseServiceEvents(body)) if (!log.some(l => l.id === e.id)) log.push(e)
    logs.set(id, log)
  }
  const log = logs.get(id)
  return log ? serviceOf(id, log) : null
}
beforeEach(() => {
  start.mockReset().mockImplementation(silent)
  logs.clear()
  cooks.clear()
  thrownAway.clear()
  up = true
  held = null
  vi.stubGlobal('document', { visibilityState: 'visible', addEventListener: vi.fn() })
  vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
    if (!up) return Promise.reject(new TypeError('no route'))
    const found = answer(method, path, body === undefined ? undefined : JSON.parse(body))
    if (found === undefined) return Promise.resolve(new Response(null, { status: 204 }))
    const answered = new Response(JSON.stringify(found ?? {}), { status: found === null ? 404 : 200 })
    return method === 'GET' && held ? held.then(() => answered) : Promise.resolve(answered)
  })
})

/** Each device has a storage and a page of its own. */
function device(): { readonly page: () => void } {
  const own = new Map<string, string>()
  const pinia = createPinia()
  return {
    page: () => {
      storage.clear()
      for (const [k, v] of own) storage.set(k, v)
      setActivePinia(pinia)
      useServices().start()
    }
  }
}
const kinds = (): string[] => [...logs.values()].flat().map(e => e.kind)

describe('a service at one device', () => {
  it('an example that nobody touched is none; once changed it is told, and nothing of it twice', async () => {
    useServices().start()
    await settle()
    expect(logs.size).toBe(0)
    usePass().add({ recipe: 'rice' })
    await settle()
    expect(kinds().sort()).toEqual(['fire', 'put off', 'ticket'])
    await settle()
    expect(kinds()).toHaveLength(3)
  })

  it('a dial turned through twenty places is told where it came to rest', async () => {
    useServices().start()
    usePass().add({ recipe: 'rice' })
    await settle()
    for (let c = 200; c < 220; c++) {
      useDraft().turn({ panC: c })
      await vi.advanceTimersByTimeAsync(100)
    }
    await settle()
    const [log] = logs.values()
    expect(log.filter(e => e.kind === 'fire')).toHaveLength(2)
    expect(serviceOf('x', log).request?.method.settings.panC).toBe(219)
  })

  it('what is decided while the server is away goes when it is back, once, through a closed page', async () => {
    up = false
    useServices().start()
    const pass = usePass()
    pass.add({ recipe: 'rice' })
    pass.tick('r 0 on')
    await settle()
    const { serviceId } = pass
    setActivePinia(createPinia())
    useServices().start()
    await settle()
    expect(logs.size).toBe(0)
    up = true
    await settle()
    expect(serviceOf(serviceId, logs.get(serviceId) ?? [])).toMatchObject({
      done: ['r 0 on'],
      ticket: { lines: [{}, {}, {}, { recipe: 'rice' }] }
    })
    expect(kinds().filter(k => k === 'done')).toHaveLength(1)
  })

  it('begun anew leaves the one before in the list; opened again it is as it was left', async () => {
    const services = useServices()
    services.start()
    const pass = usePass()
    const first = pass.serviceId
    pass.add({ recipe: 'rice' })
    pass.tick('rice 0 on')
    services.rename('Lock supper')
    useDraft().turn({ panC: 233 })
    await settle()
    services.startAnew()
    expect(pass.serviceId).not.toBe(first)
    expect(pass.done).toEqual([])
    expect(services.name).toBe('')
    useDraft().turn({ panC: 190 })
    await settle()
    await services.open(first)
    expect(pass.serviceId).toBe(first)
    expect(services.name).toBe('Lock supper')
    expect(pass.done).toEqual(['rice 0 on'])
    expect(useDraft().request.method.settings.panC).toBe(233)
  })

  it('its name goes with it: the next evening on the same ticket has none', async () => {
    const services = useServices()
    services.start()
    const pass = usePass()
    pass.change({ serveAt: '2026-11-26T19:30' })
    services.rename('Lock supper')
    await settle()
    vi.setSystemTime(new Date('2026-11-28T10:00'))
    pass.renew()
    await settle()
    expect(services.name).toBe('')
    expect(serviceOf(pass.serviceId, logs.get(pass.serviceId) ?? []).name).toBe('')
  })

  it('where the server has an older file and knows nothing of it, it is told again', async () => {
    useServices().start()
    const pass = usePass()
    pass.add({ recipe: 'rice' })
    pass.tick('rice 0 on')
    await settle()
    logs.clear()
    await settle()
    expect(serviceOf(pass.serviceId, logs.get(pass.serviceId) ?? [])).toMatchObject({ done: ['rice 0 on'] })
  })
})

describe('a service at two devices', () => {
  it('what is decided at either is at the other, ticks of both count, and the last whole word stands', async () => {
    const [desk, phone] = [device(), device()]
    desk.page()
    const atDesk = usePass()
    atDesk.add({ recipe: 'rice' })
    useDraft().seat({ named: [{ id: 'g1', name: 'Ida', targetC: 50 }] })
    await settle()

    phone.page()
    await useServices().open(atDesk.serviceId)
    const atPhone = usePass()
    expect(atPhone.ticket).toEqual(atDesk.ticket)
    expect(useDraft().request.guests.named).toMatchObject([{ name: 'Ida' }])
    atPhone.tick('rice 0 on')
    await settle()
    atDesk.tick('rice 1 on')
    await settle()
    expect([...atDesk.done].sort()).toEqual(['rice 0 on', 'rice 1 on'])
    expect([...atPhone.done].sort()).toEqual(['rice 0 on', 'rice 1 on'])

    atDesk.change({ cooks: 3 })
    await settle()
    expect(atPhone.ticket.cooks).toBe(3)
    expect(atPhone.done).toHaveLength(2)
    atPhone.untick()
    await settle()
    expect(atDesk.done).toEqual([])
  })

  it('an answer from before the last word is not taken for it, however late it comes', async () => {
    const [desk, phone] = [device(), device()]
    desk.page()
    const atDesk = usePass()
    atDesk.add({ recipe: 'rice' })
    await settle()
    phone.page()
    await useServices().open(atDesk.serviceId)
    usePass().change({ cooks: 2 })
    await vi.advanceTimersByTimeAsync(1000)
    let arrive = (): void => undefined
    held = new Promise(done => (arrive = done))
    // Both ask; the desk decides something and is heard, before what it asked for arrives.
    await vi.advanceTimersByTimeAsync(16_000)
    atDesk.change({ cooks: 4 })
    await vi.advanceTimersByTimeAsync(2000)
    arrive()
    held = null
    await vi.advanceTimersByTimeAsync(100)
    expect(atDesk.ticket.cooks).toBe(4)
    await settle()
    await settle()
    expect(atDesk.ticket.cooks).toBe(4)
    expect(usePass().ticket.cooks).toBe(4)
  })

  it('how the piece is got ready is at the other too; what is set of a piece, and is not on the ticket yet, stays while the other decides', async () => {
    const [desk, phone] = [device(), device()]
    const { plan } = planned(FIRST_REQUEST)
    desk.page()
    const [atDesk, desksPiece] = [usePass(), useDraft()]
    atDesk.change({ lines: [] })
    atDesk.putBeef(FIRST_REQUEST, plan)
    desksPiece.another()
    usePreparation().change({ salt: 'the day before' })
    usePreparation().tick('salt')
    atDesk.putBeef(FIRST_REQUEST, plan)
    await settle()
    phone.page()
    await useServices().open(atDesk.serviceId)
    expect(useDraft().pieceId).toBe(desksPiece.pieceId)
    expect(useDraft().prepared).toEqual(desksPiece.prepared)
    expect(usePreparation().ticked).toEqual(['salt'])

    const [atPhone, phonesPiece] = [usePass(), useDraft()]
    atPhone.openBeef(atPhone.pieces.find(p => p.id !== desksPiece.pieceId)!.id)
    expect(usePreparation().preparation.salt).toBe('right before')
    await settle()
    // No plan comes of it here: the engine is silent.
    phonesPiece.aim({ coreC: 60 })
    await settle()
    atDesk.change({ cooks: 3 })
    usePreparation().tick('pat')
    await settle()
    await settle()
    expect(atPhone.ticket.cooks).toBe(3)
    expect(phonesPiece.request.target.coreC).toBe(60)
  })

  it('come to rest: with nothing decided nothing more is told', async () => {
    const [desk, phone] = [device(), device()]
    desk.page()
    usePass().add({ recipe: 'rice' })
    await settle()
    const { serviceId } = usePass()
    phone.page()
    await useServices().open(serviceId)
    await settle()
    const told = kinds().length
    for (let i = 0; i < 6; i++) await settle()
    expect(kinds()).toHaveLength(told)
  })
})

describe('what is at the fire', () => {
  const { plan } = planned(FIRST_REQUEST)
  const light = (): string => {
    const service = { id: usePass().serviceId, after: null, called: '' }
    return useCook().begin('Strip', { request: FIRST_REQUEST, plan, preheatS: 200 }, null, service)
  }
  const turns = (of: CookRecord): number => standing(of.events).filter(e => e.kind === 'turned').length

  it('lit at one device is on the stove of the other; two hands that turn it in one breath have turned it once', async () => {
    const [desk, phone] = [device(), device()]
    desk.page()
    const atDesk = useCook()
    light()
    atDesk.say({ kind: 'lit' })
    atDesk.say({ kind: 'laid' })
    await settle()
    const { serviceId } = usePass()
    phone.page()
    await useServices().open(serviceId)
    const atPhone = useCook()
    expect(atPhone.cook?.events.map(e => e.kind)).toEqual(['lit', 'laid'])

    vi.advanceTimersByTime(60_000)
    atDesk.say({ kind: 'turned' })
    vi.advanceTimersByTime(900)
    atPhone.say({ kind: 'turned' })
    await settle()
    for (const c of [atDesk.cook!, atPhone.cook!, ...cooks.values()]) expect(turns(c)).toBe(1)
    atPhone.undo()
    await settle()
    for (const c of [atDesk.cook!, atPhone.cook!, ...cooks.values()]) expect(turns(c)).toBe(0)
    atDesk.say({ kind: 'turned' })
    await settle()
    expect(turns(atPhone.cook!)).toBe(1)
  })

  it('thrown away at one it is gone from the other; where the server forgot it, it is told again, whole', async () => {
    const [desk, phone] = [device(), device()]
    desk.page()
    const atDesk = useCook()
    const id = light()
    atDesk.say({ kind: 'lit' })
    await settle()
    const { serviceId } = usePass()
    phone.page()
    await useServices().open(serviceId)
    const atPhone = useCook()

    // An older file put in its place.
    cooks.clear()
    await settle()
    await settle()
    expect(cooks.get(id)?.events.map(e => e.kind)).toEqual(['lit'])
    expect(atDesk.cooks).toHaveLength(1)

    atDesk.throwAway(id)
    await settle()
    await settle()
    expect(atPhone.cooks).toEqual([])
  })
})
