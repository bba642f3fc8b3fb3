// @vitest-environment happy-dom
/** The kitchen's other screens: opened, invited and put out at the machine; coming in at the device. */
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { House } from '#core/formats/houseSchema'
import { RefusedError } from '../../api/client'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, type } from '../../mounted/page.fixture'
import PairPlace from './PairPlace.vue'
import ScreensPlace from './ScreensPlace.vue'
import { usualName } from './usualName'
import { soon } from '../../mounted/soon.fixture'

const { api } = vi.hoisted(() => ({ api: {} as Record<string, ReturnType<typeof vi.fn>> }))
vi.mock('../../api/client', async original => ({ ...(await original<object>()), api }))
vi.mock('comlink', () => import('../../mounted/comlink.fixture'))

let house: House
beforeEach(() => {
  emptyBrowser()
  house = { here: true, in: true, passcode: false, open: false, addresses: [], devices: [] }
  Object.assign(api, {
    house: vi.fn(() => Promise.resolve(house)),
    openHouse: vi.fn((open: boolean) => {
      house = { ...house, open, addresses: open ? ['https://galley.local:4381'] : [] }
      return Promise.resolve()
    }),
    invite: vi.fn(() => Promise.resolve({ url: 'https://galley.local:4381/pair#K7QWM2XH9T', until: Date.now() + 600_000 })),
    setPasscode: vi.fn(() => Promise.resolve()),
    putOut: vi.fn(() => {
      house = { ...house, devices: [] }
      return Promise.resolve()
    }),
    comeIn: vi.fn(() => Promise.resolve({ name: 'Phone' })),
    services: vi.fn(() => Promise.resolve({ services: [], total: 0 }))
  })
})

describe('at the machine', () => {
  it('it is shut until it is opened; then a code is drawn, and what comes in is listed and can be put out', async () => {
    const page = await mounted(ScreensPlace, {}, '/screens')
    await flushPromises()
    expect(page.text()).toContain('Shut: only this machine reaches it.')
    expect(page.text()).not.toContain('Let one in')
    await page.find('button[role=switch]').trigger('click')
    await flushPromises()
    expect(api['openHouse']).toHaveBeenCalledWith(true)
    button(page, 'Show a code for a phone').click()
    await flushPromises()
    await soon(() => expect(page.find('img').exists()).toBe(true))
    expect(decodeURIComponent(page.find('img').attributes('src')!)).toMatch(/^data:image\/svg\+xml;utf8,<svg/)
    expect(page.text()).toContain('https://galley.local:4381/pair#K7QWM2XH9T')
    house = { ...house, devices: [{ id: 'd1', name: 'Galley phone', pairedAt: 1_790_000_000_000, seenAt: 1_790_000_000_000 }] }
    await vi.waitFor(() => expect(page.text()).toContain('Galley phone'), { timeout: 5000 })
    expect(page.find('img').exists()).toBe(false)
    button(page, 'Put out').click()
    await flushPromises()
    expect(api['putOut']).toHaveBeenCalledWith('d1')
    expect(page.text()).toContain('No other device is let in.')
  })

  it('a passcode too short is told under its field and not sent; what the server says against it is shown', async () => {
    house = { ...house, open: true, addresses: ['https://galley.local:4381'] }
    const page = await mounted(ScreensPlace, {}, '/screens')
    await flushPromises()
    await type(field(page, 'The passcode'), 'short')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(page.text()).toContain('at least 8')
    expect(api['setPasscode']).not.toHaveBeenCalled()
    api['setPasscode'].mockRejectedValueOnce(new RefusedError(507, 'There is no room left.'))
    await type(field(page, 'The passcode'), 'lock and weir 7')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(api['setPasscode']).toHaveBeenCalledWith('lock and weir 7')
    expect(page.find('[role=alert]').text()).toContain('There is no room left.')
  })

  it('another screen is told where that is done', async () => {
    house = { here: false, in: true, passcode: true }
    const page = await mounted(ScreensPlace, {}, '/screens')
    await flushPromises()
    expect(page.text()).toContain('at the machine that Macellaio runs on')
    expect(page.find('button').exists()).toBe(false)
  })
})

describe('at the device', () => {
  beforeEach(() => (house = { here: false, in: false, passcode: false }))

  it('comes in by the code in its address, under a name of its own', async () => {
    const page = await mounted(PairPlace, {}, '/pair#K7QWM2XH9T')
    await flushPromises()
    await type(field(page, 'What this device is called'), 'Galley phone')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(api['comeIn']).toHaveBeenCalledWith({ name: 'Galley phone', secret: 'K7QWM2XH9T' })
    expect(api['services']).toHaveBeenCalled()
  })

  it('a code that is refused is said to be, and another can be typed, as it is or small', async () => {
    api['comeIn'].mockRejectedValueOnce(new RefusedError(403, 'That is neither the passcode nor a code that is shown now.'))
    const page = await mounted(PairPlace, {}, '/pair#K7QWM2XH9T')
    await flushPromises()
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(page.find('[role=alert]').text()).toContain('neither the passcode nor a code')
    await type(field(page, 'The code'), ' abcde23456 ')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(api['comeIn']).toHaveBeenLastCalledWith(expect.objectContaining({ secret: 'ABCDE23456' }))
  })

  it.each([
    ['Mozilla/5.0 (iPhone; CPU iPhone OS 19_0 like Mac OS X) Mobile/15E148', 'Phone'],
    ['Mozilla/5.0 (Linux; Android 16; Pixel) Mobile Safari', 'Phone'],
    ['Mozilla/5.0 (Linux; Android 16; Tab) Safari', 'Tablet'],
    ['Mozilla/5.0 (X11; Linux x86_64)', 'Laptop']
  ])('%s is a %s', (agent, name) => expect(usualName(agent)).toBe(name))
})
