/** What faces do that cooks and textbooks know: wet bulbs, boiling water, pans that sag. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { stripSetup } from './setups.fixture'
import { panSear } from './panSear'
import { burnerHolding, hottestPan, panLump, PANS, preheatSeconds, RINGS } from '#core/kit/pan'
import { BoilingCurve } from '#core/heat/boilingCurve'
import { between, type AirFace, type Face } from '#core/heat/faces'
import { LumpState } from '#core/heat/lump'
import { KEEP_ENDS, run, type Run } from '#core/heat/program'
import { Surface, type OuterCell } from '#core/heat/surface'
import { BOILING_LATENT_HEAT, saturatedVapour } from '#core/heat/vapour'

const DRY_AIR = 0.009

function inAir(air: Partial<AirFace> & { air: number }, seconds: number, surface: 'wet' | 'aired' = 'wet', thicknessMm = 50): Run {
  const face: Face = { kind: 'air', walls: air.air, convection: 10, emissivity: 0.9, vapour: DRY_AIR, ...air }
  const subject = { ...panSear.subject(stripSetup({ thicknessMm, surface }), 'fine'), lumps: [] }
  return run(subject, [{ name: 'air', end: { after: seconds }, faces: between(face, face) }], { ...KEEP_ENDS, every: 30 })
}

describe('evaporation rules the surface of wet meat', () => {
  it.each([175, 200, 220])('in an oven at %d °C a wet face stays far below the oven for the first ten minutes, near 50 to 80 °C', air => {
    const { history } = inAir({ air, vapour: 0.03 }, 600)
    const surface = history.first[history.first.length - 1]!
    expect(surface).toBeGreaterThan(45)
    expect(surface).toBeLessThan(82)
  })

  it('a free film in moving air settles at the wet-bulb temperature', () => {
    // Psychrometric chart: 30 °C dry bulb at 50 % relative humidity has a wet bulb of 22 °C.
    const surface = new Surface(20, 10, 100)
    const idle: OuterCell = { temperature: 22, conductance: 1e-9, wet: true, share: 1, sharePerDrawn: 1, mostDrawn: 1, juice: 0 }
    surface.meet({ kind: 'air', air: 30, walls: 30, convection: 60, emissivity: 0, vapour: 0.5 * saturatedVapour(30) }, idle, 1, 0)
    expect(surface.temperature).toBeGreaterThan(21)
    expect(surface.temperature).toBeLessThan(23.2)
  })

  it('cold meat in a warm damp room gathers dew', () => {
    expect(inAir({ air: 28, vapour: 0.8 * saturatedVapour(28) }, 120, 'aired').loss).toBeLessThan(0)
  })

  it('drier air takes more water and leaves a colder core', () => {
    const dry = inAir({ air: 120 }, 2400)
    const damp = inAir({ air: 120, vapour: 0.25 }, 2400)
    const evaporated = (r: Run): number => r.history.evaporated[r.history.evaporated.length - 1]
    expect(evaporated(dry)).toBeGreaterThan(evaporated(damp))
    expect(dry.body.centre.core).toBeLessThan(damp.body.centre.core)
  })
})

describe('the boiling curve', () => {
  const raw = 760
  const capacity = 3.6e6
  const curve = new BoilingCurve(100, raw)
  const invert = (gained: number, from: number, water: number): number => {
    curve.invert(gained, capacity, from, water)
    return curve.temperature
  }

  it('rises without a jump, and pays exactly for the water that leaves', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2.5e9, noNaN: true }),
        fc.double({ min: -2, max: 160, noNaN: true }),
        fc.double({ min: 0, max: 1.1 * raw, noNaN: true }),
        (gained, from, water) => {
          const T = invert(gained, from, water)
          const left = Math.max(0, water - curve.staying(T))
          // At the boiling point itself any part of the water above the raw may have gone.
          const most = T === 100 ? Math.max(left, water - raw) : left
          const paid = gained - capacity * (T - from)
          expect(paid).toBeGreaterThanOrEqual(BOILING_LATENT_HEAT * left - 2e3)
          expect(paid).toBeLessThanOrEqual(BOILING_LATENT_HEAT * most + 2e3)
          expect(invert(gained + 1e6, from, water)).toBeGreaterThanOrEqual(T)
        }
      )
    )
  })

  it('holds near boiling until the free water is gone, whatever the heat', () => {
    const nineTenths = capacity * 95 + 0.85 * raw * BOILING_LATENT_HEAT
    expect(invert(nineTenths, 5, raw)).toBeLessThan(104.5)
    expect(invert(nineTenths + 0.15 * raw * BOILING_LATENT_HEAT + capacity * 70, 5, raw)).toBeGreaterThan(120)
  })
})

describe('a pan is a lump of heat', () => {
  const [castIron] = PANS
  const [large, small] = RINGS

  it('cast iron over medium-high takes three to four minutes to searing heat (common practice, no source)', () => {
    const seconds = preheatSeconds(castIron, large, 215, 22) ?? Infinity
    expect(seconds).toBeGreaterThan(150)
    expect(seconds).toBeLessThan(270)
  })

  it('a thin pan is hot sooner; a small ring needs longer or never gets there', () => {
    const thin = PANS.find(p => p.id === 'thin-26')!
    expect(preheatSeconds(thin, large, 215, 22)!).toBeLessThan(preheatSeconds(castIron, large, 215, 22)!)
    expect(preheatSeconds(castIron, small, 215, 22)!).toBeGreaterThan(preheatSeconds(castIron, large, 215, 22)!)
    expect(preheatSeconds(castIron, small, hottestPan(castIron, small, 22) + 5, 22)).toBeNull()
  })

  it('empty, it holds the heat the cook wants; robbed of heat it sags, fastest where it is thin', () => {
    const coldest = (pan: (typeof PANS)[number], meatArea: number): number => {
      const plate = new LumpState(panLump(pan, 22, 215))
      const burner = burnerHolding(pan, large, 215, 22)
      let low = 215
      for (let t = 0; t < 20; t++) {
        plate.begin(1, burner)
        plate.finish(1, 420 * meatArea * (plate.at(1) - 95), 420 * meatArea)
        low = Math.min(low, plate.temperature)
      }
      return low
    }
    expect(coldest(castIron, 0)).toBeCloseTo(215, 6)
    const thin = PANS.find(p => p.id === 'thin-26')!
    expect(coldest(castIron, 0.02)).toBeLessThan(208)
    expect(coldest(thin, 0.02)).toBeLessThan(coldest(castIron, 0.02) - 5)
  })
})

describe('extremes answer, and with numbers', () => {
  it('any piece, any pan, any surface', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 200 }),
        fc.integer({ min: -1, max: 30 }),
        fc.integer({ min: 120, max: 300 }),
        fc.constantFrom('wet' as const, 'patted' as const, 'aired' as const),
        fc.integer({ min: 5, max: 900 }),
        (thicknessMm, startC, panC, surface, seconds) => {
          const setup = stripSetup({ thicknessMm, startC, surface }, { panC })
          const subject = panSear.subject(setup, 'fine')
          const hot: Face = { kind: 'metal', lump: 0, contact: setup.constants.panContact }
          const cold: Face = { kind: 'air', air: 22, walls: 22, convection: 6, emissivity: 0.9, vapour: DRY_AIR }
          const burner = burnerHolding(setup.settings.pan, setup.settings.ring, panC, 22)
          const stages = [
            { name: 'one', end: { after: seconds }, faces: between(hot, cold), burners: [burner] },
            { name: 'two', end: { after: seconds }, faces: between(cold, hot), burners: [burner] },
            { name: 'rest', end: { after: 300 }, faces: between(cold, cold) }
          ]
          const { history, body } = run(subject, stages, { ...KEEP_ENDS, every: 10 })
          const all = [...history.core, ...(history.first as number[]), ...(history.second as number[]), ...body.temperature, ...body.water]
          expect(all.every(Number.isFinite)).toBe(true)
          expect(Math.max(...body.hottest)).toBeLessThan(panC)
          expect(Math.min(...body.temperature)).toBeGreaterThan(-2)
        }
      ),
      { numRuns: 40, seed: 11 }
    )
  })

  it('a night in a bath: everywhere the temperature of the water, and no hotter', () => {
    const bath: Face = { kind: 'fixed', at: 57, conductance: 150 }
    const subject = { ...panSear.subject(stripSetup({ thicknessMm: 80 }), 'fine'), lumps: [] }
    const { body } = run(subject, [{ name: 'bath', end: { after: 86_400 }, faces: between(bath, bath) }], KEEP_ENDS)
    for (const T of body.temperature) expect(T).toBeCloseTo(57, 2)
  })
})
