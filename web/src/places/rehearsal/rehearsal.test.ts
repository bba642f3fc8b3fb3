// @vitest-environment happy-dom
/** Rehearsing, mounted, with the real engine: begun, cooked by signs, cut open; and a drill gone through. */
import type { VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { finish } from '#core/numerics/steps'
import { planned } from '#core/plan/planned.fixture'
import { cuttingOpen } from '#core/rehearsal/cutOpen'
import { EXERCISES } from '#core/rehearsal/exercises'
import { playedByCalls } from '#core/rehearsal/played.fixture'
import type { SideDone } from '#core/rehearsal/sides'
import type { Signs } from '#core/rehearsal/signs'
import { ALONE, truthOf } from '#core/rehearsal/truth'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, hissed, screenOf } from '../../mounted/page.fixture'
import { router } from '../../router'
import { useClock } from '../../stores/clock'
import { useCook } from '../../stores/cook'
import { useUnits } from '../../stores/units'
import StovePlace from '../stove/StovePlace.vue'
import CutOpenPage from './CutOpenPage.vue'
import DrillsPlace from './DrillsPlace.vue'
import FingerPlace from './FingerPlace.vue'
import RehearsalsPlace from './RehearsalsPlace.vue'
import { soon } from '../../mounted/soon.fixture'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
vi.mock('vue3-apexcharts', () => ({ default: { template: '<div />' } }))

const FIRST = planned(FIRST_REQUEST)
const answers = new Map<string, unknown>()
const sent: { path: string; body: unknown }[] = []
beforeEach(() => {
  emptyBrowser()
  screenOf(false)
  answers.clear()
  sent.length = 0
  answers.set('GET /api/rehearsals', { rehearsals: [], best: {} })
  vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
    if (body !== undefined) sent.push({ path, body: JSON.parse(body) })
    const found = answers.get(`${method} ${path}`)
    return found === undefined
      ? Promise.reject(new TypeError('no route'))
      : Promise.resolve(new Response(JSON.stringify(found), { status: 200 }))
  })
})
// Its clock would go on ticking in the next one.
afterEach(() => useClock().leave())
const SIGNS: Signs = {
  pan: null,
  fire: null,
  hiss: { loud: 0.5, word: 'a lively hiss' },
  shade: 'hazelnut',
  smoke: 'a thread',
  feel: 'soft, and gives far',
  flames: false
}

describe('the exercises', () => {
  it('are there, with the best so far; one that is begun lies ready at a stove of its own', async () => {
    answers.set('GET /api/rehearsals', { rehearsals: [], best: { pot: 87 } })
    answers.set('POST /api/rehearsals', {
      id: 'x',
      exercise: 'two-donenesses',
      clock: { at: 5_000_000, speed: 1 },
      cooks: [],
      sides: [],
      points: null
    })
    const page = await mounted(RehearsalsPlace, {}, '/rehearse')
    await soon(() => expect(page.text()).toContain('best so far 87 of 100'))
    expect(page.findAll('li.card')).toHaveLength(EXERCISES.length)
    await page.find('[aria-label="Begin: Rare and medium, one pan"]').trigger('click')
    const clock = useClock()
    await soon(() => expect(clock.rehearsing).toMatchObject({ name: 'Rare and medium, one pan', calls: true }))
    const { cooks } = useCook()
    expect(cooks.map(c => c.title.replace(/\s/g, ' '))).toEqual(['Medium strip, 32 mm', 'Rare strip, 32 mm'])
    expect(cooks.every(c => c.rehearsed === true && c.service?.id === clock.rehearsing?.id)).toBe(true)
    // Both are carved at once.
    const [medium, rare] = cooks
    expect(rare.service!.after).toEqual({ cookId: medium.id, seconds: Math.round(medium.planned.carveS - rare.planned.carveS) })
    await soon(() => expect(router.currentRoute.value.path).toBe('/stove'))
  })

  it('wait while meat is cooking, and say what is wrong where the keeper does not answer', async () => {
    const page = await mounted(RehearsalsPlace, {}, '/rehearse')
    await page.find('[aria-label="Begin: Thin, and soon over"]').trigger('click')
    await soon(() => expect(page.text()).toContain('The server does not answer.'))
    expect(useClock().rehearsing).toBeNull()
    useCook().begin('Supper', { request: FIRST_REQUEST, plan: FIRST.plan, preheatS: 100 }, null)
    useCook().say({ kind: 'laid' })
    await soon(() => expect(page.text()).toContain('Meat is cooking on this stove.'))
    expect(page.find('[aria-label="Begin: Thin, and soon over"]').attributes('disabled')).toBeDefined()
  })

  it('one that another device has begun is joined', async () => {
    const played = { ...playedByCalls(FIRST_REQUEST), service: { id: 'begun-there', after: null, called: '' }, rehearsed: true }
    const one = {
      id: 'begun-there',
      exercise: 'first-strip',
      createdAt: Date.now() - 60_000,
      points: null,
      cooks: [{ id: played.id, title: 'Strip' }]
    }
    answers.set('GET /api/rehearsals', { rehearsals: [one], best: {} })
    answers.set('GET /api/rehearsals/begun-there', { ...one, clock: { at: 7_000_000, speed: 10 }, cooks: [], sides: [] })
    answers.set('GET /api/services/begun-there/cooks', { cooks: [{ ...played, events: [] }], thrownAway: [] })
    const page = await mounted(RehearsalsPlace, {}, '/rehearse')
    await soon(() => expect(page.find('[aria-label="Join in: A strip, as it should be"]').exists()).toBe(true))
    await page.find('[aria-label="Join in: A strip, as it should be"]').trigger('click')
    await soon(() => expect(useCook().cooks.map(c => c.title)).toEqual(['Rehearsed']))
    expect(useClock().speed).toBe(10)
  })
})

