// @vitest-environment happy-dom
/** Guests who are late, told at the mounted stove with the real engine behind it. */
import { flushPromises } from '@vue/test-utils'
import dayjs from 'dayjs'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { VueWrapper } from '@vue/test-utils'
import type { Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { asked, planned } from '#core/plan/planned.fixture'
import { preheatsOf } from '#core/session/warmUp'
import { mounted } from '../../mounted/mount.fixture'
import { button, press } from '../../mounted/page.fixture'
import { useCook } from '../../stores/cook'
import { usePass } from '../../stores/pass'
import { useStove } from '../../stores/stove'
import { MOMENT } from '../../ui/moments'
import { byHand, events, JOINT, jointInItsOven, lit, reckoned, wait } from './stove.fixture'
import { tell } from '../../ui/tell'
import StovePlace from './StovePlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
/** What would stand at the head of the page, with its way back. */
vi.mock('../../ui/tell', () => ({ tell: vi.fn() }))

beforeEach(byHand)
afterEach(() => vi.useRealTimers())

describe('guests who are late', () => {
  it('are told what it costs before it is done: rested longer it is cooler, and undone it is as it was', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    const carveAt = (): number => useStove().forecasts.get(useCook().cook!.id)!.forecast.value!.carve.time
    const before = carveAt()
    await press('g')
    button(page, '20 min late').click()
    await vi.waitFor(
      () =>
        expect(page.find('.late').text()).toMatch(
          /comes off as planned and rests 20\smin longer: \d+.°C in the middle when it is cut, \d+.°C cooler/
        ),
      { timeout: 20_000 }
    )
    expect(events().at(-1)).toBe('laid')
    button(page, 'Do that').click()
    await flushPromises()
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'delayed', seconds: 1200 })
    await reckoned(page)
    expect(carveAt() - before).toBeCloseTo(1200, -1)
    await press('u')
    await reckoned(page)
    expect(carveAt()).toBeCloseTo(before, 0)
  })

  it('may turn the oven down that it is in: later, as done, and taken back in one', async () => {
    const page = await jointInItsOven()
    await wait(1500)
    await reckoned(page)
    const forecast = () => useStove().forecasts.get(useCook().cook!.id)!.forecast.value!
    const before = forecast()
    await press('g')
    button(page, '20 min late').click()
    await vi.waitFor(() => expect(page.find('.late').text()).toContain('Turn its oven down'), { timeout: 30_000 })
    const down = page.findAll('.late input[type=radio]').findIndex(r => r.element.closest('label')!.textContent.includes('oven down'))
    await page.findAll('.late input[type=radio]')[down].setValue(true)
    expect(page.find('.late').text()).toMatch(/its oven goes to \d+\s°C now: it comes out at \d+\s°C, and is cut .* later/)
    button(page, 'Do that').click()
    await flushPromises()
    const said = useCook().cook!.events.at(-1)!
    expect(said).toMatchObject({ kind: 'delayed', seconds: 1200 })
    expect(said.kind === 'delayed' && said.ovenC! < 150).toBe(true)
    await reckoned(page)
    expect(forecast().carve.time - before.carve.time).toBeGreaterThan(10 * 60)
    expect(Math.abs(forecast().peak.core - before.peak.core)).toBeLessThan(1.5)
    await press('u')
    await reckoned(page)
    expect(forecast().carve.time).toBeCloseTo(before.carve.time, -1)
  })

  it('may rest it longer and flash it in the hot pan: cut as late as said, called with its pan, and taken back in one', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    const forecast = () => useStove().forecasts.get(useCook().cook!.id)!.forecast.value!
    const before = forecast()
    await press('g')
    button(page, '10 min late').click()
    await vi.waitFor(() => expect(page.find('.late').text()).toContain('Rest it, then flash it hot: cut at'), { timeout: 20_000 })
    await page.findAll('.late input[type=radio]')[1].setValue(true)
    expect(page.find('.late').text()).toMatch(/rests 8\smin longer, and goes 60\ss a face into the hot pan before it is cut: \d+/)
    expect(page.find('.late').text()).toMatch(/hot and crisp outside, (no more of it grey|its grey edge \d(\.\d)?\smm wider)/)
    button(page, 'Do that').click()
    await flushPromises()
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'delayed', seconds: 600, flashS: 60 })
    await reckoned(page)
    expect(forecast().carve.time - before.carve.time).toBeCloseTo(600, -1)
    expect(forecast().afterRest.map(m => m.phase)).toEqual(['rewarm', 'rewarm'])
    expect(forecast().pull.time).toBeCloseTo(before.pull.time, -1)
    await press('u')
    await reckoned(page)
    expect(forecast().afterRest).toEqual([])
    expect(forecast().carve.time).toBeCloseTo(before.carve.time, -1)
  })

  it('may keep it warm instead: warmer when it is cut than on the board, said before it is done, and taken back in one', async () => {
    const page = await lit()
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await press('g')
    button(page, '20 min late').click()
    const cut = (): number[] =>
      [
        ...page
          .find('.late')
          .text()
          .matchAll(/: cut at (\d+)/g)
      ].map(m => Number(m[1]))
    await vi.waitFor(() => expect(cut()).toHaveLength(3), { timeout: 20_000 })
    const [onTheBoard, , inTheOven] = cut()
    expect(inTheOven - onTheBoard).toBeGreaterThan(4)
    await page.findAll('.late input[type=radio]')[2].setValue(true)
    expect(page.find('.late').text()).toMatch(/under foil into an oven at 60\s°C for 20\smin: \d+/)
    expect(page.find('.late').text()).toMatch(/\d\.\d\s% more of its weight lost/)
    button(page, 'Do that').click()
    await flushPromises()
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'delayed', seconds: 1200, held: true })
    await reckoned(page)
    const forecast = useStove().forecasts.get(useCook().cook!.id)!.forecast.value!
    expect(forecast.phases.at(-1)).toMatchObject({ phase: 'hold' })
    expect(Math.round(forecast.carve.core)).toBe(inTheOven)
    await press('u')
    await reckoned(page)
    expect(useStove().forecasts.get(useCook().cook!.id)!.forecast.value!.phases.at(-1)).toMatchObject({ phase: 'rest' })
  })
})

