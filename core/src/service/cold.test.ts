/** Cooked today and sliced cold tomorrow: cooled by the engine, safe or said not to be, and counted back over the night. */
import { describe, expect, it } from 'vitest'
import { coldAfter } from '#core/plan/keeping'
import { planned } from '#core/plan/planned.fixture'
import { READY_KITS } from '#core/kit/kit'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, type PlanRequest } from '#core/request/request'
import { servedCold } from '#core/request/setup'
import type { Settings } from '#core/method/dials'
import { dangersOf } from '#core/safety/dangers'
import { caveats } from '#core/words/caveats'
import { beefDish } from './beef'
import { callsOf } from './calls'
import { schedule } from './schedule'
import { kitchenOf } from './ticket'

const HOUR = 3600
const piece = {
  ...FIRST_REQUEST.piece,
  cutId: 'eye-of-round',
  form: 'roast' as const,
  weightG: 600,
  thicknessMm: 70,
  widthMm: 75,
  lengthMm: 130
}
const inPot = (settings: Settings): PlanRequest => by({ ...FIRST_REQUEST, piece }, 'pot', settings)
const ICED: Settings = { cover: 'ice', rest: { kind: 'clock', seconds: 105 * 60 }, coldS: 15 * HOUR }
const FRIDGE: Settings = { cover: 'fridge', rest: { kind: 'clock', seconds: 15 * HOUR } }
const dangers = ({ plan }: ReturnType<typeof planned>): string[] =>
  dangersOf(plan.target, { intact: 'yes', vulnerable: false }, plan, 'none').map(d => d.id)

describe('a piece that is sliced cold', () => {
  const iced = planned(inPot(ICED))
  const fridge = planned(inPot(FRIDGE))
  const warm = planned(inPot({}))

  it('is at its target first, and as cold as its fridge when it is sliced', () => {
    for (const { plan } of [iced, fridge]) {
      expect(Math.abs(plan.peak.core - plan.target)).toBeLessThan(0.6)
      expect(plan.carve.core).toBeGreaterThan(3)
      expect(plan.carve.core).toBeLessThan(5)
    }
    expect(iced.plan.carve.time - iced.plan.pull.time).toBeCloseTo(16.75 * HOUR, 0)
  })
  it('wrapped loses no more water than one that is carved warm', () => {
    expect(iced.plan.loss).toBeLessThan(warm.plan.loss + 0.005)
  })
  it('in ice is cold within six hours; a thick one in the fridge alone is not, and asks for a yes', () => {
    expect(coldAfter(iced.plan)!).toBeLessThan(2.5 * HOUR)
    const joint = { ...piece, weightG: 1600, thicknessMm: 92, widthMm: 105, lengthMm: 190 }
    const thick = planned(by({ ...FIRST_REQUEST, piece: joint }, 'roast', FRIDGE))
    expect(coldAfter(thick.plan)!).toBeGreaterThan(6 * HOUR)
    expect(dangers(iced)).toEqual([])
    expect(dangers(thick)).toEqual(['slow to chill'])
    expect(caveats(iced.request, iced.plan, 'metric').join(' ')).toMatch(/its middle is at 5\s°C after/)
    const short = planned(inPot({ ...ICED, rest: { kind: 'clock', seconds: 20 * 60 }, coldS: 3 * HOUR }))
    expect(caveats(short.request, short.plan, 'metric').join(' ')).toContain('sliced before its middle is at')
  })
  it('is told from one that only rests, is kept warm or goes back into the pan', () => {
    expect(servedCold(inPot(ICED))).toBe(true)
    expect(servedCold(inPot(FRIDGE))).toBe(true)
    for (const not of [
      {},
      { ...ICED, heldS: 600 },
      { ...ICED, rewarmS: 20 },
      { cover: 'fridge', rest: { kind: 'clock', seconds: HOUR } } as Settings
    ])
      expect(servedCold(inPot(not))).toBe(false)
  })
  it('is cooked the day before and sliced just before it is served; cold it can wait', () => {
    const dish = beefDish('beef', 'Round', iced.request, iced.plan, 6)
    const kitchen = kitchenOf({ serveAt: '', diners: 6, cooks: 1, lines: [] }, READY_KITS[0].kit)
    const service = schedule([dish], kitchen)
    expect(service.conflicts).toEqual([])
    const calls = callsOf(service)
    const slice = calls.find(c => c.text.startsWith('Slice it cold'))!
    expect(slice.at).toBeGreaterThan(-15 * 60)
    expect(calls.find(c => c.text === 'Seared all round')!.at).toBeLessThan(-17 * HOUR)
    expect(dish.steps.map(s => s.what).slice(-3)).toEqual(['In its bag in ice and water', 'Wrapped, in the fridge', slice.text])
    // Out of the ice it goes into the fridge at once, and there it waits a day and more.
    expect(dish.steps.map(s => s.holds[1]).slice(-3, -1)).toEqual([0, 48 * HOUR])
  })
})
