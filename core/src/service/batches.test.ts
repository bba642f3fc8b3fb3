/** More pieces than a pan takes: they go in batches, and every figure is of one of them. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutById } from '#core/meat/cuts'
import { coatsFor } from '#core/meat/piece'
import { GRILLS, type Grill } from '#core/kit/grill'
import { asked, planned } from '#core/plan/planned.fixture'
import { USUAL_PREPARATION, type Preparation } from '#core/plan/preparation'
import { beefDish, gettingReady } from './beef'
import { callsOf } from './calls'
import type { Kitchen } from './dish'
import { schedule } from './schedule'
import type { PlanRequest } from '#core/request/request'
import { caveats } from '#core/words/caveats'
import { batchesOf, coverage, setupOf } from '#core/request/setup'
import { checklistFor } from '#core/words/preparation'

describe('batches', () => {
  it('of any number of pieces: all of them, each batch fits, as even as can be, and not one batch too many', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 120, max: 900 }), (count, weightG) => {
        const request = asked('pan sear', {}, { count, weightG })
        const batches = batchesOf(request)
        expect(batches.reduce((sum, n) => sum + n, 0)).toBe(count)
        expect(Math.max(...batches) - Math.min(...batches)).toBeLessThanOrEqual(1)
        const covers = (n: number): number => coverage({ ...request, piece: { ...request.piece, count: n } })
        expect(covers(batches[0])).toBeLessThanOrEqual(1 + 1e-6)
        if (batches.length > 1) expect(covers(Math.ceil(count / (batches.length - 1)))).toBeGreaterThan(1)
      })
    )
  })
  it('are one where another fire than the pan’s takes them all', () => {
    expect(batchesOf(asked('roast', {}, { count: 24 }))).toEqual([24])
  })
  it('over a kettle’s coals are three of a table’s steaks; on a grate twice as large both ways, one', () => {
    const over = (grill: Partial<Grill>): PlanRequest => {
      const { kit, ...rest } = asked('grill', {}, { count: 24, thicknessMm: 25, weightG: 330, lengthMm: 150, widthMm: 100 })
      return { ...rest, kit: { ...kit, grill: { ...GRILLS[0], ...grill } } }
    }
    expect(batchesOf(over({}))).toEqual([8, 8, 8])
    expect(batchesOf(over({ acrossMm: 1100 }))).toEqual([24])
    expect(batchesOf(over({ acrossMm: 700, deepMm: 450 })).length).toBeLessThan(3)
    const { plan } = planned(over({}))
    const [coals] = beefDish('a', 'Steaks', over({}), plan, 24).steps
    expect(coals.seconds).toBeCloseTo(3 * plan.phases[0].to + 2 * 30, -1)
    expect(caveats(over({}), plan, 'metric').join()).toMatch(/All 24 do not fit over the fire at once: 3 batches of 8/)
  })
  it('on two zones half of the grate holds them: batch after batch, over the coals and beside them, with coals between', () => {
    const kettle = (count: number): PlanRequest => {
      const { kit, ...rest } = asked(
        'two-zone grill',
        {},
        { cutId: 'tri-tip', count, thicknessMm: 48, weightG: 1100, lengthMm: 270, widthMm: 135 }
      )
      return { ...rest, kit: { ...kit, grill: GRILLS[0] } }
    }
    const eight = kettle(8)
    const batches = batchesOf(eight)
    expect(batches.reduce((sum, n) => sum + n)).toBe(8)
    // Two or three of a kilo lie on half a kettle with a finger between them; common practice, no source.
    expect(batches[0]).toBeGreaterThanOrEqual(2)
    expect(batches[0]).toBeLessThanOrEqual(4)
    const { plan } = planned(eight)
    expect(caveats(eight, plan, 'metric').join()).toMatch(
      /All 8 do not fit beside the fire at once: \d batches of .*the coals are topped up/
    )
    const steps = (of: PlanRequest) => beefDish('a', 'Tri-tip', of, plan, 40).steps
    const whole = (of: PlanRequest): number => steps(of).reduce((sum, s) => sum + s.seconds, 0) - steps(of).at(-1)!.seconds
    const one = whole(kettle(batches[0]))
    expect(whole(eight) - one).toBeCloseTo((batches.length - 1) * (plan.pull.time + 600), -1)
    // Hands are wanted at the coals, not while the lid is on.
    expect(steps(eight)[0].hands[0]).toBeLessThan(0.3 * steps(eight)[0].seconds)
  })
  it('more than the trays of a half-size oven is told, with how many it would be', () => {
    const joints = (count: number): PlanRequest =>
      asked('roast', {}, { cutId: 'ribeye', form: 'roast', count, thicknessMm: 110, widthMm: 115, lengthMm: 230, weightG: 2200 })
    const told = (count: number): string => caveats(joints(count), planned(joints(count)).plan, 'metric').join()
    expect(told(1)).not.toMatch(/trays/)
    expect(told(12)).toMatch(/that is \d trays of a half-size oven, which has room for 2/)
  })
  it('the engine cooks the fullest of them, not the whole heap', () => {
    const request = asked('pan sear', {}, { count: 12 })
    const [together] = batchesOf(request)
    expect(together).toBeLessThan(12)
    expect(setupOf(request).setup.piece.count).toBe(together)
  })
  it('on the ticket they keep ring and hands one after the other', () => {
    const phases = [
      { phase: 'sear', from: 0, to: 480 },
      { phase: 'rest', from: 480, to: 840 }
    ] as unknown as Parameters<typeof beefDish>[3]['phases']
    const plan = { phases, pull: { time: 480, probe: 49 } } as Parameters<typeof beefDish>[3]
    const one = beefDish('a', 'Steak', asked('pan sear'), plan, 4)
    const many = beefDish('b', 'Steaks', asked('pan sear', {}, { count: 12 }), plan, 12)
    const n = batchesOf(asked('pan sear', {}, { count: 12 })).length
    expect(one.steps[0].seconds).toBe(480)
    expect(many.steps[0].seconds).toBe(n * 480 + (n - 1) * 90)
    expect(many.steps[0].hands[0]).toBe(many.steps[0].seconds)
  })
})

describe('getting it ready, on the ticket', () => {
  const { piece } = asked('pan sear')
  const tasks = (part: Partial<Preparation>) => gettingReady(checklistFor({ ...USUAL_PREPARATION, ...part }, cutById(piece.cutId)!, piece))

  it('the last hand’s turns are one step, that keeps the hands up to the fire', () => {
    const steps = tasks({ knife: false })
    expect(steps).toHaveLength(1)
    expect(steps[0].what).toMatch(/^Pat every face dry, hard; rub it thinly with oil; salt it$/)
    expect(steps[0].hands[0]).toBe(steps[0].seconds)
  })
  it('out of the fridge half an hour before is half an hour before, with the salt in between', () => {
    const steps = tasks({ knife: false, outMin: 60, salt: '40 min before' })
    expect(steps.map(s => s.what.split(';')[0])).toEqual([
      'Take it out of the fridge',
      'Salt it on all sides',
      'Pat off what the salt drew'
    ])
    expect(steps.reduce((sum, s) => sum + s.seconds, 0)).toBe(60 * 60)
    expect(steps[0].seconds).toBe(20 * 60)
  })
  it('the knife’s work keeps, and is no part of the time before the fire', () => {
    const [knife, ...others] = tasks({ knife: true, tie: true })
    expect(knife.what).toMatch(/sinew.*; .*tie it every/i)
    expect(knife.hands[0]).toBe(knife.seconds)
    expect(knife.holds[1]).toBeGreaterThan(3600)
    expect(others).toEqual(tasks({ knife: false }))
  })
  it('what is a day ahead is called by its day, and takes nothing of the kitchen', () => {
    const preparation = { ...USUAL_PREPARATION, knife: false, surface: 'aired', salt: 'the day before', oil: 'none' } as const
    const { request, plan } = planned(asked('pan sear'))
    const list = checklistFor(preparation, cutById(piece.cutId)!, piece)
    const plain = beefDish('b', 'Beef', request, plan, 2)
    const dish = beefDish('b', 'Beef', request, plan, 2, list)
    expect(dish.steps).toEqual(plain.steps)
    const galley: Kitchen = { tools: { ring: ['r'], oven: ['o'], grill: [], bath: [] }, cooks: 1 }
    const calls = callsOf(schedule([dish], galley))
    const ahead = calls.filter(c => c.ahead)
    expect(ahead.map(c => c.text)).toEqual([expect.stringMatching(/rack in the fridge/), expect.stringMatching(/Salt it on all sides/)])
    const fire = calls.find(c => !c.ahead)!.at
    for (const c of ahead) expect((fire - c.at) / 3600).toBeCloseTo(24, 0)
    expect(callsOf(schedule([plain], galley))).toEqual(calls.filter(c => !c.ahead))
  })
  it('what is a day ahead is no step of the evening', () => {
    expect(
      tasks({ knife: false, surface: 'aired', salt: 'the day before', oil: 'none' })
        .map(s => s.what)
        .join()
    ).not.toMatch(/rack|1 %/)
  })
})

it('a crust of paste goes on as it comes out of the pan, before the oven', () => {
  const coats = coatsFor({ boneMm: 0, fatMm: 0, pasteMm: 4 }, undefined)
  const [bare, crusted] = [{}, { coats }].map(part => {
    const request = asked('sear then oven', {}, part)
    return beefDish('a', 'Steak', request, planned(request).plan, 2).steps
  })
  expect(bare.some(s => s.then)).toBe(false)
  expect(crusted.map(s => s.then).filter(Boolean)).toEqual(['Out of the pan, and its crust spread over all but the underside'])
  expect(crusted.map(s => s.setUp)).toEqual(bare.map(s => s.setUp))
})

it('a crust of cheese goes on as it comes off, by hand, and everything else is as it was', () => {
  const [bare, crusted] = [false, true].map(cheese => {
    const request = asked('grill', { cheese })
    return beefDish('a', 'Steak', request, planned(request).plan, 2).steps
  })
  const rest = bare.findIndex(s => s.what === 'Rest, bare')
  expect(crusted[rest].what).toBe('Cheese on at once, a lid over it until it melts; then rest, bare')
  expect(crusted[rest].hands).toEqual([60, 0])
  expect(crusted.filter((_, i) => i !== rest)).toEqual(bare.filter((_, i) => i !== rest))
  expect(crusted[rest].seconds).toBe(bare[rest].seconds)
  const iced = asked('grill', { cheese: true, cover: 'ice' })
  expect(beefDish('a', 'Steak', iced, planned(iced).plan, 2).steps.some(s => /cheese/i.test(s.what))).toBe(false)
})
