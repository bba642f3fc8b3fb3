// @vitest-environment happy-dom
/** Thermometers at the stove: what they show, how long they have been silent, and which piece each is in. */
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { Probe } from '#core/session/probes'
import { button, emptyBrowser, field, pick, screenOf, shownIn } from '../../mounted/page.fixture'
import { useCook } from '../../stores/cook'
import { useProbes } from '../../stores/probes'
import StoveProbes from './StoveProbes.vue'
import { soon } from '../../mounted/soon.fixture'

vi.mock('../../workers/engine', () => ({
  startEngine: () => ({ remote: {}, terminate: vi.fn() }),
  askEngine: () => new Promise(() => undefined)
}))

const grey: Probe = { id: 'grey', name: 'Grey probe', tip: 'middle', cook: null, last: { at: Date.now(), celsius: 41.26 }, doubted: false }
const sent: { path: string; method: string; body: unknown }[] = []
beforeEach(() => {
  emptyBrowser()
  screenOf(false)
  sent.length = 0
  vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
    if (!path.startsWith('/api/probes')) return Promise.reject(new TypeError('no route'))
    const asked: unknown = body === undefined ? null : JSON.parse(body)
    sent.push({ path, method, body: asked })
    return Promise.resolve(
      method === 'DELETE' ? new Response(null, { status: 204 }) : new Response(JSON.stringify({ ...grey, ...(asked as object) }))
    )
  })
})
const { plan } = planned(FIRST_REQUEST)
const lit = (): string => useCook().begin('Strip', { request: FIRST_REQUEST, plan, preheatS: 200 }, null)

describe('the thermometers', () => {
  it('are not there where none has spoken; one that speaks is shown, and put into a piece', async () => {
    const page = mount(StoveProbes, { attachTo: document.body })
    expect(page.text()).toBe('')
    const id = lit()
    useProbes().hear(JSON.stringify(grey))
    await nextTick()
    expect(page.find('output').text()).toMatch(/41\.3\s°C/)
    const where = field(page, 'Where Grey probe is')
    expect(shownIn(where)).toBe('in nothing')
    await pick(where, 'in Strip')
    expect(sent.at(-1)).toEqual({ path: '/api/probes/grey/place', method: 'PUT', body: { cook: id, tip: 'middle' } })
    await soon(() => expect(shownIn(where)).toBe('in Strip'))
    await pick(where, 'in the air')
    expect(sent.at(-1)!.body).toEqual({ cook: null, tip: 'air' })
  })

  it('one that jumped says so; one that is silent says for how long and can be put away', async () => {
    const page = mount(StoveProbes, { attachTo: document.body })
    const probes = useProbes()
    probes.hear(JSON.stringify({ ...grey, doubted: true }))
    await nextTick()
    expect(page.text()).toContain('not believed yet')
    probes.hear(JSON.stringify({ ...grey, last: { at: Date.now() - 5.5 * 60_000, celsius: 40 } }))
    await nextTick()
    expect(page.text()).toContain('silent for 5 min')
    button(page, 'Put it away').click()
    await soon(() => expect(page.text()).toBe(''))
    expect(sent.at(-1)).toMatchObject({ path: '/api/probes/grey', method: 'DELETE' })
  })

  it('half a line of a broken stream changes nothing; a refusal is said', async () => {
    const page = mount(StoveProbes, { attachTo: document.body })
    const probes = useProbes()
    probes.hear(JSON.stringify(grey))
    probes.hear('{"id":"gre')
    await nextTick()
    expect(page.findAll('li')).toHaveLength(1)
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{"detail":"No such cook."}', { status: 404 })))
    await pick(field(page, 'Where Grey probe is'), 'in the air')
    await soon(() => expect(page.find('[role=alert]').text()).toBe('No such cook.'))
  })
})
