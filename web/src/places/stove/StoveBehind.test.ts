// @vitest-environment happy-dom
/** A joint whose oven is slower than its dial: the probe finds out, and the mounted stove offers what can be done. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { button, press } from '../../mounted/page.fixture'
import { useCook } from '../../stores/cook'
import { useStove } from '../../stores/stove'
import { byHand, jointInItsOven, reckoned, wait } from './stove.fixture'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))

beforeEach(byHand)
afterEach(() => vi.useRealTimers())

const forecast = () => useStove().forecasts.get(useCook().cook!.id)!.forecast.value!

/** Well behind what was forecast, and read twice. */
async function readBehind(): Promise<VueWrapper> {
  const page = await jointInItsOven()
  for (const [at, coreC] of [
    [2100, 12],
    [300, 14]
  ]) {
    await wait(at)
    useCook().say({ kind: 'reading', coreC }, Date.now())
    await flushPromises()
    await reckoned(page)
  }
  await vi.waitFor(() => expect(page.find('.behind').exists()).toBe(true), { timeout: 30_000 })
  return page
}

describe('a joint that is behind', () => {
  it('can have its oven turned up: carved sooner, as done, and taken back it is as late as it was', async () => {
    const page = await readBehind()
    const late = forecast()
    expect(page.find('.behind').text()).toMatch(/it comes out \d+\smin late/)
    await vi.waitFor(() => expect(page.find('.behind').text()).toMatch(/carved [\d½]+\smin sooner, off at \d+\s°C: it climbs/), {
      timeout: 30_000
    })
    button(page, 'Turn its oven up').click()
    await flushPromises()
    const said = useCook().cook!.events.at(-1)!
    expect(said).toMatchObject({ kind: 'delayed', seconds: 0 })
    expect(said.kind === 'delayed' && said.ovenC! > 150).toBe(true)
    await reckoned(page)
    expect(forecast().carve.time).toBeLessThan(late.carve.time - 90)
    expect(Math.abs(forecast().peak.core - late.peak.core)).toBeLessThan(1.5)
    await press('u')
    await reckoned(page)
    expect(forecast().carve.time).toBeCloseTo(late.carve.time, -2)
  })

  it('or the table waits: it is cooked on as it was, and behind no more', async () => {
    const page = await readBehind()
    const late = forecast()
    button(page, 'Let the table wait').click()
    await flushPromises()
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'delayed', ovenC: 150 })
    await reckoned(page)
    expect(page.find('.behind').exists()).toBe(false)
    expect(forecast().carve.time).toBeCloseTo(late.carve.time, 0)
  })

  it('one that is on its time is told nothing', async () => {
    const page = await jointInItsOven()
    await wait(2400)
    const { history } = forecast()
    const at = history.time.findIndex(t => t >= 2400)
    useCook().say({ kind: 'reading', coreC: history.probe[at] }, Date.now())
    await flushPromises()
    await reckoned(page)
    expect(page.find('.behind').exists()).toBe(false)
  })
})
