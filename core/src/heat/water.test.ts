/** Water and vapour against what is known exactly: wet bulbs, diffusion to a drying face, Fick through a crust. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CrustVapour } from './crustVapour'
import { CLOSED, type AirFace } from './faces'
import { slabGrid } from './grid'
import { Moisture } from './moisture'
import type { Material } from './properties'
import { Substances } from './substances'
import { Surface, type OuterCell } from './surface'
import { latentHeat, LEWIS, saturatedPressure, saturatedVapour, vapourDensity, vapourPressure, waterActivity } from './vapour'

const CELL: OuterCell = { temperature: 20, conductance: 1e-6, wet: true, share: 1, sharePerDrawn: 0, mostDrawn: 1, juice: 0 }
const humid = (celsius: number, share: number): number => share * saturatedVapour(celsius)

describe('a wet face in air, cut off from the meat beneath, comes to the wet bulb', () => {
  // Psychrometric charts at sea level (from memory); the two hot ones by Sprung’s equation, p = p_sat(wet bulb) − 67 Pa/K · depression.
  it.each([
    [20, 0.5, 13.8],
    [30, 0.5, 22.0],
    [25, 0.7, 20.9],
    [15, 0.4, 8.4],
    [60, 0.1, 29.3],
    [80, 0.1, 40.1]
  ])('%d °C at a relative humidity of %d: %d °C', (air, humidity, wetBulb) => {
    const face: AirFace = { kind: 'air', air, walls: air, convection: 25, emissivity: 0, vapour: humid(air, humidity) }
    const surface = new Surface(air, 1, 100)
    surface.meet(face, CELL, 10, 0)
    expect(Math.abs(surface.temperature - wetBulb)).toBeLessThan(0.8)
  })

  it('in saturated air nothing leaves it, and on a colder face dew falls', () => {
    const face: AirFace = { kind: 'air', air: 60, walls: 60, convection: 10, emissivity: 0, vapour: humid(60, 1) }
    const even = new Surface(60, 1, 100)
    even.meet(face, { ...CELL, temperature: 60 }, 10, 0)
    expect(Math.abs(even.fromFilm)).toBeLessThan(1e-6)
    const cold = new Surface(20, 1, 100)
    cold.meet(face, { ...CELL, temperature: 20, conductance: 1000 }, 10, 0)
    expect(cold.fromFilm).toBeLessThan(0)
    expect(cold.into).toBeGreaterThan(10 * (60 - 20))
  })

  it('what comes from the air and what evaporates add up to what goes in', () => {
    const face: AirFace = { kind: 'air', air: 180, walls: 200, convection: 12, emissivity: 0.9, vapour: 0.05 }
    const surface = new Surface(60, 1, 100)
    const cell = { ...CELL, temperature: 55, conductance: 2000 }
    surface.meet(face, cell, 10, 0)
    expect(surface.into).toBeCloseTo(surface.heat - surface.latent, 6)
    expect(surface.into).toBeCloseTo(cell.conductance * (surface.temperature - cell.temperature), -1)
    expect(surface.latent).toBeCloseTo(surface.fromFilm * latentHeat(surface.temperature), -1)
  })
})

describe('the balance at a face', () => {
  it('that ran dry in a step cuts those as long, not shorter ones, and is tried whole again', () => {
    const surface = new Surface(90, 0, 100)
    expect(surface.tooLong(60)).toBe(false)
    surface.ranDry(8)
    expect(surface.tooLong(4)).toBe(false)
    expect(surface.tooLong(8)).toBe(true)
    let cut = 1
    while (surface.tooLong(9)) cut += 1
    expect(cut).toBeGreaterThan(2)
    expect(surface.tooLong(60)).toBe(false)
  })

  const number = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true })
  const cell = fc.record({
    temperature: number(2, 160),
    conductance: number(200, 8000),
    wet: fc.constant(true),
    share: number(0, 1),
    sharePerDrawn: number(1, 500),
    mostDrawn: number(0, 0.01),
    juice: number(0, 1e-4)
  })
  const air: fc.Arbitrary<AirFace> = number(20, 320).chain(celsius =>
    fc.record({
      kind: fc.constant('air'),
      air: fc.constant(celsius),
      walls: number(20, 600),
      convection: number(3, 60),
      emissivity: number(0, 0.95),
      vapour: number(0, 0.02)
    })
  )

  it('hangs on what meets there, not on what met there before', () => {
    fc.assert(
      fc.property(air, air, cell, cell, number(0, 0.2), (then, now, cellThen, cellNow, film) => {
        const used = new Surface(20, film, 100)
        used.meet(then, cellThen, 5, 0)
        used.meet(now, cellNow, 5, 0)
        const fresh = new Surface(cellNow.temperature, film, 100)
        fresh.meet(now, cellNow, 5, 0)
        expect(used.settled).toBe(true)
        expect(Math.abs(used.temperature - fresh.temperature)).toBeLessThan(0.2)
        // Both take it as found when it is nearer than a thousandth of what is drawn, or a fiftieth of a kelvin.
        const near = 0.002 * Math.abs(fresh.latent) + 0.05 * (cellNow.conductance + 200)
        expect(Math.abs(used.into - fresh.into)).toBeLessThan(near)
      }),
      { numRuns: 2000, seed: 11 }
    )
  })
})

const D = 8e-9
const RAW = 750
/** Holds its water at any temperature, and passes it on at one speed. */
const PLAIN: Material = {
  density: 1060,
  solidsHeat: [1e6, 0, 0],
  wetConductivity: [0.5, 0, 0],
  driedConductivity: 0.2,
  rawWater: RAW,
  tightens: false,
  supply: [D, D],
  vapourDiffusivity: 4e-7
}

