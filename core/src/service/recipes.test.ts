/** The book of sides and sauces, the water under them, and a plan as a dish. */
import { describe, expect, it } from 'vitest'
import { READY_KITS } from '#core/kit/kit'
import { planned } from '#core/plan/planned.fixture'
import { by } from '#core/request/request'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { showTemperature, shownText } from '#core/quantity/format'
import type { MethodKind } from '#core/method/methods'
import { beefDish } from './beef'
import { callsOf } from './calls'
import { amountsFor, dishOf, stepsFor, type Recipe } from './recipe'
import { bookOf, recipeIn, RECIPES, shippedRecipe } from './recipes'
import { said } from './said'
import { schedule } from './schedule'
import { dishesOf, kitchenOf, portionsOf } from './ticket'
import { TICKET } from './ticket.fixture'
import { boilSeconds, reduceSeconds } from './water'

const MIN = 60
const [galley, home, , onePan] = READY_KITS.map(k => k.kit)

describe('water and a ring', () => {
  it('two litres on a strong ring boil in 7 to 10 minutes, on a weak one in about twice that (common practice, no source)', () => {
    expect(boilSeconds(2, 1500) / MIN).toBeGreaterThan(7)
    expect(boilSeconds(2, 1500) / MIN).toBeLessThan(10)
    expect(boilSeconds(2, 750)).toBeCloseTo(2 * boilSeconds(2, 1500), 6)
  })
  it('a quarter of a litre reduced by half takes 3 to 6 minutes turned right up; by four fifths longer by 1.6 (common practice, no source)', () => {
    expect(reduceSeconds(0.25, 0.5, 1500) / MIN).toBeGreaterThan(3)
    expect(reduceSeconds(0.25, 0.5, 1500) / MIN).toBeLessThan(6)
    expect(reduceSeconds(0.25, 0.2, 1500) / reduceSeconds(0.25, 0.5, 1500)).toBeCloseTo(1.6, 6)
  })
})

describe('the book of sides and sauces', () => {
  it.each(RECIPES.map(r => [r.name, r] as const))(
    '%s: for 2 or for 12, every step takes time, hands no longer than it, and it can be served',
    (_, recipe) => {
      for (const diners of [2, 12]) {
        const dish = dishOf('d', recipe, { diners, ringW: 1500 })
        for (const step of dish.steps) {
          expect(step.seconds).toBeGreaterThan(0)
          expect(step.hands[0]).toBeLessThanOrEqual(step.seconds)
          expect(step.holds[0]).toBeLessThanOrEqual(step.holds[1])
        }
        expect(dish.steps.at(-1)!.holds[1]).toBeGreaterThan(2 * MIN)
        expect(
          schedule([dish], kitchenOf({ serveAt: '', diners, cooks: 1, lines: [] }, galley)).conflicts.filter(
            p => p.kind !== 'before its pan'
          )
        ).toEqual([])
      }
    }
  )
  it('amounts go with the guests, rounded as a cook weighs; yolks come whole', () => {
    const amounts = amountsFor(shippedRecipe('egg-butter')!, 5)
    expect(amounts[0]).toEqual({ what: 'egg yolks', amount: 3, unit: '' })
    expect(amounts[1].amount).toBe(230)
    expect(amountsFor(shippedRecipe('mash')!, 4)[0].amount).toBe(1000)
  })
  it('more guests take longer at the board, on the boil and to reduce; a stronger ring is sooner', () => {
    const length = (id: string, diners: number, ringW: number): number =>
      dishOf('d', shippedRecipe(id)!, { diners, ringW }).steps.reduce((sum, s) => sum + s.seconds, 0)
    for (const id of ['mash', 'broccoli', 'pan-sauce', 'pepper-cream']) {
      expect(length(id, 10, 1500)).toBeGreaterThan(length(id, 3, 1500))
      expect(length(id, 6, 2250)).toBeLessThan(length(id, 6, 1000))
    }
  })
})

