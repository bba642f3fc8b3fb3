/**
 * The solver against the classical series for a slab, a long cylinder and a finite one that start
 * at one temperature and meet a fluid through a conductance (Carslaw & Jaeger,
 * Conduction of Heat in Solids; the solutions that Heisler's charts plot).
 */
import j0 from '@stdlib/math-base-special-besselj0'
import j1 from '@stdlib/math-base-special-besselj1'
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from './constants'
import { cylinderGrid, roundGrid, slabGrid, type Grid, roundSection } from './grid'
import { allOver, between, CLOSED, type Face, type Faces } from './faces'
import { KEEP_ENDS, run } from './program'
import { drySolid } from './properties'

const HALF = 0.02
const DENSITY_HEAT = 3.7e6
const CONDUCTIVITY = 0.5
const START = 5
const FLUID = 60
const STILL = drySolid(CONDUCTIVITY, 1000, DENSITY_HEAT / 1000)

/** All roots ζ of f below `most`, by sign change and bisection; f must have one root between two neighbours of the scan. */
function roots(f: (z: number) => number, count: number): number[] {
  const found: number[] = []
  const step = 0.01
  for (let z = 1e-6; found.length < count; z += step) {
    let [a, b] = [z, z + step]
    if (f(a) * f(b) > 0) continue
    for (let i = 0; i < 60; i++) {
      const m = (a + b) / 2
      if (f(a) * f(m) <= 0) b = m
      else a = m
    }
    found.push((a + b) / 2)
  }
  return found
}

const found = new Map<string, number[]>()
function once(key: string, of: () => number[]): number[] {
  const known = found.get(key) ?? of()
  found.set(key, known)
  return known
}
const slabRoots = (bi: number): number[] => once(`slab ${bi}`, () => roots(z => z * Math.sin(z) - bi * Math.cos(z), 60))
const cylinderRoots = (bi: number): number[] => once(`cylinder ${bi}`, () => roots(z => z * j1(z) - bi * j0(z), 60))

const slab = (bi: number, fo: number, x: number): number =>
  slabRoots(bi).reduce((sum, z) => sum + ((4 * Math.sin(z)) / (2 * z + Math.sin(2 * z))) * Math.exp(-z * z * fo) * Math.cos(z * x), 0)
const cylinder = (bi: number, fo: number, r: number): number =>
  cylinderRoots(bi).reduce((sum, z) => sum + ((2 / z) * j1(z) * Math.exp(-z * z * fo) * j0(z * r)) / (j0(z) ** 2 + j1(z) ** 2), 0)

const BOTH = (bath: Face): Faces => between(bath, bath)
const OUTER = (bath: Face): Faces => ({ first: CLOSED, second: CLOSED, side: bath })

function temperatures(grid: Grid, bi: number, fo: number, faces: (bath: Face) => Faces): Float64Array {
  const bath: Face = { kind: 'fixed', at: FLUID, conductance: (bi * CONDUCTIVITY) / HALF }
  const seconds = (fo * HALF * HALF * DENSITY_HEAT) / CONDUCTIVITY
  const subject = { grid, materials: [STILL], start: { temperature: START, film: 0, boiling: 100 }, constants: CONSTANTS }
  return run(subject, [{ name: 'bath', end: { after: seconds }, faces: faces(bath) }], KEEP_ENDS).body.temperature
}

const CASES = [0.1, 1, 10, 100].flatMap(bi => [0.02, 0.1, 0.5, 2].map(fo => [bi, fo] as const))
const celsius = (theta: number): number => FLUID + (START - FLUID) * theta

/** Largest departure from the series anywhere in the body, K. */
function worst(computed: Float64Array, places: number[], exact: (place: number) => number): number {
  return Math.max(...places.map((p, i) => Math.abs(computed[i] - celsius(exact(p)))))
}

describe('at the default resolution a body in a bath follows the exact series everywhere, within 0.1 °C', () => {
  it.each(CASES)('slab, Bi %d, Fo %d', (bi, fo) => {
    const grid = slabGrid(2 * HALF)
    const places = Array.from(grid.axial.centre, z => (z - HALF) / HALF)
    expect(worst(temperatures(grid, bi, fo, BOTH), places, x => slab(bi, fo, x))).toBeLessThan(0.1)
  })

  it.each(CASES)('long cylinder, Bi %d, Fo %d', (bi, fo) => {
    const grid = cylinderGrid(roundSection(HALF))
    const places = Array.from(grid.radial.centre, r => r / HALF)
    expect(worst(temperatures(grid, bi, fo, OUTER), places, r => cylinder(bi, fo, r))).toBeLessThan(0.1)
  })

  it.each(CASES)('finite cylinder, as high as wide, by the product of the two: Bi %d, Fo %d', (bi, fo) => {
    const grid = roundGrid(roundSection(HALF), 2 * HALF)
    const across = Array.from(grid.radial.centre, r => cylinder(bi, fo, r / HALF))
    const along = Array.from(grid.axial.centre, z => slab(bi, fo, (z - HALF) / HALF))
    const exact = across.flatMap(c => along.map(s => c * s))
    expect(
      worst(
        temperatures(grid, bi, fo, allOver),
        exact.map((_, i) => i),
        i => exact[i]
      )
    ).toBeLessThan(0.1)
  })
})

describe('the series themselves have the textbook roots', () => {
  it('Bi = 1: slab 0.8603, cylinder 1.2558', () => {
    expect(slabRoots(1)[0]).toBeCloseTo(0.8603, 4)
    expect(cylinderRoots(1)[0]).toBeCloseTo(1.2558, 4)
  })
})
