/** One solver for three bodies: where two of them are the same body, they give the same answer. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from './constants'
import { allOver, between, CLOSED, type AirFace, type Face, type Faces } from './faces'
import { COARSE_ROUND_RESOLUTION, cylinderGrid, mirroredGrid, roundGrid, slabGrid, type Coat, type Grid, roundSection } from './grid'
import { KEEP_ENDS, run, type Run } from './program'
import { DEFAULT_STEPS, type StepLengths } from './stepControl'
import { coatMaterial, drySolid, meatMaterial, type Material } from './properties'

const MEAT = meatMaterial({ water: 0.72, protein: 0.215, fat: 0.055, ash: 0.01 }, CONSTANTS)
const OVEN: AirFace = { kind: 'air', air: 180, walls: 180, convection: 10, emissivity: 0.9, vapour: 0.08 }
const HOT: Face = { kind: 'fixed', at: 160, conductance: 300 }
const RES = COARSE_ROUND_RESOLUTION
/** By the clock alone, the same for either body. */
const EVEN_STEPS: StepLengths = { first: 0.6, longest: 4, kelvin: Infinity, rim: DEFAULT_STEPS.rim }

function cooked(grid: Grid, faces: Faces, seconds: number, materials: readonly Material[] = [MEAT], steps = DEFAULT_STEPS): Run {
  const start = { temperature: 5, film: 0.06, boiling: 100 }
  return run({ grid, materials, start, constants: CONSTANTS }, [{ name: 'heat', end: { after: seconds }, faces }], KEEP_ENDS, steps)
}

describe('the same body by another grid', () => {
  it('rings with a closed side are a slab, crust, water and all', () => {
    const faces: Faces = { first: HOT, second: OVEN, side: CLOSED }
    const slab = cooked(slabGrid(0.03, RES), between(HOT, OVEN), 600)
    const round = cooked(roundGrid(roundSection(0.05), 0.03, RES), faces, 600)
    expect(Math.abs(round.peak.core - slab.peak.core)).toBeLessThan(0.15)
    expect(Math.abs(round.loss - slab.loss)).toBeLessThan(0.001)
  })

  it('layers with closed ends are a long cylinder', () => {
    const faces: Faces = { first: CLOSED, second: CLOSED, side: OVEN }
    const long = cooked(cylinderGrid(roundSection(0.03), RES), faces, 1800)
    const round = cooked(roundGrid(roundSection(0.03), 0.1, RES), faces, 1800)
    expect(Math.abs(round.body.centre.core - long.body.centre.core)).toBeLessThan(0.15)
    expect(Math.abs(round.loss - long.loss)).toBeLessThan(0.001)
  })

  it('half of a roast is as good as all of it', () => {
    const [whole, half] = [roundGrid, mirroredGrid].map(of =>
      cooked(of(roundSection(0.03), 0.16, RES), allOver(OVEN), 1800, [MEAT], EVEN_STEPS)
    )
    expect(Math.abs(half.body.centre.core - whole.body.centre.core)).toBeLessThan(0.05)
    expect(half.body.grid.cells).toBeLessThan(0.6 * whole.body.grid.cells)
    expect(half.body.ledger.heatIn / whole.body.ledger.heatIn).toBeCloseTo(0.5, 3)
  })

  it('a stub is sooner hot than the endless cylinder it is cut from', () => {
    const stub = cooked(roundGrid(roundSection(0.03), 0.06, RES), allOver(OVEN), 1500)
    const long = cooked(cylinderGrid(roundSection(0.03), RES), { first: CLOSED, second: CLOSED, side: OVEN }, 1500)
    expect(stub.body.centre.core).toBeGreaterThan(long.body.centre.core + 5)
  })
})

describe('cells', () => {
  it('add up to the body, whatever its size and coats, and none is thinner than nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 100 }), fc.integer({ min: 3, max: 300 }), fc.boolean(), (radiusMm, heightMm, coated) => {
        const [radius, height] = [radiusMm / 1000, heightMm / 1000]
        const coats: Coat[] = coated ? [{ on: 'side', thickness: 0.2 * radius, material: 1 }] : []
        const { radial, axial, cells, material } = roundGrid(roundSection((coated ? 0.8 : 1) * radius), height, undefined, coats)
        expect(cells).toBe(radial.cells * axial.cells)
        let volume = 0
        let coat = 0
        for (let ring = 0; ring < radial.cells; ring++) {
          expect(radial.edge[ring + 1]).toBeGreaterThan(radial.edge[ring])
          for (let layer = 0; layer < axial.cells; layer++) {
            const v = radial.volume[ring] * axial.volume[layer]
            volume += v
            if (material[ring * axial.cells + layer] === 1) coat += v
          }
        }
        expect(volume / (Math.PI * radius * radius * height)).toBeCloseTo(1, 9)
        if (coated) expect(coat / volume).toBeCloseTo(1 - 0.8 ** 2, 6)
      }),
      { numRuns: 60, seed: 3 }
    )
  })

  it('of two coats on one face the outer lies outside', () => {
    const coats: Coat[] = [
      { on: 'first', thickness: 0.004, material: 1 },
      { on: 'first', thickness: 0.006, material: 2 }
    ]
    const { material, axial } = slabGrid(0.05, undefined, coats)
    axial.centre.forEach((z, i) => expect(material[i]).toBe(z < 0.004 ? 1 : z < 0.01 ? 2 : 0))
  })
})

describe('coats', () => {
  const coated = (outside: Material): Run =>
    cooked(slabGrid(0.038, RES, [{ on: 'first', thickness: 0.008, material: 1 }]), between(HOT, CLOSED), 900, [MEAT, outside])
  const bare = cooked(slabGrid(0.038, RES), between(HOT, CLOSED), 900)

  it('of fat, bone or pastry keep heat from the meat: fat most, of as much', () => {
    const fat = coated(coatMaterial({ water: 0.12, protein: 0.03, fat: 0.845, ash: 0.005 }, 0.15, 1e-7))
    const bone = coated(drySolid(0.4, 1700, 1500))
    expect(bone.body.centre.core).toBeLessThan(bare.body.centre.core + 3)
    expect(fat.body.centre.core).toBeLessThan(bone.body.centre.core - 2)
  })

  it('dry, but do not press their water out', () => {
    const paste = coated(coatMaterial({ water: 0.78, protein: 0.06, fat: 0.04, ash: 0.02, carbohydrate: 0.1 }, 0.15, 8e-6))
    const { grid, water, materials } = paste.body
    const inner = grid.axial.centre.findIndex(z => z > 0.0075) - 1
    expect(water[inner]).toBeGreaterThan(0.97 * materials[1].rawWater)
  })
})