describe('what a tray, a pan or the bars take', () => {
  const stepsOf = (id: string, diners: number) => dishOf('d', shippedRecipe(id)!, { diners, ringW: 1500 }).steps
  it('is one tray up to its load, both shelves beyond it, and again for what is left', () => {
    const trays = (diners: number) => stepsOf('oven-chips', diners).flatMap(s => (s.tool === 'oven' ? [s.trays ?? 1] : []))
    expect(trays(4)).toEqual([1])
    expect(trays(5)).toEqual([2])
    expect(trays(8)).toEqual([2])
    expect(trays(20)).toEqual([2, 2, 1])
    expect(stepsOf('oven-chips', 20).map(s => s.what)[3]).toBe('Chips into the oven on one layer, 3 of 3')
  })
  it('goes through its steps load by load where nothing of it can wait between them', () => {
    const tins = stepsOf('batter-puddings', 40).filter(s => s.tool === 'oven')
    expect(tins.map(s => s.what.slice(0, 6))).toEqual(['Tin wi', 'Batter', 'Tin wi', 'Batter'])
    // A tin follows the last at once.
    expect(tins.map(s => s.holds[1] > 0)).toEqual([false, false, false, true])
  })
  it('fills the oven: with both its shelves taken nothing else goes in, with one another tray does', () => {
    const side = (id: string, recipe: string, diners: number) => dishOf(id, shippedRecipe(recipe)!, { diners, ringW: 1500 })
    const kitchen = kitchenOf({ serveAt: '', diners: 4, cooks: 2, lines: [] }, galley)
    const inOven = (diners: number): [number, number][] =>
      schedule([side('a', 'oven-chips', diners), side('b', 'roots-roast', 4)], kitchen)
        .placed.filter(p => p.on !== null && p.dish.steps[p.index].tool === 'oven')
        .map(p => [p.from, p.to])
    const overlap = ([[a, b], [c, d]]: [number, number][]): boolean => a < d && c < b
    expect(overlap(inOven(4))).toBe(true)
    expect(overlap(inOven(6))).toBe(false)
  })
})

describe('the book of one kitchen', () => {
  const own: Recipe = { ...shippedRecipe('mash')!, id: 'own', name: 'Ash-baked beetroot' }
  const changed: Recipe = { ...shippedRecipe('rice')!, name: 'Rice with bay' }
  it('has its own beside what ships, and what it changed in its place', () => {
    const book = bookOf([own, changed])
    expect(book).toHaveLength(RECIPES.length + 1)
    expect(recipeIn(book, 'rice')!.name).toBe('Rice with bay')
    expect(book.findIndex(r => r.id === 'rice')).toBe(RECIPES.findIndex(r => r.id === 'rice'))
    expect(book.at(-1)).toBe(own)
  })
  it('makes a side for those who eat it, and leaves out what it does not know', () => {
    const lines = [
      { id: 'a', recipe: 'celeriac-steaks', portions: 1 },
      { id: 'b', recipe: 'nowhere' }
    ]
    const dishes = dishesOf({ serveAt: '', diners: 8, cooks: 1, lines }, galley, RECIPES)
    expect(dishes.map(d => d.id)).toEqual(['a'])
    expect(dishes[0].steps[0].seconds).toBeLessThan(
      dishOf('a', shippedRecipe('celeriac-steaks')!, { diners: 8, ringW: 1500 }).steps[0].seconds
    )
    // Fewer came than were asked for.
    expect(portionsOf({ ...lines[0], portions: 6 }, { diners: 4 })).toBe(4)
  })
})

describe('what a step says', () => {
  it('is in the units of whoever reads it', () => {
    expect(said('Fry in oil of {140 °C}', 'metric')).toBe('Fry in oil of 140\u00a0°C')
    expect(said('Fry in oil of {140 °C}', 'us')).toBe('Fry in oil of 285\u00a0°F')
    expect(said('Bring {2.5 l} of water', 'us')).toBe('Bring 2¾\u00a0qt of water')
  })
  it('names no measure of its own outside the braces', () => {
    for (const recipe of RECIPES)
      for (const { what, then = '' } of stepsFor(recipe.steps, { diners: 4, ringW: 1500 }))
        expect(`${what} ${then}`.replace(/\{[^}]*\}/g, '')).not.toMatch(/\d/)
  })
})

