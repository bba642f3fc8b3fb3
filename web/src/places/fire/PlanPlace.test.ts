// @vitest-environment happy-dom
/** The plan page mounted, with the real engine behind it: by every method, from the address to the call sheet and the stove. */
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { VueWrapper } from '@vue/test-utils'
import { METHOD_KINDS } from '#core/method/methods'
import { asked } from '#core/plan/planned.fixture'
import { settingsOf } from '#core/request/setup'
import { router } from '../../router'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { usePlan } from '../../stores/plan'
import { useTable } from '../../stores/table'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, type } from '../../mounted/page.fixture'
import { methodPath } from './methodPath'
import PlanPlace from './PlanPlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)

const opened = async (path: string): Promise<VueWrapper> => {
  await router.push(path)
  const page = await mounted(PlanPlace, { method: String(router.currentRoute.value.params['method']) })
  await answered()
  return page
}
const answered = (): Promise<unknown> =>
  vi.waitFor(
    () => {
      if (usePlan().state === 'working') throw new Error('still working')
    },
    { timeout: 20_000 }
  )
const sheet = (page: VueWrapper): string => page.find('aside[aria-label="Call sheet"]').text()

describe.each(METHOD_KINDS)('by %s', kind => {
  it('opens on a plan, every line with its time, and lights the stove with exactly that', async () => {
    useDraft().open(asked(kind))
    const page = await opened(methodPath(kind))
    const plan = usePlan()
    expect(plan.state).toBe('ready')
    await flushPromises()
    expect(page.find('h1').text()).toContain(kind)
    const lines = page.findAll('aside .times li, aside .line')
    expect(lines.length).toBeGreaterThan(3)
    expect(sheet(page)).not.toMatch(/NaN|undefined|Infinity|null/)
    const light = button(page, 'Light the stove')
    if (light.disabled) {
      // A danger asks for a yes first.
      expect(page.find('aside input[type=checkbox]').exists()).toBe(true)
      return
    }
    light.click()
    await flushPromises()
    const { cook } = useCook()
    expect(cook?.request.method.kind).toBe(kind)
    expect(cook?.planned.pullC).toBeCloseTo(plan.current!.plan.pull.probe, 1)
    expect(cook?.planned.freeS).toBeCloseTo(plan.current!.plan.free, 0)
  })
})

describe('the page', () => {
  it('reads a method’s address as it is written, as it was before, and goes on by the draft’s own where there is none of it', async () => {
    await router.push('/fire/way/two-zone grill')
    expect(router.currentRoute.value.fullPath).toBe('/fire/plan/two-zone-grill')
    useDraft().choose('pot')
    await router.push('/fire/plan/flying')
    expect(router.currentRoute.value.fullPath).toBe('/fire/plan/pot')
    await router.push('/fire')
    expect(router.currentRoute.value.fullPath).toBe('/fire/plan/pot')
  })

  it('says nothing but the reason while a figure cannot be read, and has its plan back when it can', async () => {
    const page = await opened('/fire/plan/oven-then-sear')
    const oven = [...page.element.querySelectorAll('label')].find(l => /oven/i.test(l.textContent ?? ''))!.textContent!.trim()
    await type(field(page, oven), 'hot')
    expect(usePlan().state).toBe('wrong input')
    expect(sheet(page)).toContain('no plan')
    expect(page.find('aside [role=alert]').text()).toContain(oven)
    expect(button(page, 'Light the stove').disabled).toBe(true)
    await type(field(page, oven), '110')
    await answered()
    expect(sheet(page)).not.toContain('no plan')
    expect(useDraft().request.method.settings.ovenC).toBe(110)
  })

  it('what is pressed before the new plan is there is done with the new one, not with the one still shown', async () => {
    const page = await opened('/fire/plan/oven-then-sear')
    const before = usePlan().current!
    useDraft().turn({ ovenC: 95 })
    await nextTick()
    expect(usePlan().current).toBeNull()
    button(page, 'Light the stove').click()
    button(page, 'Light the stove').click()
    await answered()
    await flushPromises()
    button(page, 'Light the stove').click()
    await flushPromises()
    // However often it was pressed.
    expect(useCook().cooks).toHaveLength(1)
    const lit = useCook().cook!
    expect(settingsOf(lit.request)).toMatchObject({ ovenC: 95 })
    expect(lit.planned.freeS).toBeGreaterThan(1.2 * before.plan.free)
  })

  it('a place that was left before its plan was there lights nothing, and what cannot be planned is not lit', async () => {
    const page = await opened('/fire/plan/oven-then-sear')
    useDraft().turn({ ovenC: 95 })
    await nextTick()
    button(page, 'Light the stove').click()
    page.unmount()
    await answered()
    await flushPromises()
    expect(useCook().cook).toBeNull()
    const again = await opened('/fire/plan/pan-sear')
    useDraft().aim({ coreC: 4 })
    await nextTick()
    button(again, 'Light the stove').click()
    await answered()
    await flushPromises()
    expect(usePlan().state).toBe('refused')
    expect(useCook().cook).toBeNull()
  })

  it('a turned dial moves the plan; as usual moves it back', async () => {
    const page = await opened('/fire/plan/oven-then-sear')
    const usual = usePlan().current!.plan
    useDraft().turn({ ovenC: 95 })
    await answered()
    const slower = usePlan().current!.plan.pull.time
    expect(slower).toBeGreaterThan(1.2 * usual.pull.time)
    await flushPromises()
    button(page, 'As it is usually set').click()
    await answered()
    // Both are solved to a tenth of a kelvin.
    const again = usePlan().current!.plan
    expect(Math.abs(again.pull.time - usual.pull.time)).toBeLessThan(0.2 / usual.peakRate)
    expect(Math.abs(again.peak.core - usual.peak.core)).toBeLessThan(0.2)
  })

  it('what is set for one method is there again after another', async () => {
    const first = await opened('/fire/plan/roast')
    useDraft().turn({ ovenC: 150 })
    first.unmount()
    await opened('/fire/plan/pan-sear')
    expect(useDraft().request.method.settings.ovenC).toBeUndefined()
    const page = await opened('/fire/plan/roast')
    expect(useDraft().request.method.settings.ovenC).toBe(150)
    expect(page.html()).toContain('150')
  })

  it('asked for what cannot be is told so, with the way to the others', async () => {
    const page = await opened('/fire/plan/pan-sear')
    useDraft().aim({ coreC: 4 })
    await answered()
    await flushPromises()
    expect(usePlan().state).toBe('refused')
    expect(page.find('aside [role=alert]').text().length).toBeGreaterThan(20)
    expect(page.find('aside [role=alert] a').attributes('href')).toBe('/fire/methods')
    expect(button(page, 'Light the stove').disabled).toBe(true)
  })
})

