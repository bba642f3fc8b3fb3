/** A slab with a rim against the grid of rings and layers that it stands for, and against the product of two series' solutions. */
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from './constants'
import { allOver, between, type Face, type Faces } from './faces'
import { roundGrid, roundSection, slabGrid, type Grid } from './grid'
import { KEEP_ENDS, run, type Run } from './program'
import { meatMaterial } from './properties'

const MEAT = meatMaterial({ water: 0.72, protein: 0.21, fat: 0.06, ash: 0.01 }, CONSTANTS)
const BATH: Face = { kind: 'fixed', at: 60, conductance: 150 }
const OVEN: Face = { kind: 'air', air: 150, walls: 150, convection: 9, emissivity: 0.9, vapour: 0.06 }
const HOT: Face = { kind: 'fixed', at: 190, conductance: 400 }
const ROOM: Face = { kind: 'air', air: 40, walls: 30, convection: 8, emissivity: 0.9, vapour: 0.01 }

const cooked = (grid: Grid, faces: Faces, seconds: number): Run => {
  const start = { temperature: 5, film: 0.03, boiling: 100 }
  return run({ grid, materials: [MEAT], start, constants: CONSTANTS }, [{ name: 'heated', end: { after: seconds }, faces }], KEEP_ENDS)
}

describe.each([
  ['in a bath', allOver(BATH), 1.1],
  ['in an oven', allOver(OVEN), 1],
  ['on hot metal, its rim in warm air', { ...between(HOT, ROOM), side: ROOM }, 0.35]
] as const)('%s', (_, faces, slow) => {
  it.each([2.1, 3, 4.5])('%d times as wide as thick: its middle is warmed, and it loses and takes up, as the grid does', times => {
    const thickness = 0.036
    const radius = (times * thickness) / 2
    const seconds = slow * 2400
    const line = cooked(slabGrid(thickness, undefined, [], radius), faces, seconds)
    const rings = cooked(roundGrid(roundSection(radius), thickness), faces, seconds)
    const face = Math.PI * radius * radius
    // A tenth of what the rim itself does is left, or a kelvin.
    const without = cooked(slabGrid(thickness), faces, seconds)
    const rimDoes = Math.abs(rings.body.centre.core - without.body.centre.core)
    expect(Math.abs(line.body.centre.core - rings.body.centre.core)).toBeLessThan(Math.max(1, 0.1 * rimDoes))
    expect((line.body.ledger.heatIn * face) / rings.body.ledger.heatIn).toBeGreaterThan(0.9)
    expect((line.body.ledger.heatIn * face) / rings.body.ledger.heatIn).toBeLessThan(1.1)
    expect(Math.abs(line.loss - rings.loss)).toBeLessThan(0.025)
    expect(Math.abs(line.body.mean - rings.body.mean)).toBeLessThan(2.5)
  })
})

describe('a rim', () => {
  it('very far away does nothing', () => {
    const far = cooked(slabGrid(0.03, undefined, [], 0.5), allOver(OVEN), 1500)
    const none = cooked(slabGrid(0.03), allOver(OVEN), 1500)
    expect(far.body.centre.core).toBeCloseTo(none.body.centre.core, 2)
  })

  it('closes the balances of heat and water', () => {
    const grid = slabGrid(0.036, undefined, [], 0.06)
    for (const faces of [allOver(BATH), allOver(OVEN), { ...between(HOT, ROOM), side: ROOM }]) {
      const before = cooked(grid, faces, 0).body
      const { body } = cooked(grid, faces, 1800)
      const { heatIn, latentOut, carriedOut, evaporated, dripped } = body.ledger
      expect(Math.abs(body.enthalpy - before.enthalpy - (heatIn - latentOut - carriedOut)) / heatIn).toBeLessThan(1e-3)
      expect(Math.abs(before.waterHeld - body.waterHeld - evaporated - dripped) / before.waterHeld).toBeLessThan(1e-3)
    }
  })
})
