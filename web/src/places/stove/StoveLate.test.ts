// @vitest-environment happy-dom
/** Guests who are late, told at the mounted stove with the real engine behind it. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { button, press } from '../../mounted/page.fixture'
import { useCook } from '../../stores/cook'
import { useStove } from '../../stores/stove'
import { byHand, events, lit, reckoned, wait } from './stove.fixture'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))

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
    const piece = { cutId: 'ribeye', form: 'roast' as const, weightG: 1500, thicknessMm: 90, widthMm: 95, lengthMm: 190 }
    const page = await lit('roast', { ovenC: 150, searS: 0 }, piece)
    await press(' ')
    await wait(900)
    await press(' ')
    await reckoned(page)
    await wait(1500)
    await reckoned(page)
    const forecast = () => useStove().forecasts.get(useCook().cook!.id)!.forecast.value!
    const before = forecast()
    await press('g')
    button(page, '20 min late').click()
    await vi.waitFor(() => expect(page.find('.late').text()).toContain('Turn its oven down'), { timeout: 30_000 })
    await page.findAll('.late input[type=radio]').at(-1)!.setValue(true)
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
