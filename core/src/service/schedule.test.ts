/** Everything lands at once, with no tool and no pair of hands in two places; and what cannot is told, with what is in its way. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { callsOf } from './calls'
import { SHELVES } from '#core/kit/oven'
import { PLATE_S, RESET_OVEN_S, type Dish, type Kitchen, type Step } from './dish'
import type { Placed } from './placed'
import { schedule, type Service } from './schedule'

const MIN = 60
const GALLEY: Kitchen = { tools: { ring: ['large', 'small'], oven: ['oven'], grill: ['kettle'], bath: [] }, cooks: 1 }
const step = (what: string, minutes: number, rest: Partial<Step> = {}): Step => ({
  what,
  tool: null,
  seconds: minutes * MIN,
  hands: [0, 0],
  holds: [5 * MIN, 20 * MIN],
  ...rest
})
const dish = (id: string, ...steps: Step[]): Dish => ({ id, name: id, kind: 'side', steps })
const startOf = (service: Service, id: string, index = 0): number => service.placed.find(p => p.dish.id === id && p.index === index)!.from

describe('a service', () => {
  it('of one dish: as late as it can be, ready when the plates are', () => {
    const service = schedule([dish('rice', step('soak', 30), step('boil', 10, { tool: 'ring' }))], GALLEY)
    expect(service.placed.map(p => [p.from, p.to])).toEqual([
      [-42 * MIN, -12 * MIN],
      [-12 * MIN, -PLATE_S]
    ])
    expect(service.conflicts).toEqual([])
  })

  it('three pots on two rings: one is done early, and it is the one that stands best', () => {
    const pot = (id: string, most: number): Dish => dish(id, step('boil', 20, { tool: 'ring', holds: [2 * MIN, most * MIN] }))
    const service = schedule([pot('greens', 4), pot('mash', 45), pot('sauce', 6)], GALLEY)
    expect(service.conflicts).toEqual([])
    expect(startOf(service, 'mash')).toBe(-42 * MIN)
    expect(startOf(service, 'greens')).toBe(-22 * MIN)
  })

  it('one pair of hands: what needs them is not at once; two pairs are sooner through', () => {
    const chop = (id: string): Dish => dish(id, step('chop', 10, { hands: [10 * MIN, 0], holds: [60 * MIN, 120 * MIN] }))
    expect(schedule([chop('a'), chop('b')], GALLEY).begins).toBe(-22 * MIN)
    expect(schedule([chop('a'), chop('b')], { ...GALLEY, cooks: 2 }).begins).toBe(-12 * MIN)
  })

  it('two trays share an oven where one setting suits both, and not where none does', () => {
    const tray = (id: string, ovenC: readonly [number, number]): Dish =>
      dish(id, step('bake', 30, { tool: 'oven', ovenC, holds: [0, 5 * MIN] }))
    expect(schedule([tray('chips', [190, 215]), tray('beef', [200, 200])], GALLEY).conflicts).toEqual([])
    const apart = schedule([tray('chips', [190, 215]), tray('beef', [120, 120])], GALLEY)
    expect(apart.conflicts).toHaveLength(1)
    const [conflict] = apart.conflicts
    expect(conflict.kind).toBe('held too long')
    // Half an hour of the other, and the oven's own time to change.
    expect(conflict.kind === 'held too long' && conflict.held).toBe(PLATE_S + 30 * MIN + RESET_OVEN_S)
    expect(conflict.kind === 'held too long' && conflict.because.map(d => d.id)).toEqual([conflict.dish.id === 'chips' ? 'beef' : 'chips'])
  })

  it('of two ovens each is called by its name', () => {
    const tray = (id: string, ovenC: readonly [number, number]): Dish =>
      dish(id, step('bake', 30, { tool: 'oven', ovenC, holds: [0, 5 * MIN] }))
    const service = schedule([tray('chips', [190, 215]), tray('beef', [120, 120])], {
      ...GALLEY,
      tools: { ...GALLEY.tools, oven: ['upper', 'lower'] }
    })
    expect(service.conflicts).toEqual([])
    const set = callsOf(service).filter(c => c.text.includes('Set'))
    expect(new Set(set.map(c => c.text.match(/“(.*)”/)?.[1]))).toEqual(new Set(['upper', 'lower']))
  })

  it('what must follow at once follows at once, though the ring would be free later', () => {
    const seared = dish(
      'beef',
      step('heat', 4, { tool: 'ring', holds: [0, 0] }),
      step('sear', 6, { tool: 'ring', holds: [0, 0] }),
      step('rest', 5)
    )
    const service = schedule(
      [seared, dish('greens', step('boil', 8, { tool: 'ring' })), dish('sauce', step('boil', 8, { tool: 'ring' }))],
      GALLEY
    )
    const of = service.placed.filter(p => p.dish.id === 'beef')
    expect(of.map(p => p.from).slice(1)).toEqual(of.map(p => p.to).slice(0, -1))
    expect(of[0].on).toBe(of[1].on)
  })

  it('a sauce in the beef’s pan waits for the pan, and the beef rests the longer for it', () => {
    const beef: Dish = {
      ...dish('beef', step('sear', 10, { tool: 'ring', holds: [0, 0] }), step('rest', 4, { holds: [2 * MIN, 12 * MIN] }), step('carve', 3)),
      kind: 'beef'
    }
    const sauce: Dish = { ...dish('sauce', step('reduce', 9, { tool: 'ring' })), inItsPan: true }
    const service = schedule([beef, sauce], GALLEY)
    expect(service.conflicts).toEqual([])
    expect(startOf(service, 'sauce')).toBeGreaterThanOrEqual(startOf(service, 'beef') + 10 * MIN)
  })

  it('what is for who eats no meat is on the bars before any is; where it would stand too long for that, it is told', () => {
    const beef: Dish = {
      ...dish('beef', step('coals', 20, { tool: 'grill', holds: [0, 0] }), step('rest', 20, { hands: [0, 0], holds: [120, 600] })),
      kind: 'beef'
    }
    const green = (most: number): Dish => ({
      ...dish('green', step('grill', 12, { tool: 'grill', holds: [60, most * MIN] })),
      beforeMeat: true
    })
    const fits = schedule([beef, green(60)], GALLEY)
    expect(fits.conflicts).toEqual([])
    expect(startOf(fits, 'green') + 12 * MIN).toBeLessThanOrEqual(startOf(fits, 'beef'))
    const any = schedule([{ ...green(60), beforeMeat: false }, beef], GALLEY)
    expect(startOf(any, 'green')).toBeGreaterThan(startOf(any, 'beef'))
    expect(schedule([green(5), beef], GALLEY).conflicts).toMatchObject([{ dish: { id: 'green' } }])
  })

  it('without the tool a dish is told, and the rest is laid all the same', () => {
    const service = schedule([dish('egg', step('hold', 60, { tool: 'bath' })), dish('salad', step('dress', 2))], GALLEY)
    expect(service.conflicts).toMatchObject([{ kind: 'no tool', tool: 'bath' }])
    expect(service.placed.map(p => p.dish.id)).toEqual(['salad'])
  })
})

const anyStep = fc.record({
  what: fc.constant('do'),
  tool: fc.constantFrom(null, 'ring' as const, 'oven' as const, 'grill' as const),
  seconds: fc.integer({ min: 1, max: 60 }).map(m => m * MIN),
  hands: fc.tuple(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 120 })),
  holds: fc.tuple(fc.constantFrom(0, 120, 600), fc.constantFrom(0, 600, 3600)).map(([a, b]) => [Math.min(a, b), b] as const),
  low: fc.integer({ min: 100, max: 220 })
})
const anyDishes = fc
  .array(fc.array(anyStep, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 8 })
  .map(all =>
    all.map((steps, i) => dish(`d${i}`, ...steps.map(({ low, ...s }): Step => (s.tool === 'oven' ? { ...s, ovenC: [low, low + 15] } : s))))
  )

/** How many of them run at once, at the most. */
const most = (spans: readonly { from: number; to: number }[]): number =>
  Math.max(0, ...spans.map(s => spans.filter(o => o.from <= s.from && s.from < o.to).length))
