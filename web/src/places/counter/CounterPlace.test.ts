// @vitest-environment happy-dom
/** The counter mounted: the side of beef by thumb and keyboard, names found although misspelt, the slip for the butcher. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, press, screenOf, type } from '../../mounted/page.fixture'
import { useCounter } from '../../stores/counter'
import CounterPlace from './CounterPlace.vue'
import SideOfBeef from './SideOfBeef.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)

const frame = (page: VueWrapper): string => page.find('svg[role=group]').attributes('viewBox') ?? ''

describe('the side of beef', () => {
  it('on a desk is whole; on a phone a third of it, the one in which the chosen muscle lies', async () => {
    screenOf(false)
    expect(frame(await mounted(SideOfBeef, { chosenId: 'strip', suits: null, found: null }))).toBe('0 56 1000 440')
    screenOf(true)
    const rump = frame(await mounted(SideOfBeef, { chosenId: 'rump-cap', suits: null, found: null }))
    const neck = frame(await mounted(SideOfBeef, { chosenId: 'chuck', suits: null, found: null }))
    expect(Number(rump.split(' ')[0])).toBeGreaterThan(Number(neck.split(' ')[0]) + 300)
    for (const f of [rump, neck]) expect(Number(f.split(' ')[2])).toBeLessThan(450)
  })

  it('its arrows go from muscle to muscle, and what lies inside is one press away', async () => {
    screenOf(false)
    const page = await mounted(CounterPlace, {}, '/counter')
    const counter = useCounter()
    counter.choose('strip')
    await flushPromises()
    const strip = page.find('[aria-label^="Strip:"]')
    expect(strip.attributes('aria-pressed')).toBe('true')
    await press('ArrowRight', strip.element)
    expect(counter.chosenId).toBe('rump')
    await press('ArrowLeft', page.find('[aria-label^="Rump:"]').element)
    expect(counter.chosenId).toBe('strip')
    counter.choose('whole-fillet')
    await flushPromises()
    expect(page.find('[aria-label^="Fillet:"]').exists()).toBe(true)
  })
})

describe('a name', () => {
  it.each([
    ['sirlion', /sirloin|strip/i],
    ['モモ', /topside|round|silverside/i],
    ['rib rack', /rib/i]
  ])('“%s” finds what is meant', async (written, meant) => {
    screenOf(false)
    const page = await mounted(CounterPlace, {}, '/counter')
    const search = page.find('[aria-label="Search cuts by any name"]').element as HTMLInputElement
    await type(search, written)
    await flushPromises()
    expect(useCounter().chosen.name + JSON.stringify(useCounter().chosen.regional)).toMatch(meant)
  })
})

describe('the order', () => {
  it('is for as many as sit at the table, and what is changed on the slip stands in its sentence', async () => {
    screenOf(false)
    const page = await mounted(CounterPlace, {}, '/counter')
    const counter = useCounter()
    counter.choose('strip')
    await type(field(page, 'for'), '12')
    await flushPromises()
    expect(counter.slip.pieces).toBeGreaterThan(5)
    page
      .findAll('[role=tab]')
      .find(t => t.text() === 'Order slip')!
      .element.dispatchEvent(new MouseEvent('click', { bubbles: true }))
    await flushPromises()
    const before = page.find('blockquote').text()
    counter.changeOrder({ pieces: 3, note: 'for Saturday' })
    await flushPromises()
    expect(page.find('blockquote').text()).not.toBe(before)
    expect(page.find('blockquote').text()).toMatch(/three|3/i)
    button(page, 'Change it').click()
    await flushPromises()
    expect(document.body.textContent).toContain('Not tenderised by needles')
  })
})