describe('guests who are late, and one piece for all', () => {
  it('half of a joint is carved when it was to be, the other half so much later; taken back in one', async () => {
    const page = await jointInItsOven()
    await wait(1500)
    await reckoned(page)
    const forecast = () => useStove().forecasts.get(useCook().cook!.id)!.forecast.value!
    const before = forecast().carve.time
    await press('g')
    button(page, '30 min late').click()
    await vi.waitFor(() => expect(page.find('.late').text()).toContain('Serve in two waves'), { timeout: 30_000 })
    const at = page.findAll('.late input[type=radio]').findIndex(r => r.element.closest('label')!.textContent.includes('two waves'))
    await page.findAll('.late input[type=radio]')[at].setValue(true)
    expect(page.find('.late').text()).toMatch(/Half of it\s+is served first, as it was to be: cut at \d+/)
    expect(page.find('.late').text()).toMatch(
      /The other half\s+stays whole under foil, 30\smin longer: \d+\s°C in the middle when it is cut/
    )
    expect(page.findAll('.late input[type=checkbox]')).toHaveLength(0)
    button(page, 'Do that').click()
    await flushPromises()
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'parted', seconds: 1800 })
    await reckoned(page)
    expect(forecast().carve.time).toBeCloseTo(before, 0)
    // Once is enough.
    await press('g')
    button(page, '20 min late').click()
    await vi.waitFor(() => expect(page.find('.late').text()).toContain('Let it rest longer'), { timeout: 30_000 })
    expect(page.find('.late').text()).not.toContain('two waves')
    await press('Escape')

    const laidAt = useCook().cook!.events.find(e => e.kind === 'laid')!.at
    await wait(forecast().pull.time - (Date.now() - laidAt) / 1000)
    useCook().say({ kind: 'pulled' }, Date.now())
    await reckoned(page)
    await wait(forecast().carve.time - forecast().pull.time + 30)
    await vi.waitFor(() => expect(page.find('h1').text()).toMatch(/^Carve half of /), { timeout: 20_000 })
    const halfAt = forecast().carve.time
    await press(' ')
    expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'halved' })
    await vi.waitFor(() => expect(page.find('h1').text()).toMatch(/^Carve the rest of /), { timeout: 20_000 })
    await reckoned(page)
    expect(forecast().carve.time - halfAt).toBeCloseTo(1800, -2)
    await press('u')
    await vi.waitFor(() => expect(page.find('h1').text()).toMatch(/^Carve half of /), { timeout: 20_000 })
  })
})

