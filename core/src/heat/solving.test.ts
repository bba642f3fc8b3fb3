/** The parts of a step on their own: the matrix, the boiling curve, and what lies between two cells. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BoilingCurve } from './boilingCurve'
import { interfaceConductances } from './interfaceConductances'
import { slabGrid } from './grid'
import { drySolid, meatMaterial, type Material } from './properties'
import { CONSTANTS } from './constants'
import { Substances } from './substances'
import { solveTridiagonal } from '#core/numerics/tridiagonal'
import { BOILING_LATENT_HEAT } from './vapour'

const value = fc.double({ min: -1, max: 1, noNaN: true })

describe('a tridiagonal system', () => {
  it('of any size: multiplied out again, the solution gives the right-hand side', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(value, value, value), { minLength: 2, maxLength: 70 }), rows => {
        const n = rows.length
        const lower = Float64Array.from(rows, r => r[0])
        const upper = Float64Array.from(rows, r => r[1])
        const right = Float64Array.from(rows, r => 10 * r[2])
        const diagonal = Float64Array.from({ length: n }, (_, i) => 0.1 + Math.abs(lower[i]) + Math.abs(upper[i]))
        const x = Float64Array.from(right)
        solveTridiagonal(lower, Float64Array.from(diagonal), upper, x, n)
        for (let i = 0; i < n; i++) {
          const product = diagonal[i] * x[i] + (i > 0 ? lower[i] * x[i - 1] : 0) + (i < n - 1 ? upper[i] * x[i + 1] : 0)
          expect(Math.abs(product - right[i])).toBeLessThan(1e-8)
        }
      })
    )
  })
})

describe('the boiling curve', () => {
  const RAW = 750
  const CAPACITY = 3.6e6
  const curve = new BoilingCurve(100, RAW)
  const heated = (enthalpyGain: number, from: number, water: number): { T: number; slope: number } => {
    curve.invert(enthalpyGain, CAPACITY, from, water)
    return { T: curve.temperature, slope: curve.slope }
  }

  it('rises with what is enthalpyGain, without a jump, and its slope is its slope', () => {
    const start = { from: fc.double({ min: 5, max: 99, noNaN: true }), share: fc.double({ min: 0, max: 1, noNaN: true }) }
    fc.assert(
      fc.property(fc.record(start), fc.double({ min: 0, max: 3e9, noNaN: true }), ({ from, share }, enthalpyGain) => {
        const step = 1e4
        const [here, next] = [heated(enthalpyGain, from, share * RAW), heated(enthalpyGain + step, from, share * RAW)]
        expect(next.T - here.T).toBeGreaterThanOrEqual(0)
        expect(next.T - here.T).toBeLessThanOrEqual(step / CAPACITY + 1e-9)
        if (here.slope === next.slope) expect(next.T - here.T).toBeCloseTo(step * here.slope, 6)
      })
    )
  })

  it('a wet cell taken past boiling has paid for the water that is gone', () => {
    const enthalpyGain = CAPACITY * (102 - 20) + BOILING_LATENT_HEAT * (RAW - curve.staying(102))
    expect(heated(enthalpyGain, 20, RAW).T).toBeCloseTo(102, 6)
    expect(curve.staying(99)).toBe(Infinity)
    expect(curve.staying(104)).toBeCloseTo(0.1 * RAW, 6)
    expect(curve.staying(170)).toBe(0)
  })

  it('a dry cell just warms', () => {
    expect(heated(CAPACITY * 100, 60, 0).T).toBeCloseTo(160, 6)
  })
})

describe('between two cells', () => {
  const MEAT = meatMaterial({ water: 0.72, protein: 0.215, fat: 0.055, ash: 0.01 }, CONSTANTS)
  const conductances = (
    materials: readonly Material[],
    of: (i: number) => { T: number; share: number; material?: number }
  ): Float64Array => {
    const { axial } = slabGrid(0.02)
    const cells = Array.from({ length: axial.cells }, (_, i) => of(i))
    const found = new Float64Array(axial.cells + 1)
    const material = Uint8Array.from(cells, c => c.material ?? 0)
    const temperature = Float64Array.from(cells, c => c.T)
    const share = Float64Array.from(cells, c => c.share)
    interfaceConductances(axial, new Substances(materials), material, 100, temperature, share, found)
    return found
  }
  const through = (of: Float64Array): number => 1 / of.reduce((sum, c) => sum + 1 / c, 0)

  it('layers of two solids resist as the sum of the layers', () => {
    const [bone, fat] = [drySolid(0.4, 1700, 1500), drySolid(0.15, 900, 2000)]
    const { axial } = slabGrid(0.02)
    const half = axial.cells / 2
    const found = conductances([bone, fat], i => ({ T: 40, share: 1, material: i < half ? 0 : 1 }))
    expect(through(found)).toBeCloseTo(1 / (axial.edge[half] / 0.4 + (0.02 - axial.edge[half]) / 0.15), 6)
  })

  it('meat that dried without boiling conducts as dry meat, at any temperature near boiling', () => {
    const { axial } = slabGrid(0.02)
    const crust = 6
    for (const T of [80, 90, 95, 99.9]) {
      const found = conductances([MEAT], i => ({ T, share: i < crust ? 0.08 : 0.9 }))
      const inside = 1 / found.slice(1, crust).reduce((sum, c) => sum + 1 / c, 0)
      const dry = axial.centre[crust - 1] - axial.centre[0]
      expect((inside * dry) / CONSTANTS.driedConductivity).toBeGreaterThan(0.98)
      expect((inside * dry) / CONSTANTS.driedConductivity).toBeLessThan(1.25)
    }
  })

  it('and nothing jumps as a cell goes through the boiling point', () => {
    const at = (T: number, share: number): number =>
      through(conductances([MEAT], i => ({ T: i === 5 ? T : 90, share: i < 5 ? 0.05 : i === 5 ? share : 0.9 })))
    for (const share of [0.05, 0.3, 0.6, 0.9]) {
      for (let T = 88; T < 130; T += 0.25) expect(Math.abs(at(T + 0.25, share) / at(T, share) - 1)).toBeLessThan(0.05)
    }
  })
})
