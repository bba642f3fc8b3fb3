// @vitest-environment happy-dom
/** What stands beside the call: the other pieces of the table as tiles, and the piece's own figures; mounted, with the real engine behind it. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { asked, planned } from '#core/plan/planned.fixture'
import { mounted } from '../../mounted/mount.fixture'
import { press } from '../../mounted/page.fixture'
import { router } from '../../router'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { usePass } from '../../stores/pass'
import { useStove } from '../../stores/stove'
import { byHand, events, headline, JOINT, lit, reckoned, wait } from './stove.fixture'
import StovePlace from './StovePlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))

beforeEach(byHand)
afterEach(() => vi.useRealTimers())

describe('a steak of two muscles', () => {
  it('its narrower side is shown beside it, and once it has enough it is said so', async () => {
    const page = await lit('sear then oven', {}, { cutId: 't-bone', thicknessMm: 45, weightG: 900, widthMm: 150, lengthMm: 210 })
    expect(page.find('aside').text()).toMatch(/fillet side, at its hottest\s*6\d\s°C/)
    const until = async (wanted: string): Promise<void> => {
      for (let i = 0; i < 20 && events().at(-1) !== wanted; i++) {
        await press(' ')
        await reckoned(page)
        if (events().at(-1) !== wanted)
          await wait(useStove().first?.due ? Math.max(0, (useStove().first!.due! - useStove().now) / 1000) : 0)
      }
    }
    await until('moved')
    expect(page.text()).not.toContain('fillet side has enough')
    await wait(25 * 60)
    await reckoned(page)
    expect(page.text()).toContain('The fillet side has enough: turn it to where it is cooler.')
    await press('p')
    await reckoned(page)
    expect(page.text()).not.toContain('fillet side has enough')
  })
})

describe('two pieces for one table, each at its own fire', () => {
  const strip = planned(asked('pan sear'))
  const joint = planned(asked('roast', { ovenC: 140 }, JOINT))
  async function withTheFirstLit(): Promise<VueWrapper> {
    const pass = usePass()
    for (const [id, { request, plan }] of [
      ['steak', strip],
      ['joint', joint]
    ] as const) {
      useDraft().stand(id, request)
      expect(pass.putBeef(request, plan)).toBeNull()
    }
    pass.openBeef('steak')
    useCook().begin('The steak', { ...strip, preheatS: 0 }, null, { id: pass.serviceId, after: null, called: '', piece: 'steak' })
    const page = await mounted(StovePlace)
    await reckoned(page)
    return page
  }
  const tiles = (page: VueWrapper): string[] => page.findAll('nav .tile').map(t => t.text())

  it('with the one lit, the other is there too, and a touch from its plan', async () => {
    const page = await withTheFirstLit()
    expect(tiles(page)).toHaveLength(2)
    expect(tiles(page)[1]).toMatch(/roast.*not lit yet/i)
    await page.findAll('nav .tile')[1].trigger('click')
    await vi.waitFor(() => expect(router.currentRoute.value.path).toBe('/fire/plan/roast'))
    expect(useDraft().request.piece.thicknessMm).toBe(90)
  })

  it('when that one is eaten and in the Book, the other is what is left; once it is carved too, nothing is', async () => {
    const page = await withTheFirstLit()
    const cook = useCook()
    const toTheBook = async (): Promise<void> => {
      for (const kind of ['lit', 'laid', 'pulled', 'carved'] as const) cook.say({ kind })
      cook.clear()
      await flushPromises()
    }
    await toTheBook()
    expect(headline(page)).toBe('Nothing on the stove')
    expect(page.text()).toMatch(/not lit yet:.*roast/i)
    cook.begin('The joint', { ...joint, preheatS: 0 }, null, { id: usePass().serviceId, after: null, called: '', piece: 'joint' })
    await flushPromises()
    expect(tiles(page)).toEqual([])
    await toTheBook()
    expect(page.text()).not.toContain('not lit yet')
  })

  it('another evening’s table has nothing to do with it', async () => {
    const page = await withTheFirstLit()
    usePass().startAnew()
    await flushPromises()
    expect(tiles(page)).toEqual([])
  })
})
