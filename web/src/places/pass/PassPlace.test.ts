// @vitest-environment happy-dom
/** The pass mounted, with the real engine behind it: a ticket made, laid out, called and done. */
import { MOMENT } from '../../ui/moments'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import dayjs from 'dayjs'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { RECIPES } from '#core/service/recipes'
import { TICKET } from '#core/service/ticket.fixture'
import { mounted } from '../../mounted/mount.fixture'
import { button, choicesOf, emptyBrowser, field, pick, press, type } from '../../mounted/page.fixture'
import { useDraft } from '../../stores/draft'
import { usePass } from '../../stores/pass'
import PassPlace from './PassPlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)

const tomorrow = dayjs().add(1, 'day').hour(19).minute(30).format(MOMENT)
const laid = async (): Promise<void> => {
  await vi.waitFor(
    () => {
      if (usePass().service === null) throw new Error('being laid out')
    },
    { timeout: 20_000 }
  )
  await flushPromises()
}
/** @param serveAt of a ticket of mash and dumplings */
async function opened(serveAt = tomorrow): Promise<VueWrapper> {
  const pass = usePass()
  expect(pass.put({ ...TICKET, serveAt })).toBeNull()
  const page = await mounted(PassPlace, {}, '/pass')
  await laid()
  return page
}
/** Of “19:05” or “7:05 PM”, as this machine writes it. */
const minutesOf = (written: string): number => {
  const [, h, m, half] = /^(\d+):(\d\d)(?:\s(AM|PM))?$/.exec(written)!
  return (half === undefined ? Number(h) : (Number(h) % 12) + (half === 'PM' ? 12 : 0)) * 60 + Number(m)
}
async function openOwn(page: VueWrapper): Promise<ReturnType<VueWrapper['find']>> {
  await page.find('.own .ant-collapse-header').trigger('click')
  await flushPromises()
  return page.find('form.own')
}
const onTicket = (page: VueWrapper): string => page.find('.ticket').text()
const calls = (page: VueWrapper): string[] => page.findAll('ol.calls li').map(li => li.text())