describe('guests who are late, and more than one piece', () => {
  /** Of one dinner, each so long after the first. */
  async function litTogether(
    kind: MethodKind,
    settings: Settings,
    pieces: readonly (readonly [called: string, afterS: number, piece: Partial<Piece>])[]
  ): Promise<{ page: VueWrapper; ids: string[] }> {
    const ids: string[] = []
    for (const [called, seconds, piece] of pieces) {
      const { request, plan } = planned(asked(kind, settings, piece))
      const after = seconds === 0 ? null : { cookId: ids[0], seconds }
      ids.push(
        useCook().begin(called, { request, plan, preheatS: preheatsOf(request, plan.marks).first }, null, {
          id: 'dinner-late',
          after,
          called
        })
      )
    }
    useCook().show(ids[0])
    const page = await mounted(StovePlace)
    await vi.waitFor(() => expect(ids.every(id => useStove().forecasts.get(id)?.forecast.value)).toBe(true), { timeout: 20_000 })
    return { page, ids }
  }
  const toldOf = (id: string) =>
    useCook()
      .cooks.find(c => c.id === id)!
      .events.filter(e => e.kind === 'delayed')
  const choose = async (page: VueWrapper, says: string): Promise<void> => {
    await vi.waitFor(() => expect(page.find('.late').text()).toContain(says), { timeout: 30_000 })
    const at = page.findAll('.late input[type=radio]').findIndex(r => r.element.closest('label')!.textContent.includes(says))
    await page.findAll('.late input[type=radio]')[at].setValue(true)
  }

  it('eat in two waves: who is there at once, what was to go in last is for the others; taken back in one', async () => {
    const { page, ids } = await litTogether('pan sear', {}, [
      ['thick piece', 0, {}],
      ['thin piece', 240, { thicknessMm: 28, weightG: 250 }]
    ])
    await press(' ')
    await wait(200)
    await press(' ')
    await reckoned(page)
    await press('g')
    button(page, '30 min late').click()
    await choose(page, 'Serve in two waves')
    const late = (): string => page.find('.late').text()
    expect(late()).toMatch(/thick piece\s+is served first, as it was to be: cut at \d+/)
    expect(late()).toMatch(/thin piece\s+goes in 30\smin later; nothing is lost/)
    // All of it later is no second wave, nor is none.
    const boxes = page.findAll<HTMLInputElement>('.late input[type=checkbox]')
    expect(boxes.map(b => b.element.checked)).toEqual([false, true])
    await boxes[1].setValue(false)
    expect(button(page, 'Do that').disabled).toBe(true)
    await boxes[1].setValue(true)
    button(page, 'Do that').click()
    await flushPromises()
    expect(toldOf(ids[0])).toEqual([])
    expect(toldOf(ids[1])).toMatchObject([{ seconds: 1800 }])
    expect(tell).toHaveBeenLastCalledWith('The second wave is 30\u00a0min later.', expect.any(Function))
    vi.mocked(tell).mock.lastCall![1]!()
    await flushPromises()
    expect(
      useCook()
        .cooks.find(c => c.id === ids[1])!
        .events.at(-1)
    ).toMatchObject({ kind: 'undone' })
  })

  it('the oven that two are in has one dial: both go along, each told what it costs', async () => {
    const { page, ids } = await litTogether('roast', { ovenC: 150, searS: 0 }, [
      ['big joint', 0, JOINT],
      ['small joint', 60, { ...JOINT, weightG: 1100, thicknessMm: 80, widthMm: 85, lengthMm: 170 }]
    ])
    await press(' ')
    await wait(900)
    await press(' ')
    await reckoned(page)
    await wait(60)
    useCook().say({ kind: 'laid' }, Date.now(), [ids[1]])
    await reckoned(page)
    await wait(900)
    await press('g')
    button(page, '20 min late').click()
    await choose(page, 'Turn its oven down')
    const [big, small] = [
      ...page
        .find('.late')
        .text()
        .matchAll(/joint\s+its oven goes to (\d+)\s°C now/g)
    ].map(m => Number(m[1]))
    expect(big).toBeLessThan(150)
    expect(small).toBe(big)
    button(page, 'Do that').click()
    await flushPromises()
    for (const id of ids) expect(toldOf(id)).toMatchObject([{ seconds: 1200, ovenC: big }])
  })

  it('a dish in that oven says how far its dial may go, and is named', async () => {
    const page = await jointInItsOven(170)
    await wait(900)
    await reckoned(page)
    const pass = usePass()
    pass.watched = true
    pass.change({ serveAt: dayjs().add(50, 'minute').format(MOMENT), lines: [{ id: 'g', recipe: 'gratin' }] })
    await vi.waitFor(() => expect(pass.asItStands?.placed.some(p => p.dish.id === 'g')).toBe(true), { timeout: 20_000 })
    await press('g')
    const heat = async (late: string): Promise<number> => {
      button(page, late).click()
      await choose(page, 'Turn its oven down')
      return Number(/its oven goes to (\d+)\s°C now/.exec(page.find('.late').text())![1])
    }
    expect(await heat('10 min late')).toBeGreaterThanOrEqual(150)
    expect(page.find('.late').text()).toMatch(/Potatoes baked in cream\s+in the same oven can bear that, and takes longer/)
  })
})