const handsOf = (placed: readonly Placed[], cook: number): { from: number; to: number }[] =>
  placed.flatMap(p => {
    const { seconds, hands } = p.dish.steps[p.index]
    const first = Math.min(hands[0], seconds)
    const last = Math.min(hands[1], seconds - first)
    return [
      ...(p.by[0] === cook ? [{ from: p.from, to: p.from + first }] : []),
      ...(p.by[1] === cook ? [{ from: p.to - last, to: p.to }] : [])
    ]
  })

/** Each thing once, and the fire before what goes on it. */
function calledInOrder(service: Service): void {
  const calls = callsOf(service)
  expect(new Set(calls.map(c => c.id)).size).toBe(calls.length)
  calls.slice(1).forEach((c, i) => expect(c.at).toBeGreaterThanOrEqual(calls[i].at))
  for (const p of service.placed) expect(calls.some(c => c.dishId === p.dish.id && c.at === p.from)).toBe(true)
  const baked = service.placed.find(p => p.on === 'oven')
  if (baked) expect(calls.find(c => c.text.startsWith('Set the oven'))!.at).toBeLessThan(baked.from)
}

describe('whatever is on the ticket', () => {
  it('nothing and nobody is in two places, every dish goes forward in its own order, all is done before the plates, and each thing is called once and in its time', () => {
    fc.assert(
      fc.property(anyDishes, fc.integer({ min: 1, max: 2 }), (dishes, cooks) => {
        const service = schedule(dishes, { ...GALLEY, cooks })
        const { placed, conflicts } = service
        expect(placed).toHaveLength(dishes.reduce((sum, d) => sum + d.steps.length, 0))
        for (const d of dishes) {
          const own = placed.filter(p => p.dish === d).sort((a, b) => a.index - b.index)
          own.forEach((p, i) => {
            expect(p.to - p.from).toBeCloseTo(d.steps[p.index].seconds, 6)
            expect(p.to).toBeLessThanOrEqual((i + 1 < own.length ? own[i + 1].from : -PLATE_S) + 1e-6)
            const told = conflicts.some(q => q.kind === 'held too long' && q.dish === d && q.step === d.steps[p.index])
            expect(told).toBe(p.held > d.steps[p.index].holds[1] + 1)
          })
        }
        for (const name of [...GALLEY.tools.ring, ...GALLEY.tools.grill])
          expect(most(placed.filter(p => p.on === name))).toBeLessThanOrEqual(1)
        const baked = placed.filter(p => p.on === 'oven')
        expect(most(baked)).toBeLessThanOrEqual(SHELVES)
        for (const a of baked)
          for (const b of baked) {
            const [x, y] = [a.dish.steps[a.index].ovenC!, b.dish.steps[b.index].ovenC!]
            if (a !== b && a.from < b.to && b.from < a.to) expect(Math.max(x[0], y[0])).toBeLessThanOrEqual(Math.min(x[1], y[1]))
          }
        for (let cook = 0; cook < cooks; cook++) expect(most(handsOf(placed, cook))).toBeLessThanOrEqual(1)
        calledInOrder(service)
      }),
      { numRuns: 70, seed: 11 }
    )
  })
})
