/** Two unlike pieces in one pan: one dish on the ticket, for which one cook's hands are enough. */
import { describe, expect, it } from 'vitest'
import { READY_KITS } from '#core/kit/kit'
import { asked, planned } from '#core/plan/planned.fixture'
import type { PlanRequest } from '#core/request/request'
import { coverage } from '#core/request/setup'
import { beefDish } from './beef'
import { callsOf } from './calls'
import { asOneDish, besideOf, byPan, goesIn, mayShare, withBeside, type PieceDish } from './onePan'
import { RECIPES } from './recipes'
import { schedule } from './schedule'
import { dishesOf, kitchenOf, type Ticket } from './ticket'

const [{ kit: KIT }] = READY_KITS
const piece = (id: string, request: PlanRequest): PieceDish => ({ id, request, dish: beefDish(id, id, request, planned(request).plan, 3) })
const thick = piece('thick', asked('pan sear', { panC: 205 }, { thicknessMm: 32, weightG: 300 }))
const thin = piece(
  'thin',
  asked('pan sear', { panC: 205 }, { cutId: 'hanger', count: 2, thicknessMm: 20, weightG: 150, lengthMm: 150, widthMm: 55 })
)
const fireOf = ({ dish }: PieceDish): number => dish.steps.slice(0, -1).reduce((sum, s) => sum + s.seconds, 0)
const ticket: Ticket = { serveAt: '2026-11-26T19:30', diners: 3, cooks: 1, lines: [thin, thick, { id: 'b', recipe: 'broccoli' }] }