describe('a table that wants it several ways', () => {
  it('lights a cook for each, the longest first, each to its own degrees and after the first', async () => {
    useDraft().open(asked('pan sear', {}, { count: 4, thicknessMm: 28, weightG: 220 }))
    useGuests().seat(50, 'Ada')
    useGuests().seat(54, 'Bo')
    useGuests().seat(59, 'Cy')
    useGuests().seat(54)
    const page = await opened(methodPath('pan sear'))
    await vi.waitFor(() => expect(useTable().shown).not.toBeNull(), { timeout: 20_000 })
    await flushPromises()
    button(page, 'Light the stove').click()
    await flushPromises()
    const { cooks } = useCook()
    expect(cooks.map(c => c.request.target.coreC)).toEqual([59, 54, 50])
    expect(cooks.map(c => c.service?.called)).toEqual(['medium piece', '2 medium rare pieces', 'rare piece'])
    expect(cooks[1].title).toMatch(/for Bo$/)
    const [first, second, third] = cooks.map(c => c.service!)
    expect(new Set(cooks.map(c => c.service?.id)).size).toBe(1)
    expect(first.after).toBeNull()
    expect(second.after).toMatchObject({ cookId: cooks[0].id })
    expect(third.after!.seconds).toBeGreaterThan(second.after!.seconds)
    // All are carved at once, by their own plans.
    const carvedAt = cooks.map(c => (c.service!.after?.seconds ?? 0) + c.planned.carveS)
    expect(Math.max(...carvedAt) - Math.min(...carvedAt)).toBeLessThan(2)
  })

  it('one of them at risk gets theirs done, and the others as they want it; needled meat is done for all', async () => {
    useDraft().open(asked('pan sear', {}, { count: 3, thicknessMm: 28, weightG: 220 }))
    const guests = useGuests()
    guests.seat(50, 'Ada')
    guests.seat(54, 'Bo')
    guests.change(guests.guests[0].id, { atRisk: true })
    const page = await opened(methodPath('pan sear'))
    expect(page.find('.gate').text()).toContain('Someone at the table should not eat beef this rare')
    expect(button(page, 'Light the stove').disabled).toBe(true)
    button(page, 'Cook theirs to 63').click()
    await flushPromises()
    await answered()
    expect(guests.guests.map(g => g.targetC)).toEqual([63, 54])
    expect(useDraft().request.target.coreC).toBe(54)
    expect(page.find('.gate').exists()).toBe(false)

    useDraft().changePiece({ intact: 'no' })
    await flushPromises()
    await answered()
    button(page, 'Cook it to 71').click()
    await flushPromises()
    await answered()
    expect(guests.guests.map(g => g.targetC)).toEqual([71, 71])
    expect(useDraft().request.target.coreC).toBe(71)
    expect(page.find('.gate').exists()).toBe(false)
  })
})
