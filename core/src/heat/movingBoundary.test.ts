/**
 * The boiling front against Stefan's problem, whose answer is known in closed form: a wet solid at the boiling
 * point, its face held above it; the front goes in as 2λ√(αt) with λ exp(λ²) erf(λ) = Ste/√π (J. Crank, Free and
 * Moving Boundary Problems, 1984, from memory). The engine's water leaves over some kelvin, the textbook's at one.
 */
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from './constants'
import { between, type Face } from './faces'
import { DEFAULT_RESOLUTION, slabGrid } from './grid'
import { KEEP_ENDS, run } from './program'
import type { Material } from './properties'
import { DEFAULT_STEPS } from './stepControl'
import { BOILING_LATENT_HEAT } from './vapour'

const WATER = 700
const DRY_K = 0.3
const DRY_HEAT = 1.2e6
/** Its water stays where it is until it boils. It conducts wet as it does dry: cells on the way between the two would else conduct as a mixture, which the textbook's front does not know. */
const SOLID: Material = {
  density: 1000,
  solidsHeat: [DRY_HEAT, 0, 0],
  wetConductivity: [DRY_K, 0, 0],
  driedConductivity: DRY_K,
  rawWater: WATER,
  tightens: false,
  supply: [1e-16, 1e-16],
  vapourDiffusivity: 1e-12
}
const THICK = 0.02

/** λ of Stefan's condition by bisection, with erf by its series. */
function stefanRoot(ste: number): number {
  const erf = (x: number): number => {
    let [sum, term] = [x, x]
    for (let n = 1; n < 40; n++) {
      term *= (-x * x) / n
      sum += term / (2 * n + 1)
    }
    return (2 / Math.sqrt(Math.PI)) * sum
  }
  let [low, high] = [0, 2]
  for (let i = 0; i < 60; i++) {
    const x = (low + high) / 2
    if (x * Math.exp(x * x) * erf(x) < ste / Math.sqrt(Math.PI)) low = x
    else high = x
  }
  return low
}

describe('the root itself', () => {
  it('of small Stefan numbers is that of the quasi-steady front, √(Ste/2)', () => {
    expect(stefanRoot(0.01)).toBeCloseTo(Math.sqrt(0.005), 3)
    // Tabulated: Ste = 1 gives 0.6201 (from memory).
    expect(stefanRoot(1)).toBeCloseTo(0.6201, 4)
  })
})

describe('a boiling front', () => {
  const boiled = (faceC: number, seconds: number): number => {
    const hot: Face = { kind: 'fixed', at: faceC, conductance: 1e5 }
    const start = { temperature: 99.9, film: 0, boiling: 100 }
    const stage = { name: 'boil', end: { after: seconds }, faces: between(hot, { kind: 'closed' }) }
    const { body } = run(
      { grid: slabGrid(THICK, DEFAULT_RESOLUTION), materials: [SOLID], start, constants: CONSTANTS },
      [stage],
      KEEP_ENDS,
      DEFAULT_STEPS
    )
    return body.ledger.evaporated / WATER
  }
  const exact = (faceC: number, seconds: number): number => {
    const ste = (DRY_HEAT * (faceC - 100)) / (WATER * BOILING_LATENT_HEAT)
    return 2 * stefanRoot(ste) * Math.sqrt((DRY_K / DRY_HEAT) * seconds)
  }

  it.each([
    [160, 600],
    [200, 300],
    [200, 1200],
    [260, 900]
  ])('face at %d °C for %d s: as much has boiled as the front of the closed form has passed, within 8 % of it', (faceC, seconds) => {
    expect(boiled(faceC, seconds) / exact(faceC, seconds)).toBeGreaterThan(0.92)
    expect(boiled(faceC, seconds) / exact(faceC, seconds)).toBeLessThan(1.08)
  })

  it('goes with the square root of time: four times as long, twice as deep', () => {
    expect(boiled(200, 1200) / boiled(200, 300)).toBeGreaterThan(1.9)
    expect(boiled(200, 1200) / boiled(200, 300)).toBeLessThan(2.1)
  })
})