describe('a plan as a dish', () => {
  const dishFor = (kind: MethodKind, request = FIRST_REQUEST) => {
    const found = planned(by(request, kind))
    return { plan: found.plan, dish: beefDish('beef', 'Strip', found.request, found.plan, 4) }
  }
  it.each(['pan sear', 'sear then oven', 'oven then sear', 'two-zone grill', 'bath then sear'] as const)(
    '%s: as long as the plan, on the tools that it needs',
    kind => {
      const { plan, dish } = dishFor(kind)
      const stages = dish.steps.filter(s => s.what !== 'Carve')
      expect(stages.reduce((sum, s) => sum + s.seconds, 0)).toBeCloseTo(plan.carve.time, -1)
      expect(dish.pullC).toBe(plan.pull.probe)
      const tools = new Set(dish.steps.map(s => s.tool))
      expect(tools.has('ring')).toBe(kind !== 'two-zone grill')
      expect(tools.has('oven')).toBe(kind.includes('oven'))
      expect(tools.has('grill')).toBe(kind.includes('grill'))
      // A pan is hot before it is needed, first or last; once hot it needs no more.
      expect(dish.steps.filter(s => (s.setUp ?? 0) > 60)).toHaveLength(tools.has('ring') ? 1 : 0)
      // What is seared goes on at once: nothing waits between the fire and the rest.
      dish.steps.filter(s => s.tool === 'ring' || s.tool === 'grill').forEach(s => expect(s.holds[1]).toBe(0))
    }
  )
  it('with chips beside a slow oven the clash is told, with who is in the way; fried they fit', () => {
    const { dish } = dishFor('oven then sear')
    const kitchen = kitchenOf({ serveAt: '', diners: 4, cooks: 1, lines: [] }, galley)
    const side = (id: string) => dishOf('chips', shippedRecipe(id)!, { diners: 4, ringW: 1500 })
    const clash = schedule([dish, side('oven-chips')], kitchen)
    expect(clash.conflicts).toMatchObject([{ kind: 'held too long', dish: { id: 'chips' }, because: [{ id: 'beef' }], forHands: false }])
    expect(schedule([dish, side('fried-chips')], kitchen).conflicts).toEqual([])
  })
  it('the oven is called for what is in it, and the beef out by its core', () => {
    const { dish, plan } = dishFor('sear then oven')
    const calls = callsOf(schedule([dish], kitchenOf({ serveAt: '', diners: 4, cooks: 1, lines: [] }, galley)), 'gas', 'us')
    expect(calls.map(c => c.text).filter(t => t.startsWith('Set the oven'))).toHaveLength(1)
    expect(calls.some(c => c.text.startsWith(`Out at ${shownText(showTemperature(plan.pull.probe, 'us'))}: rest`))).toBe(true)
    expect(calls.at(-1)!.text).toBe('Plate up')
    const rice = callsOf(schedule([dishOf('r', shippedRecipe('rice')!, { diners: 4, ringW: 1500 })], kitchenOf(TICKET, galley)))
    expect(rice.some(c => c.text === 'Off the heat, lid on')).toBe(true)
    expect(rice.some(c => c.text.startsWith('The rice swells'))).toBe(false)
    // A pot is no tool of the hob's, but beef comes out of it all the same.
    const pot = dishFor('pot')
    const potted = callsOf(schedule([pot.dish], kitchenOf({ serveAt: '', diners: 4, cooks: 1, lines: [] }, galley)))
    expect(potted.filter(c => c.text.startsWith('Out at'))).toHaveLength(1)
  })
})

describe('a ticket', () => {
  it('is laid out in the kitchen that there is: two settings of one oven are one oven, and what is not there is missed', () => {
    expect(kitchenOf(TICKET, galley).tools.oven).toHaveLength(1)
    expect(kitchenOf(TICKET, home).tools.ring).toHaveLength(2)
    const { conflicts } = schedule(dishesOf(TICKET, onePan, RECIPES), kitchenOf(TICKET, onePan))
    expect(conflicts).toMatchObject([{ kind: 'no tool', tool: 'oven', dish: { name: 'Dumplings' } }])
  })
})
