// @vitest-environment happy-dom
/** A steak that fell on the floor while a joint is in the oven: another one or none, what that costs, and taken back. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { asked, planned } from '#core/plan/planned.fixture'
import { progressOf } from '#core/session/progress'
import { preheatsOf } from '#core/session/warmUp'
import { mounted } from '../../mounted/mount.fixture'
import { button } from '../../mounted/page.fixture'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { usePass } from '../../stores/pass'
import { useStove } from '../../stores/stove'
import * as telling from '../../ui/tell'
import StovePlace from './StovePlace.vue'
import { byHand, JOINT, reckoned, wait } from './stove.fixture'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
/** The way back of what was last told. */
let undo: (() => void) | undefined
beforeEach(() => {
  byHand()
  undo = undefined
  vi.spyOn(telling, 'tell').mockImplementation((_, back) => void (undo = back))
})
afterEach(() => {
  vi.restoreAllMocks()
  vi.useRealTimers()
})

const strip = planned(asked('pan sear'))
const joint = planned(asked('roast', { ovenC: 140 }, JOINT))

/** Five minutes into the steak, and a little into the joint. */
async function fallen(): Promise<{ readonly page: VueWrapper; readonly steak: string; readonly roast: string }> {
  const [pass, cook] = [usePass(), useCook()]
  for (const [id, { request, plan }] of [
    ['steak', strip],
    ['joint', joint]
  ] as const) {
    useDraft().stand(id, request)
    expect(pass.putBeef(request, plan)).toBeNull()
  }
  const ids = (
    [
      ['joint', joint],
      ['steak', strip]
    ] as const
  ).map(([piece, of]) => {
    const { first: preheatS } = preheatsOf(of.request, of.plan.marks)
    const id = cook.begin(`The ${piece}`, { ...of, preheatS }, null, { id: pass.serviceId, after: null, called: '', piece })
    cook.say({ kind: 'lit' }, undefined, [id])
    return id
  })
  await wait(900)
  cook.say({ kind: 'laid' }, undefined, ids)
  const page = await mounted(StovePlace)
  await wait(300)
  useStove().look(ids[1])
  await flushPromises()
  await reckoned(page)
  button(page, 'It is lost').click()
  await flushPromises()
  await vi.waitFor(() => expect(page.find('.lost').text()).toMatch(/cut at/), { timeout: 20_000 })
  return { page, steak: ids[1], roast: ids[0] }
}
const kinds = (id: string): string[] =>
  useCook()
    .cooks.find(c => c.id === id)!
    .events.map(e => e.kind)

describe('a piece that is lost', () => {
  it('another like it goes into the hot pan at once; what is on waits for as long as it says; taken back all is as it was', async () => {
    const { page, steak, roast } = await fallen()
    const [cook, pass] = [useCook(), usePass()]
    const minutes = Number(/([\d]+)½?\smin later than this: all that is on waits/.exec(page.find('.lost').text())?.[1])
    // Five minutes are lost with it, in which it was not turned; the pan is hot.
    expect(minutes).toBeGreaterThanOrEqual(4)
    expect(minutes).toBeLessThanOrEqual(6)
    button(page, 'Another like it').click()
    await flushPromises()
    expect(cook.cooks.map(c => c.id)).not.toContain(steak)
    const fresh = cook.cooks.find(c => c.id !== roast)!
    expect(fresh.service).toMatchObject({ piece: 'steak', id: pass.serviceId })
    expect(progressOf(fresh.events).state).toBe('heating')
    await reckoned(page)
    const action = useStove().forecasts.get(fresh.id)!.action.value!
    expect(action.does).toBe('laid')
    expect(action.due!).toBeLessThanOrEqual(Date.now())
    expect(cook.cooks.find(c => c.id === roast)!.events.at(-1)).toMatchObject({ kind: 'delayed', seconds: 60 * minutes })

    undo!()
    await flushPromises()
    expect(cook.cooks.map(c => c.id).sort()).toEqual([steak, roast].sort())
    expect(kinds(roast).at(-1)).toBe('undone')
    expect(kinds(steak)).toEqual(['lit', 'laid'])
  })

  it('or the dinner goes on without it: off the stove and off the ticket, and back on both', async () => {
    const { page, steak, roast } = await fallen()
    const [cook, pass] = [useCook(), usePass()]
    button(page, 'On without it').click()
    await flushPromises()
    expect(cook.cooks.map(c => c.id)).toEqual([roast])
    expect(pass.pieces.map(p => p.id)).toEqual(['joint'])
    expect(useStove().notLit).toEqual([])
    undo!()
    await flushPromises()
    expect(cook.cooks.map(c => c.id)).toContain(steak)
    expect(pass.pieces.map(p => p.id).sort()).toEqual(['joint', 'steak'])
  })

  it('what was only lit is no later for being another', async () => {
    const cook = useCook()
    cook.begin('The steak', { ...strip, preheatS: 200 }, null)
    cook.say({ kind: 'lit' })
    const page = await mounted(StovePlace)
    await reckoned(page)
    button(page, 'It is lost').click()
    await flushPromises()
    await vi.waitFor(() => expect(page.find('.lost').text()).toMatch(/cut at .*, as this was to be\./), { timeout: 20_000 })
  })

  it('or it is still there', async () => {
    const { page, steak } = await fallen()
    button(page, 'It is still there').click()
    await flushPromises()
    expect(page.find('.lost').exists()).toBe(false)
    expect(kinds(steak)).toEqual(['lit', 'laid'])
  })
})