describe('the pass', () => {
  it('first seen has an example, and puts the beef on it as it stands at the fire', async () => {
    const page = await mounted(PassPlace, {}, '/pass')
    await vi.waitFor(() => expect(usePass().dishes.some(d => d.kind === 'beef')).toBe(true), { timeout: 20_000 })
    await laid()
    expect(onTicket(page)).toMatch(/Strip/i)
    expect(calls(page).length).toBeGreaterThan(8)
    expect(page.text()).not.toMatch(/NaN|undefined|Invalid/)
  })

  it('for who eats no meat it offers a plate of their own, for so many, and is quiet once there is one', async () => {
    const page = await opened()
    expect(page.text()).not.toContain('no meat')
    const { request } = useDraft()
    const guest = (id: string, noMeat: boolean) => ({ id, name: id, targetC: 54, noMeat })
    useDraft().seat({ named: [guest('Ada', true), guest('Per', false), guest('Ines', true)] })
    await flushPromises()
    expect(page.text()).toContain('2 of them eat no meat, and nothing on the ticket is for that')
    button(page, 'Celeriac steaks').click()
    await flushPromises()
    expect(usePass().ticket.lines.at(-1)).toMatchObject({ recipe: 'celeriac-steaks', portions: 2 })
    expect(page.text()).not.toContain('eat no meat, and nothing')
    useDraft().seat({ named: request.guests.named })
  })

  it('calls everything in the order of time, the last before the plates', async () => {
    const page = await opened()
    const times = page.findAll('ol.calls time').map(t => t.text())
    expect(times.length).toBeGreaterThan(4)
    const minutes = times.map(minutesOf)
    expect([...minutes].sort((a, b) => a - b)).toEqual(minutes)
    expect(minutes.at(-1)).toBeLessThanOrEqual(19 * 60 + 30)
    expect(page.find('[role=status]').text()).toContain(`the first call is at ${times[0]}`)
  })

  it('for more guests takes more of everything, and a nonsense of guests changes nothing', async () => {
    const page = await opened()
    const amounts = onTicket(page)
    await type(field(page, 'At the table'), '12')
    expect(usePass().ticket.diners).toBe(12)
    await laid()
    expect(onTicket(page)).not.toBe(amounts)
    for (const wrong of ['none', '0', '400', '2.5']) {
      await type(field(page, 'At the table'), wrong)
      expect(usePass().ticket.diners, wrong).toBe(12)
      expect(page.find('.set [role=alert]').exists(), wrong).toBe(true)
    }
  })

  it('with two cooks each call goes to one, by name once that is said; more names than cooks are more cooks', async () => {
    const page = await opened()
    expect(calls(page).some(c => /cook [12]/.test(c))).toBe(true)
    await type(field(page, 'By name'), 'Ines , , Per')
    await field(page, 'By name').dispatchEvent(new Event('blur'))
    await laid()
    expect(usePass().ticket.names).toEqual(['Ines', 'Per'])
    expect(calls(page).some(c => /cook [12]/.test(c))).toBe(false)
    expect(calls(page).some(c => /Ines|Per/.test(c))).toBe(true)
    await type(field(page, 'By name'), 'Ines, Per, Quin')
    await field(page, 'By name').dispatchEvent(new Event('blur'))
    expect(usePass().ticket.cooks).toBe(3)
  })

  it('an oven that fails is told of at once, and what is begun stays where it is on the clock', async () => {
    const page = await opened()
    const pass = usePass()
    const [first] = pass.calls.filter(c => !c.ahead && c.dishId !== null)
    const at = first.at
    pass.tick(first.id)
    await pick(field(page, 'Not to be had'), 'Half-size oven, still')
    await laid()
    expect(pass.ticket.without).toEqual(['Half-size oven, still'])
    expect(page.find('.conflicts').text()).toContain('there is no oven in the kit')
    await type(field(page, 'At the table'), '14')
    await laid()
    const still = pass.calls.find(c => c.id === first.id)
    if (still) expect(Math.abs(still.at - at)).toBeLessThan(1)
    pass.change({ without: [] })
    await laid()
    expect(page.find('.conflicts').exists()).toBe(false)
    expect(Math.abs(pass.calls.find(c => c.id === first.id)!.at - at)).toBeLessThan(1)
  })

  it('a side is put on, taken off, and the taking off taken back', async () => {
    const page = await opened()
    const side = RECIPES.find(r => r.id === 'broccoli')!
    await pick(field(page, 'A side or a sauce'), `${side.name} (${side.kind})`)
    await laid()
    expect(onTicket(page)).toContain(side.name)
    expect((await choicesOf(field(page, 'A side or a sauce'))).map(o => o.textContent)).not.toContain(`${side.name} (${side.kind})`)
    page.find<HTMLButtonElement>(`[aria-label="Take off ${side.name}"]`).element.click()
    await laid()
    expect(usePass().dishes.map(d => d.name)).not.toContain(side.name)
    button(page, 'Undo the last change').click()
    await laid()
    expect(onTicket(page)).toContain(side.name)
  })

  it('a dish of one’s own goes on by name, where it cooks and how long; without a name it does not', async () => {
    const page = await opened()
    const own = await openOwn(page)
    await own.trigger('submit')
    expect(usePass().ticket.lines).toHaveLength(2)
    await own.find('input[type=text]').setValue('Bread and butter pudding')
    await pick(field(page, 'Where'), 'in the oven')
    await type(field(page, 'How long'), '40 min')
    await own.trigger('submit')
    await laid()
    const pudding = usePass().dishes.find(d => d.name === 'Bread and butter pudding')!
    expect(pudding.steps.some(s => s.tool === 'oven' && s.seconds === 2400)).toBe(true)
    expect(calls(page).some(c => c.includes('Bread and butter pudding'))).toBe(true)
  })

  it('what cannot come out is told with what is in its way', async () => {
    const page = await opened()
    const pass = usePass()
    await openOwn(page)
    for (const [name, ovenC] of [
      ['Meringue', 90],
      ['Crackling', 240]
    ] as const) {
      await page.find('form.own input[type=text]').setValue(name)
      await pick(field(page, 'Where'), 'in the oven')
      await type(field(page, 'Oven'), String(ovenC))
      await type(field(page, 'How long'), '60 min')
      await page.find('form.own').trigger('submit')
      await laid()
    }
    expect(pass.service!.conflicts.length).toBeGreaterThan(0)
    const told = page.find('.conflicts').text()
    expect(told).toMatch(/would stand .* and is good for/)
    expect(told).toMatch(/In its way: “|With one cook more|too much at once/)
  })

  it('changed and at once changed back, it is laid out as it was, and not left waiting', async () => {
    const page = await opened()
    const pass = usePass()
    const before = calls(page)
    expect(pass.remove('b')).toBeNull()
    await nextTick()
    expect(pass.service).toBeNull()
    pass.undo()
    // Long enough for the one in between to have been laid out.
    await new Promise(wait => setTimeout(wait, 800))
    await laid()
    expect(calls(page)).toEqual(before)
  })

  it('close to the time it calls the next thing; done by the space bar, and to be ticked nothing again', async () => {
    const page = await opened(dayjs().add(50, 'minute').format(MOMENT))
    const next = (): string => page.find('section.next .what').text()
    const first = next()
    expect(calls(page)[0]).toContain(first)
    await press(' ')
    await flushPromises()
    expect(usePass().done).toHaveLength(1)
    expect(page.find('ol.calls li').classes()).toContain('ticked')
    expect(next()).not.toBe(first)
    button(page, 'Tick nothing').click()
    await flushPromises()
    expect(next()).toBe(first)
  })

  it('too late to begin it says so, and offers the soonest there is', async () => {
    const page = await opened(dayjs().add(10, 'minute').format(MOMENT))
    const trouble = page.find('.trouble')
    expect(trouble.text()).toMatch(/should have begun/)
    trouble.find('button').element.click()
    await flushPromises()
    expect(dayjs(usePass().ticket.serveAt).isAfter(dayjs().add(15, 'minute'))).toBe(true)
    expect(page.find('.trouble').exists()).toBe(false)
  })
})