describe('water drawn from a face', () => {
  const { axial } = slabGrid(0.03)
  const material = new Uint8Array(axial.cells)
  const temperature = new Float64Array(axial.cells).fill(40)

  it.each([2, 15])('steadily, in steps of %d s: the face dries with the root of time, as in the exact solution', dt => {
    const water = new Float64Array(axial.cells).fill(RAW)
    const moisture = new Moisture(axial, [PLAIN])
    const drawn = 4e-4
    for (let t = 0; t < 600; t += dt) {
      moisture.prepare(dt, temperature, water, material, [true, true])
      moisture.step(dt, water, drawn, 0)
    }
    // Half-space with a constant flux (Carslaw & Jaeger): W₀ − (2q/D)·[√(Dt/π)·e^(−x²/4Dt) − x/2·erfc(x/2√(Dt))], at the first centre.
    const x = axial.centre[0]
    const root = Math.sqrt(D * 600)
    const exact = RAW - ((2 * drawn) / D) * (root / Math.sqrt(Math.PI) - x / 2)
    expect(Math.abs(water[0] - exact) / (RAW - exact)).toBeLessThan(0.02)
    // What left is what is missing.
    const missing = axial.volume.reduce((sum, v, i) => sum + v * (RAW - water[i]), 0)
    expect(missing).toBeCloseTo(600 * drawn, 6)
    expect(water[axial.cells - 1]).toBeCloseTo(RAW, 3)
  })

  it('what a face is told it can draw on is what the step then leaves, whatever the cells', () => {
    for (const resolution of [0.06e-3, 0.25e-3]) {
      const grid = slabGrid(0.03, { skin: resolution, crustCell: resolution, crust: 2e-3, growth: 1.2, coarsest: 0.06 }).axial
      const water = Float64Array.from({ length: grid.cells }, (_, i) => RAW * (0.3 + 0.7 * Math.min(1, grid.centre[i] / 0.002)))
      const moisture = new Moisture(grid, [PLAIN])
      const warm = new Float64Array(grid.cells).fill(40)
      moisture.prepare(60, warm, water, new Uint8Array(grid.cells), [true, true])
      const [left] = moisture.left
      const [perDrawn] = moisture.leftPerDrawn
      moisture.step(60, water, 2e-4, 0)
      expect(Math.abs(left - 2e-4 * perDrawn - water[0])).toBeLessThan(0.5)
    }
  })
})

