/** Services at two devices and one server: told once, taken over, kept while the server is away, told anew where it has forgotten. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { parseServiceEvents } from '#core/formats/serviceSchema'
import { serviceOf, type ServiceEvent } from '#core/service/record'
import { useDraft } from './draft'
import { freshEach, settle, silent, storage } from './fresh.fixture'
import { usePass } from './pass'
import { useServices } from './services'

const { start } = vi.hoisted(() => ({ start: vi.fn() }))
vi.mock('../workers/engine', () => ({ startEngine: start, askEngine: vi.fn() }))
freshEach()

/** What the server has, by service; it checks what comes as the real one does. */
const logs = new Map<string, ServiceEvent[]>()
let up = true
beforeEach(() => {
  start.mockReset().mockImplementation(silent)
  logs.clear()
  up = true
  vi.stubGlobal('document', { visibilityState: 'visible', addEventListener: vi.fn() })
  vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
    if (!up) return Promise.reject(new TypeError('no route'))
    const id = /^\/api\/services\/([\w-]+)/.exec(path)?.[1]
    if (id === undefined) return Promise.resolve(new Response('{}'))
    if (method === 'POST') {
      const log = logs.get(id) ?? []
      for (const e of parseServiceEvents(JSON.parse(body ?? ''))) if (!log.some(l => l.id === e.id)) log.push(e)
      logs.set(id, log)
    }
    const log = logs.get(id)
    return Promise.resolve(log ? new Response(JSON.stringify(serviceOf(id, log))) : new Response('{}', { status: 404 }))
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