describe('the stove in a rehearsal', () => {
  async function atTheStove(calls: boolean, sides: readonly SideDone[] = []): Promise<VueWrapper> {
    useClock().enter({ id: 'one', name: 'By ear', calls, probe: true, guestsLateS: 0 }, Date.now(), 1)
    const id = useCook().begin('Strip', { request: FIRST_REQUEST, plan: FIRST.plan, preheatS: 200 }, null, {
      id: 'one',
      after: null,
      called: ''
    })
    answers.set('GET /api/rehearsals/one', {
      id: 'one',
      exercise: null,
      clock: { at: Date.now(), speed: 1 },
      cooks: [{ id, signs: SIGNS, events: 0 }],
      sides,
      points: null
    })
    answers.set(`POST /api/rehearsals/one/cooks/${id}/probe`, { at: Date.now() + 1000, celsius: 31.4 })
    return mounted(StovePlace, {}, '/stove')
  }

  it('calls what stands beside it as large as the beef; done, it is the next one’s turn', async () => {
    const [peel, boil] = ['Peel the potatoes', 'Potatoes on'].map((says, i) => ({
      id: `mash ${i} on`,
      of: 'Mash',
      says,
      dueS: 20 + 400 * i,
      doneAt: null
    }))
    const page = await atTheStove(true, [peel, boil])
    useCook().say({ kind: 'laid' })
    const looked = () => page.find('[aria-label="All that is on"]')
    await soon(() => expect(looked().text()).toMatch(/Mash\s*Peel the potatoes/))
    await looked()
      .findAll('button')
      .find(b => b.text().includes('Mash'))!
      .trigger('click')
    await soon(() => expect(page.find('h1').text()).toMatch(/^Peel the potatoes/))
    expect(page.text()).not.toContain('The pass')
    answers.set('PUT /api/rehearsals/one/sides/mash%200%20on', {
      id: 'one',
      exercise: null,
      clock: { at: Date.now(), speed: 1 },
      cooks: [],
      sides: [{ ...peel, doneAt: Date.now() }, boil],
      points: null
    })
    await button(page, 'Done').click()
    await soon(() => expect(looked().text()).toMatch(/Mash\s*Potatoes on/))
  })

  it('without calls says only what is seen, heard and felt, and offers what can be done', async () => {
    const page = await atTheStove(false)
    await soon(() => expect(page.find('.signs').exists()).toBe(true))
    expect(page.find('.signs').text()).toMatch(/a lively hiss.*hazelnut.*a thread/)
    expect(hissed.at(-1)).toBeGreaterThan(0)
    expect(page.text()).not.toMatch(/should read|Off the heat at/)
    expect(page.find('aside').exists()).toBe(false)
    await button(page, 'Press it').click()
    await soon(() => expect(page.text()).toContain('soft, and gives far'))
    for (const said of ['It is lit', 'It is in']) await button(page, said).click()
    const keys = page.findAll('.foot .keys:not(.tools) button').map(b => b.text())
    expect(keys).toEqual(['Turned', 'Lifted out', 'Off the heat'])
    await button(page, 'Put the thermometer in').click()
    await soon(() => expect(useCook().cook!.events.at(-1)).toMatchObject({ kind: 'reading', coreC: 31.4 }))
    for (const said of ['Off the heat', 'Carved']) await button(page, said).click()
    await soon(() => expect(page.text()).toContain('Now it can be seen what was inside'))
  })

  it('with calls it calls as ever, has no reading typed, and can be left', async () => {
    const page = await atTheStove(true)
    await vi.waitFor(() => expect(page.find('h1').text()).toBe('Light the ring'), { timeout: 5000 })
    expect(page.find('aside').text()).toContain('The probe should read')
    expect(page.findAll('button').some(b => b.text().startsWith('Reading'))).toBe(false)
    await button(page, 'Leave it').click()
    await soon(() => expect(router.currentRoute.value.path).toBe('/rehearse'))
    expect(useCook().cooks).toEqual([])
  })
})

