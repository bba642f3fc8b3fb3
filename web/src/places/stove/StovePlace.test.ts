// @vitest-environment happy-dom
/** The stove mounted, with the real engine behind it: one cook by keys and buttons, in the pan and by other methods. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { asked, planned } from '#core/plan/planned.fixture'
import { preheatsOf } from '#core/session/warmUp'
import { mounted } from '../../mounted/mount.fixture'
import { button, press, tones, type } from '../../mounted/page.fixture'
import { router } from '../../router'
import { useCook } from '../../stores/cook'
import { useKit } from '../../stores/kit'
import { useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import { byHand, events, headline, lit, reckoned, wait } from './stove.fixture'
import StovePlace from './StovePlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))

beforeEach(byHand)
afterEach(() => vi.useRealTimers())

describe('with nothing on it', () => {
  it('says where a plan is made', async () => {
    const page = await mounted(StovePlace)
    expect(page.text()).toContain('Nothing on the stove')
    expect(page.find('a').attributes('href')).toBe('/fire')
  })
})

describe('a cook in the pan', () => {
  it('asks for one thing at a time, counts down to it, and goes on when it is said to be done', async () => {
    const page = await lit()
    const first = headline(page)
    expect(first).toMatch(/heat|ring|pan/i)
    await press(' ')
    expect(events()).toEqual(['lit'])
    await reckoned(page)
    expect(page.find('[role=timer]').text()).toMatch(/\d:\d\d/)
    await wait(240)
    await press(' ')
    expect(events()).toEqual(['lit', 'laid'])
    await reckoned(page)
    const before = page.find('[role=timer]').text()
    await wait(5)
    expect(page.find('[role=timer]').text()).not.toBe(before)
    expect(headline(page)).not.toBe(first)
  })

  it('is drawn anew once a second, each showing a second less', async () => {
    const page = await lit()
    await press(' ')
    await reckoned(page)
    const shown: string[] = []
    const at = new Set<number>()
    for (let i = 0; i < 100; i++) {
      await wait(0.1)
      at.add(useStove().now)
      const clock = page.find('[role=timer]').text()
      if (clock !== shown.at(-1)) shown.push(clock)
    }
    expect(at.size).toBeGreaterThan(8)
    expect(at.size).toBeLessThan(13)
    const seconds = shown.map(s => s.split(':').reduce((sum, part) => 60 * sum + Number(part), 0))
    expect(seconds.slice(1).every((s, i) => s === seconds[i] - 1)).toBe(true)
    expect(seconds.length).toBeGreaterThan(8)
  })

  it('past its time it says by how much, and when else it may have been done', async () => {
    const page = await lit()
    await press(' ')
    await reckoned(page)
    await wait(1200)
    expect(page.find('.late-by').exists()).toBe(true)
    await press('e')
    const late = page.find('[role=group]')
    expect(
      late
        .findAll('button')
        .map(b => b.text())
        .join()
    ).toContain('on time')
    late.find('button').element.click()
    await flushPromises()
    const { events: told } = useCook().cook!
    expect(told.at(-1)!.at).toBeLessThan(Date.now() - 60_000)
  })

  it('takes a reading typed, keeps nonsense out and says why, in either unit', async () => {
    const page = await lit()
    await press('r')
    expect(page.find('form.reading').exists()).toBe(false)
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await wait(120)
    await press('r')
    const entry = (): HTMLInputElement => page.find('form.reading input').element as HTMLInputElement
    const keep = async (written: string): Promise<void> => {
      await type(entry(), written)
      await page.find('form.reading').trigger('submit')
    }
    await keep('warm')
    expect(page.find('form.reading [role=alert]').text().length).toBeGreaterThan(5)
    await keep('400')
    expect(page.find('form.reading [role=alert]').text()).toMatch(/from .* to .* °C/)
    expect(events()).not.toContain('reading')
    await keep('21')
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'reading', coreC: 21 })
    await reckoned(page)
    useUnits().system = 'us'
    await press('r')
    await keep('77')
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'reading', coreC: 25 })
  })

  it('doubts one reading far from the forecast, believes the second that agrees, and says to take it off', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await wait(240)
    const read = async (celsius: string): Promise<void> => {
      await press('r')
      await type(page.find('form.reading input').element as HTMLInputElement, celsius)
      await page.find('form.reading').trigger('submit')
      await reckoned(page)
    }
    await read('52')
    expect(page.text()).toContain('Read once more')
    expect(headline(page)).not.toMatch(/off/i)
    await wait(15)
    await read('53')
    expect(page.text()).not.toContain('Read once more')
    await wait(3)
    expect(headline(page)).toMatch(/Off the heat now/)
    await read('99')
    expect(page.text()).toContain('no middle of a piece is as hot as boiling water')
  })

  it('shows every figure as the thermometer in use will show it', async () => {
    const kit = useKit()
    const page = await lit()
    const shown = (): string => page.findAll('dd').at(1)!.text()
    const before = Number.parseFloat(shown())
    kit.put('thermometers', { ...kit.thermometer, inIceC: 3 })
    await flushPromises()
    expect(Number.parseFloat(shown())).toBe(before + 3)
  })

  it('is heard before its time and at it, and not while the sound is off', async () => {
    const page = await lit()
    await press(' ')
    await reckoned(page)
    await wait(0)
    const clock = (): number =>
      page
        .find('[role=timer]')
        .text()
        .split(':')
        .reduce((sum, part) => 60 * sum + Number(part), 0)
    await wait(clock() - 8)
    expect(tones).toHaveLength(1)
    for (let i = 0; i < 9; i++) await wait(1)
    expect(tones).toHaveLength(3)
    await press('m')
    expect(button(page, 'Sound is off').getAttribute('aria-pressed')).toBe('true')
    await press(' ')
    await reckoned(page)
    await wait(clock() - 8)
    for (let i = 0; i < 9; i++) await wait(1)
    expect(tones).toHaveLength(3)
  })

  it('takes back what was said, one by one, and says what', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await press('u')
    expect(page.text()).toContain('Undone: on the heat.')
    await press('u')
    expect(page.text()).toContain('Undone: ring lit.')
    expect(button(page, 'Undo').disabled).toBe(true)
  })

  it('to its end: carved, judged, and into the book', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await wait(400)
    await press('p')
    expect(events().at(-1)).toBe('pulled')
    await reckoned(page)
    await wait(300)
    await press(' ')
    expect(events().at(-1)).toBe('carved')
    expect(headline(page)).toContain('carved')
    const id = useCook().cook!.id
    button(page, 'To the book').click()
    // The Book's page is fetched when it is wanted.
    await vi.waitFor(() => expect(router.currentRoute.value.fullPath).toBe(`/book/${id}`), { timeout: 20_000 })
    await flushPromises()
    expect(useCook().cook).toBeNull()
  })
})

describe.each(['oven then sear', 'two-zone grill', 'bath then sear', 'pot', 'in pastry'] as const)('a cook by %s', kind => {
  it('is called through its stages to the carving, each as it comes due', async () => {
    const page = await lit(kind)
    const said = new Set<string>()
    for (let i = 0; i < 40 && events().at(-1) !== 'carved'; i++) {
      said.add(headline(page))
      const clock = page.find('[role=timer]')
      const due =
        clock.exists() && !page.find('.late-by').exists()
          ? clock
              .text()
              .split(':')
              .reduce((sum, part) => 60 * sum + Number(part), 0)
          : 0
      await wait(due + 1)
      await press(' ')
      await reckoned(page)
    }
    expect(events().at(-1)).toBe('carved')
    expect(events()).toContain('laid')
    expect(events()).toContain('pulled')
    expect(said.size).toBeGreaterThan(3)
    expect(page.text()).not.toMatch(/NaN|undefined|Infinity/)
  })
})

describe('several pieces at once', () => {
  const after = (cookId: string, seconds: number) => ({ cookId, seconds })
  const tiles = (page: VueWrapper): string[] => page.findAll('.tile').map(t => t.text().replace(/\s+/g, ' '))
  const kindsOf = (id: string): string[] =>
    useCook()
      .cooks.find(c => c.id === id)!
      .events.map(e => e.kind)

  /** Three donenesses from one pan, the longest first. */
  async function three(): Promise<{ page: VueWrapper; ids: string[] }> {
    const { request, plan } = planned(asked('pan sear', { turning: 'every 60 s' }, { count: 3, thicknessMm: 28, weightG: 250 }))
    const { first: preheatS } = preheatsOf(request, plan.marks)
    const ids: string[] = []
    for (const [called, seconds] of [
      ['medium piece', 0],
      ['medium rare piece', 55],
      ['rare piece', 110]
    ] as const)
      ids.push(
        useCook().begin(called, { request, plan, preheatS }, null, {
          id: 'this-dinner',
          after: seconds === 0 ? null : after(ids[0], seconds),
          called
        })
      )
    useCook().show(ids[0])
    const page = await mounted(StovePlace)
    await vi.waitFor(() => expect(useStove().stream).toHaveLength(3), { timeout: 20_000 })
    return { page, ids }
  }

  it('one fire is lit once for all of them, and what was said in one breath is taken back in one', async () => {
    const { page, ids } = await three()
    expect(headline(page)).toBe('Light the ring')
    await press(' ')
    expect(ids.map(kindsOf)).toEqual([['lit'], ['lit'], ['lit']])
    await press('u')
    expect(ids.map(kindsOf)).toEqual([
      ['lit', 'undone'],
      ['lit', 'undone'],
      ['lit', 'undone']
    ])
  })

  it('each goes in at its own time after the first, and the next call stands large', async () => {
    const { page, ids } = await three()
    await press(' ')
    await reckoned(page)
    // The others wait: only the first is called.
    expect(headline(page)).toMatch(/^Lay the medium piece in the pan/)
    expect(tiles(page).join()).toMatch(/The rare piece ?waits/)
    await wait(200)
    await press(' ')
    await reckoned(page)
    expect(headline(page)).toBe('Lay the medium rare piece in the pan in')
    expect(page.find('.clock').text()).toMatch(/^0:5\d$/)
    await wait(53)
    await press(' ')
    expect(ids.map(id => kindsOf(id).at(-1))).toEqual(['laid', 'laid', 'lit'])
    await reckoned(page)
    // Two turns so near each other are one.
    expect(headline(page)).toMatch(/^Turn the medium piece/)
  })

  it('a tile shows its own piece until the next thing is done', async () => {
    const { page, ids } = await three()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    useStove().look(ids[0])
    await flushPromises()
    expect(headline(page)).toMatch(/^Turn the medium piece/)
    expect(page.find('.tile[aria-current]').text()).toContain('The medium piece')
    await press(' ')
    await reckoned(page)
    expect(kindsOf(ids[0]).at(-1)).toBe('turned')
    expect(headline(page)).toMatch(/medium rare piece/)
  })

  it('a reload finds all of them as they were', async () => {
    const { ids } = await three()
    await press(' ')
    const kept = JSON.parse(localStorage.getItem('macellaio.cooks') ?? '[]') as { id: string; service: unknown }[]
    expect(kept.map(c => c.id)).toEqual(ids)
    expect(kept[2].service).toEqual({ id: 'this-dinner', after: after(ids[0], 110), called: 'rare piece' })
  })
})

describe('left and found again', () => {
  it('hours later it says what it most likely is, and is ended, thrown away and taken back, or carried on with', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await wait(9 * 3600)
    expect(headline(page)).toMatch(/Left 9 hours ago/)
    expect(page.text()).toMatch(/look before anything else that the fire is off/i)
    button(page, 'Throw it away').click()
    await flushPromises()
    expect(page.text()).toContain('Nothing on the stove')
  })
  it('carried on with it is as it was; ended, it is in the book as far as it was written down', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await wait(9 * 3600)
    button(page, 'It was eaten').click()
    await flushPromises()
    expect(events().slice(-2)).toEqual(['pulled', 'carved'])
    expect(headline(page)).toMatch(/carved$/)
  })
})