describe('vapour through a dry crust', () => {
  const { axial } = slabGrid(0.03)
  const n = axial.cells
  const material = new Uint8Array(n)
  const CRUST = 8
  const share = Float64Array.from({ length: n }, (_, i) => (i < CRUST ? 0.02 : 0.9))
  const temperature = new Float64Array(n).fill(80)
  const water = share.map(s => s * RAW)
  const air: AirFace = { kind: 'air', air: 180, walls: 180, convection: 10, emissivity: 0.9, vapour: 0.05 }
  const crust = (): CrustVapour => new CrustVapour(0, axial, new Substances([PLAIN]), 100)

  it('goes by Fick: the difference in vapour pressure over the crust and the air before it', () => {
    const found = crust()
    found.look(0.01, air, material, share, temperature, water)
    const resistance = axial.edge[CRUST] / PLAIN.vapourDiffusivity / vapourDensity(1, 80) + 1 / (LEWIS * air.convection)
    const expected = (saturatedPressure(80) * waterActivity(0.9) - vapourPressure(air.vapour, 180)) / resistance
    expect(found.cell).toBe(CRUST)
    expect(found.at(80) / expected).toBeCloseTo(1, 2)
    expect(found.at(85)).toBeGreaterThan(found.at(80))
  })

  it('asked for more than the first wet cell has, takes the rest from those further in', () => {
    const nearlyDry = water.map((w, i) => (i === CRUST ? 0.01 : w))
    const found = crust()
    found.look(30, air, material, share, temperature, nearlyDry)
    const alone = crust()
    alone.look(30, air, material, share, temperature, water)
    expect(found.count).toBeGreaterThan(1)
    expect(found.at(80)).toBeCloseTo(alone.at(80), 9)
    expect(found.share(0) * found.at(80) * 30).toBeLessThanOrEqual(0.01 * axial.volume[CRUST])
    expect(Array.from({ length: found.count }, (_, k) => found.share(k)).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
  })

  it('gives nothing where the first wet cell is expected to be wet, is dry yet, and what lies beneath boils', () => {
    const found = crust()
    const empty = water.map((w, i) => (i === CRUST ? 0 : w))
    const boiling = temperature.map((T, i) => (i > CRUST ? 103 : T))
    found.look(30, air, material, share, boiling, empty)
    expect(found.cell).toBe(-1)
  })

  it('does not pass an outermost cell that gives as much itself: the air takes no more than a wet face’s worth', () => {
    const found = crust()
    const cool = temperature.map((T, i) => (i < CRUST ? 70 : T))
    found.look(0.01, air, material, share, cool, water)
    const past = found.at(80)
    const damp = share.map((s, i) => (i === 0 ? 0.045 : s))
    found.look(0.01, air, material, damp, cool, water)
    const from = saturatedPressure(80) * waterActivity(0.9)
    const expected = (from - saturatedPressure(70) * waterActivity(0.045)) / (from - vapourPressure(air.vapour, 180))
    expect(found.at(80) / past).toBeCloseTo(expected, 2)
    found.look(
      0.01,
      air,
      material,
      damp,
      temperature.map((_, i) => (i < CRUST ? 88 : 70)),
      water
    )
    expect(found.cell).toBe(-1)
  })

  it('goes on without a jump as the front passes from one cell to the next', () => {
    const warm = temperature.map((_, i) => 85 - 2 * i)
    const rate = (left: number, cell: number): number => {
      const found = crust()
      const drying = share.map((s, i) => (i < cell ? 0.02 : i === cell ? left : s))
      found.look(
        0.01,
        air,
        material,
        drying,
        warm,
        drying.map(s => s * RAW)
      )
      return found.at(warm[found.cell])
    }
    expect(rate(0.0501, CRUST) / rate(0.9, CRUST + 1)).toBeCloseTo(1, 2)
    expect(rate(0.4, CRUST)).toBeGreaterThan(rate(0.1, CRUST))
  })

  it('does not go against damper air, out of a closed face, or where there is no crust', () => {
    const found = crust()
    found.look(1, { ...air, vapour: 0.4 }, material, share, temperature, water)
    expect(found.cell).toBe(-1)
    found.look(1, CLOSED, material, share, temperature, water)
    expect(found.cell).toBe(-1)
    found.look(1, air, material, new Float64Array(n).fill(0.9), temperature, water)
    expect(found.cell).toBe(-1)
  })
})

describe('drying at a constant rate', () => {
  // Constant flux out of one face of a slab closed at the other: Carslaw and Jaeger, Conduction of Heat in Solids (1959), 3.8, for water.
  const THICK = 0.02
  const exact = (drawn: number, seconds: number, fromClosed: number): number => {
    const fo = (D * seconds) / THICK ** 2
    const x = fromClosed / THICK
    let series = 0
    for (let n = 1; n < 200; n++) series += ((-1) ** n / n ** 2) * Math.exp(-((n * Math.PI) ** 2) * fo) * Math.cos(n * Math.PI * x)
    return RAW - ((drawn * THICK) / D) * (fo + (3 * x * x - 1) / 6 - (2 / Math.PI ** 2) * series)
  }

  it.each([
    [3e-5, 600],
    [3e-5, 3600],
    [1e-5, 10_000]
  ])('%d kg/(m²·s) for %d s: every cell holds what the series says, within half a per cent of the raw', (drawn, seconds) => {
    const { axial } = slabGrid(THICK)
    const moisture = new Moisture(axial, [PLAIN])
    const water = new Float64Array(axial.cells).fill(RAW)
    const temperature = new Float64Array(axial.cells).fill(30)
    const material = new Uint8Array(axial.cells)
    const dt = seconds / 400
    for (let i = 0; i < 400; i++) {
      moisture.prepare(dt, temperature, water, material, [true, false])
      moisture.step(dt, water, drawn, 0)
    }
    water.forEach((w, i) => expect(Math.abs(w - exact(drawn, seconds, THICK - axial.centre[i]))).toBeLessThan(0.005 * RAW))
    const left = water.reduce((sum, w, i) => sum + w * axial.volume[i], 0)
    expect(RAW * THICK - left).toBeCloseTo(drawn * seconds, 6)
  })
})
