/** Cross-sections that are not round, what lies along a part of them, and the air round them: against the true section, a plate and a table. */
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from './constants'
import { naturalConvection } from './convection'
import { CLOSED, type Face } from './faces'
import { cylinderGrid, ovalDimension, roundSection } from './grid'
import { ovalTimes, poweredTimes } from './oval.fixture'
import { KEEP_ENDS, run } from './program'
import { meatMaterial } from './properties'

const SHARES = [0.6, 0.3]

describe('a long oval of constant properties', () => {
  it('as good as round, heats as the cylinder does', () => {
    const [oval, round] = [ovalTimes(1.001, 2.5, SHARES), poweredTimes(2, 2.5, SHARES)]
    oval.forEach((t, i) => expect(t / round[i]).toBeCloseTo(1, 2))
  })

  it.each([1.2, 1.6, 2, 3])(
    '%d times as wide as thick: its heat transfer dimensionality gives the time of the true section to 7 %%',
    aspect => {
      for (const biot of [1, 2.5, 6]) {
        const [oval, powered] = [ovalTimes(aspect, biot, SHARES), poweredTimes(ovalDimension(aspect), biot, SHARES)]
        oval.forEach((t, i) => expect(Math.abs(powered[i] / t - 1)).toBeLessThan(0.07))
      }
    }
  )

  it('twice as wide as thick it is done about a sixth sooner than a round one of the same area', () => {
    // The unit of time is half the thickness squared: of the same area, half of the round one's.
    const [round] = ovalTimes(1.001, 2.5, [0.3])
    const [oval] = ovalTimes(2, 2.5 / Math.SQRT2, [0.3])
    expect(oval / 2 / round).toBeGreaterThan(0.75)
    expect(oval / 2 / round).toBeLessThan(0.9)
  })
})

const MEAT = meatMaterial({ water: 0.7, protein: 0.21, fat: 0.08, ash: 0.01 }, CONSTANTS)
const OVEN: Face = { kind: 'air', air: 160, walls: 160, convection: 8, emissivity: 0.9, vapour: 0.08 }

describe('what lies along a part of the side', () => {
  const roasted = (share: number, conductance: number, face: Face = OVEN) =>
    run(
      {
        grid: cylinderGrid(roundSection(0.045)),
        materials: [MEAT],
        start: { temperature: 5, film: 0.05, boiling: 100 },
        constants: CONSTANTS,
        sideCover: share > 0 ? { share, conductance } : null
      },
      [{ name: 'roasted', end: { after: 3600 }, faces: { first: CLOSED, second: CLOSED, side: face } }],
      KEEP_ENDS
    )
  const bare = roasted(0, 0)

  it('changes the middle by a few degrees, and keeps some water in', () => {
    const capped = roasted(1 / 3, 20)
    expect(Math.abs(capped.body.centre.core - bare.body.centre.core)).toBeLessThan(4)
    expect(capped.loss).toBeLessThan(bare.loss)
    expect(capped.loss).toBeGreaterThan(0.6 * bare.loss)
  })

  it('along less and less of it is as if it were not there', () => {
    expect(roasted(1e-4, 20).body.centre.core).toBeCloseTo(bare.body.centre.core, 1)
  })

  it('in water through which all passes it does nothing, and the thicker the more', () => {
    const water: Face = { kind: 'fixed', at: 60, conductance: 150 }
    const cores = [0, 1e6, 60, 15].map(conductance => roasted(conductance > 0 ? 0.5 : 0, conductance, water).body.centre.core)
    expect(cores[1]).toBeCloseTo(cores[0], 1)
    expect(cores[2]).toBeLessThan(cores[1] - 0.2)
    expect(cores[3]).toBeLessThan(cores[2] - 0.2)
  })

  it('closes the balances', () => {
    const before = run(
      {
        grid: cylinderGrid(roundSection(0.045)),
        materials: [MEAT],
        start: { temperature: 5, film: 0.05, boiling: 100 },
        constants: CONSTANTS
      },
      [],
      KEEP_ENDS
    ).body
    const { body } = roasted(0.4, 15)
    const { heatIn, latentOut, carriedOut, evaporated, dripped } = body.ledger
    expect(Math.abs(body.enthalpy - before.enthalpy - (heatIn - latentOut - carriedOut)) / heatIn).toBeLessThan(1e-3)
    expect(Math.abs(before.waterHeld - body.waterHeld - evaporated - dripped) / before.waterHeld).toBeLessThan(1e-3)
  })
})

describe('natural convection', () => {
  it('on a joint in an oven is 6 to 8 W/(m²·K) and falls with its size about as the fourth root', () => {
    const [thin, thick] = [0.06, 0.13].map(across => naturalConvection(across, 180, 70))
    expect(thick).toBeGreaterThan(6)
    expect(thick).toBeLessThan(7.5)
    expect(thin / thick).toBeGreaterThan(1.1)
    expect(thin / thick).toBeLessThan((0.13 / 0.06) ** 0.27)
  })

  it('is that of the book’s worked pipe: 100 mm of lagged steam main at 165 °C in a room of 23 °C, 7.3 W/(m²·K) (from memory)', () => {
    expect(Math.abs(naturalConvection(0.1, 23, 165) - 7.3)).toBeLessThan(0.2)
  })

  it('is none where nothing is warmer', () => {
    expect(naturalConvection(0.1, 20, 20)).toBeLessThan(1)
  })
})