describe('pieces in one pan', () => {
  it('share it where it is the same, as hot, and takes them all', () => {
    expect(byPan([thick, thin]).map(pan => pan.map(p => p.id))).toEqual([['thick', 'thin']])
    const cooler = { ...thin, request: asked('pan sear', { panC: 180 }, thin.request.piece) }
    expect(byPan([thick, cooler])).toHaveLength(2)
    expect(mayShare(thick.request, cooler.request)).toBe(true)
    const many = { ...thin, request: { ...thin.request, piece: { ...thin.request.piece, count: 9 } } }
    expect(coverage(many.request)).toBeGreaterThan(1 - coverage(thick.request))
    expect(byPan([thick, many])).toHaveLength(2)
    expect(mayShare(thick.request, many.request)).toBe(false)
    const roasted = { ...thin, request: asked('sear then oven', {}, thin.request.piece) }
    expect(byPan([thick, roasted])).toHaveLength(2)
  })

  it('take heat from one another: one beside its like is cooked as two of it are', () => {
    const request = asked('pan sear', { panC: 200, turning: 'once' }, { thicknessMm: 24, weightG: 260 })
    const [large, small] = KIT.rings
    const on = (ring: typeof large, count: number): PlanRequest => ({
      ...request,
      kit: { ...request.kit, ring },
      piece: { ...request.piece, count }
    })
    const longer = [large, small].map(ring => {
      const [alone, two] = [1, 2].map(count => planned(on(ring, count)).plan)
      const there = piece('a', on(ring, 1))
      const beside = besideOf('a', [there, { ...there, id: 'b' }])
      expect(beside).toHaveLength(1)
      const together = planned(withBeside(on(ring, 1), beside)).plan
      expect(together.pull.time).toBeCloseTo(two.pull.time, -1)
      expect(together.peak.core).toBeCloseTo(alone.peak.core, 0)
      return together.pull.time / alone.pull.time
    })
    expect(longer[0]).toBeGreaterThan(1.02)
    expect(longer[1]).toBeGreaterThan(longer[0] + 0.01)
  })

  it('count for as long as they are there, and only in the pan', () => {
    const [beside] = besideOf('thick', [thick, thin])
    const sear = (of: PieceDish): number => of.dish.steps[0].seconds
    expect(Math.abs(beside.seconds - sear(thin))).toBeLessThanOrEqual(15)
    expect(beside.areaM2).toBeCloseTo(coverage(thin.request) * Math.PI * (thin.request.kit.pan.diameterMm / 2000) ** 2, 3)
    const time = (request: PlanRequest): number => planned(request).plan.pull.time
    const all = time(withBeside(thick.request, [{ ...beside, seconds: 3600 }]))
    const [alone, shared] = [time(thick.request), time(withBeside(thick.request, [beside]))]
    expect(shared).toBeGreaterThan(alone * 1.005)
    expect(shared).toBeLessThan(all)
    const roasted = asked('sear then oven', {}, thick.request.piece)
    expect(time(withBeside(roasted, [beside]))).toBe(time(roasted))
    expect(besideOf('thick', [thick])).toEqual([])
    expect(withBeside(withBeside(thick.request, [beside]), [])).toEqual(thick.request)
  })

  it('are one dish as long as the longest alone: the other goes in later, and both come to the knife together', () => {
    const one = asOneDish([thin, thick])
    const [sear, rest, carve] = one.steps
    expect(one).toMatchObject({ id: 'thin', name: '2 hanger steaks and strip steak', pieces: ['thin', 'thick'] })
    expect(sear.seconds + rest.seconds).toBeCloseTo(fireOf(thick), 6)
    expect(sear.seconds).toBeGreaterThanOrEqual(thick.dish.steps[0].seconds)
    const later = (fireOf(thick) - fireOf(thin)) / 60
    expect(later).toBeGreaterThan(2)
    const said = Number(/2 hanger steaks (\d+)/.exec(sear.what)?.[1])
    expect(Math.abs(said - later)).toBeLessThan(1)
    expect(carve.what).toBe('Carve')
    expect(sear.setUp).toBe(thick.dish.steps[0].setUp)
  })

  it('come out with one cook, whose hands they keep for less long than at two pans', () => {
    const dishes = dishesOf(ticket, KIT, RECIPES)
    expect(dishes.map(d => d.id)).toEqual(['thin', 'b'])
    const alone = { ...kitchenOf(ticket, KIT), cooks: 1 }
    expect(schedule(dishes, alone).conflicts).toEqual([])
    const hands = (of: readonly { readonly steps: PieceDish['dish']['steps'] }[]): number =>
      of.flatMap(d => d.steps).reduce((sum, s) => sum + (s.tool === 'ring' ? s.hands[0] : 0), 0)
    expect(hands([dishes[0]])).toBeLessThan(hands([thin.dish, thick.dish]) - 120)
    const calls = callsOf(schedule(dishes, alone)).map(c => c.text)
    expect(calls.filter(c => /Heat the pan/.test(c))).toHaveLength(1)
    expect(calls.some(c => /The last one out/.test(c))).toBe(true)
  })

  it('each goes in when the layout says: the thinner later, by as much as it is called later; by itself after its last task', () => {
    const service = schedule(dishesOf(ticket, KIT, RECIPES), kitchenOf(ticket, KIT))
    const sear = service.placed.find(p => p.dish.pieces && p.index === 0)!
    const at = [thick, thin].map(p => goesIn(service.placed, p, [])!)
    expect(at[0]).toBeCloseTo(sear.from, 6)
    expect(at[1] - at[0]).toBeCloseTo(fireOf(thick) - fireOf(thin), 6)

    const tasks = [{ id: 'pat', text: 'Pat every face dry', before: 300, because: '' }]
    const own = { ...thick, dish: beefDish('thick', 'thick', thick.request, planned(thick.request).plan, 3, tasks) }
    const alone = schedule(dishesOf({ ...ticket, lines: [own] }, KIT, RECIPES), kitchenOf(ticket, KIT))
    expect(goesIn(alone.placed, own, tasks)).toBeCloseTo(alone.placed.find(p => p.on !== null)!.from, 6)
    expect(goesIn([], own, tasks)).toBeNull()
  })

  it('are got ready by the knife first, each by its name; what is done to all alike is done at once', () => {
    const tasks = [
      { id: 'knife-sinew', text: 'See to the sinew', before: 1800 },
      { id: 'pat', text: 'Pat every face dry', before: 300 }
    ] as unknown as Parameters<typeof beefDish>[5]
    const ready = (p: PieceDish): PieceDish => ({ ...p, dish: beefDish(p.id, p.id, p.request, planned(p.request).plan, 3, tasks) })
    const whats = asOneDish([ready(thin), ready(thick)]).steps.map(s => s.what)
    expect(whats.slice(0, 3)).toEqual(['Strip steak: see to the sinew', '2 hanger steaks: see to the sinew', 'Pat every face dry'])
    const unlike = asOneDish([ready(thin), thick]).steps.map(s => s.what)
    expect(unlike.slice(0, 2)).toEqual(['2 hanger steaks: see to the sinew', '2 hanger steaks: pat every face dry'])
  })
})