describe('cut open', () => {
  it('shows what came of it beside what was wanted, what each decision cost, and all of it once more', async () => {
    const record = { ...playedByCalls(FIRST_REQUEST, { carved: -200 }), rehearsed: true }
    const cut = finish(cuttingOpen(truthOf(FIRST_REQUEST, 5, { thickness: -5 }), record, ALONE))
    const laidAt = record.events.find(e => e.kind === 'laid')!.at
    answers.set('GET /api/services/one/cooks', { cooks: [record], thrownAway: [] })
    answers.set(`GET /api/rehearsals/one/cooks/${record.id}/cut`, cut)
    answers.set('GET /api/rehearsals/one', {
      id: 'one',
      exercise: 'first-strip',
      clock: { at: 1, speed: 1 },
      cooks: [],
      sides: [
        { id: 'mash', of: 'Mash', says: 'Mash', dueS: 600, doneAt: laidAt + 1000 * (600 + 540) },
        { id: 'salad', of: 'Salad', says: 'Salad', dueS: 700, doneAt: null }
      ],
      points: cut.score.points
    })
    const page = await mounted(CutOpenPage, { id: 'one' }, '/rehearse/one')
    await soon(() => expect(page.find('.piece').exists()).toBe(true))
    expect(page.find('h1').text()).toBe('A strip, as it should be')
    expect(page.find('.points').text()).toBe(`${cut.score.points} of 100`)
    const text = page.text().replace(/\s/g, ' ')
    expect(text).toMatch(/Cut \d[^:]*early: .*ml more on the board/)
    expect(text).toContain('It was 33 mm thick, not 38 mm.')
    expect(page.findAll('.sides li').map(li => li.text().replace(/\s/g, ' '))).toEqual(['Mash 9 min late', 'Salad was never finished'])
    expect(page.findAll('figcaption').map(f => f.text())).toEqual(['Served', 'As it was wanted', 'If it had been cut at once'])
    useUnits().toggle()
    await soon(() => expect(page.text()).toMatch(/°F/))
    await button(page, 'To the other exercises').click()
    await soon(() => expect(router.currentRoute.value.path).toBe('/rehearse'))
  })

  it('what is not carved yet stays whole, and where it cannot be had it can be asked for again', async () => {
    const page = await mounted(CutOpenPage, { id: 'two' }, '/rehearse/two')
    await soon(() => expect(page.text()).toContain('The server does not answer.'))
    const record = { ...playedByCalls(FIRST_REQUEST), events: [] }
    answers.set('GET /api/services/two/cooks', { cooks: [record], thrownAway: [] })
    answers.set('GET /api/rehearsals/two', { id: 'two', exercise: null, clock: { at: 1, speed: 1 }, cooks: [], sides: [], points: null })
    await button(page, 'Try again').click()
    await soon(() => expect(page.text()).toContain('is not carved yet'))
  })
})

describe('a drill', () => {
  it('asks five times, says after each what is right, and when it comes again', async () => {
    const page = await mounted(DrillsPlace, {}, '/rehearse/drills')
    expect(page.findAll('.when').map(w => w.text())).toEqual(Array.from({ length: 7 }, () => 'not tried yet'))
    await page.find('[aria-label="Begin: Name the muscle"]').trigger('click')
    for (let i = 0; i < 5; i++) {
      await soon(() => expect(page.findAll('.options button')).toHaveLength(4))
      expect(page.find('svg.side .marked').exists()).toBe(true)
      await page.find('.options button').trigger('click')
      expect(page.find('.why').text()).toMatch(/^(Right|No)\. /)
      expect(page.findAll('.options .right')).toHaveLength(1)
      await button(page, 'Go on').click()
    }
    await soon(() => expect(page.find('.asks').text()).toMatch(/^[0-5] of 5\. again (tomorrow|in \d+ days)/))
    await button(page, 'To the other drills').click()
    await soon(() => expect(page.findAll('.when')[0].text()).toMatch(/^again/))
  })

  it('a piece that is pressed gives, and the hand says how far its schools are apart', async () => {
    const page = await mounted(DrillsPlace, {}, '/rehearse/drills')
    await page.find('[aria-label="Begin: By the finger"]').trigger('click')
    await vi.waitFor(() => expect(page.find('.press path').exists()).toBe(true), { timeout: 5000 })
    const before = page.find('.press .meat').attributes('d')
    await page.find('.press button').trigger('pointerdown')
    expect(page.find('.press .meat').attributes('d')).not.toBe(before)
    await page.find('.press button').trigger('pointerup')
    expect(page.find('.press .meat').attributes('d')).toBe(before)
    const hand = await mounted(FingerPlace, {}, '/rehearse/finger')
    expect(hand.text()).toMatch(/The schools are 5\s°C apart/)
    await vi.waitFor(() => expect(hand.find('table').text()).toMatch(/gives, and comes back46\s°C to 54\s°C/), { timeout: 20_000 })
  })
})
