// @vitest-environment happy-dom
/** The stove mounted, with the real engine behind it: one cook by keys and buttons, in the pan and by other methods. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { MethodKind } from '#core/method/methods'
import { asked, planned } from '#core/plan/planned.fixture'
import { preheatsOf } from '#core/session/warmUp'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, press, tones, type } from '../../mounted/page.fixture'
import { router } from '../../router'
import { useCook } from '../../stores/cook'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import StovePlace from './StovePlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))

beforeEach(() => {
  emptyBrowser()
  vi.useFakeTimers({ toFake: ['Date', 'setInterval', 'clearInterval'] })
})
afterEach(() => vi.useRealTimers())

const events = (): readonly string[] => useCook().cook!.events.map(e => e.kind)
const headline = (page: VueWrapper): string => page.find('h1').text()
/** Until the forecast stands for what was last said. */
const reckoned = (page: VueWrapper): Promise<unknown> =>
  vi.waitFor(
    () => {
      if (page.text().includes('eckoning…')) throw new Error('reckoning')
    },
    { timeout: 20_000, interval: 20 }
  )
async function wait(seconds: number): Promise<void> {
  vi.advanceTimersByTime(seconds * 1000)
  await flushPromises()
}

async function lit(kind: MethodKind = 'pan sear'): Promise<VueWrapper> {
  const { request, plan } = planned(asked(kind))
  const { first: preheatS } = preheatsOf(request, plan.marks)
  useCook().begin(`By ${kind}`, { request, plan, preheatS }, null)
  const page = await mounted(StovePlace)
  await reckoned(page)
  return page
}

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
