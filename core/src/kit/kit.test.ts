/** What ovens, grills, fridges and baths do to a piece of meat, as cooks know it. */
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from '#core/heat/constants'
import { allOver, between, type Face } from '#core/heat/faces'
import { slabGrid } from '#core/heat/grid'
import { LumpState } from '#core/heat/lump'
import { KEEP_ENDS, run, type Run } from '#core/heat/program'
import { meatMaterial } from '#core/heat/properties'
import { saturatedVapour } from '#core/heat/vapour'
import { KITCHEN, openAir, underFoil } from './air'
import { heldBath, inFridge, inIce, mixed, POTS, potLump } from './bath'
import { awayFromCoals, besideRim, overCoals, underLid } from './grill'
import { ovenAir, ovenAround, OVENS } from './oven'
import { panLump, PANS } from './pan'

const COMPOSITION = { water: 0.7, protein: 0.21, fat: 0.08, ash: 0.01 }
const MEAT = meatMaterial(COMPOSITION, CONSTANTS)
const [still, fan] = OVENS

/** A slab of 30 mm, both faces alike. */
function held(face: Face, seconds: number, startC: number, film = 0.02, meat = MEAT): Run {
  const start = { temperature: startC, film, boiling: 100 }
  return run(
    { grid: slabGrid(0.03), materials: [meat], start, constants: CONSTANTS },
    [{ name: 'held', end: { after: seconds }, faces: between(face, face) }],
    KEEP_ENDS
  )
}
const coreAfter = (face: Face, minutes: number, startC = 5): number => held(face, 60 * minutes, startC).body.centre.core

/** A steak of 300 g. */
const LOAD = { acrossM: 0.06, areaM2: 0.03, room: KITCHEN }

describe('ovens', () => {
  it('a fan counts for 20 °C on the dial (common practice, no source), a hotter dial cooks faster than a cooler one', () => {
    for (const minutes of [10, 15, 20]) {
      const [asStill, withFan, cooler] = [
        ovenAir(still, 180, LOAD, CONSTANTS),
        ovenAir(fan, 180, LOAD, CONSTANTS),
        ovenAir(fan, 160, LOAD, CONSTANTS)
      ]
      expect(coreAfter(withFan, minutes)).toBeGreaterThan(coreAfter(asStill, minutes) + 1)
      expect(Math.abs(coreAfter(cooler, minutes) - coreAfter(asStill, minutes))).toBeLessThan(2)
    }
    expect(coreAfter(ovenAir(still, 220, LOAD, CONSTANTS), 15)).toBeGreaterThan(coreAfter(ovenAir(still, 140, LOAD, CONSTANTS), 15) + 3)
  })

  it('an oven that runs hot by 20 °C cooks like one set 20 °C higher', () => {
    const hot = ovenAir({ ...still, offsetC: 20 }, 160, LOAD, CONSTANTS)
    expect(coreAfter(hot, 15)).toBeCloseTo(coreAfter(ovenAir(still, 180, LOAD, CONSTANTS), 15), 6)
  })

  it('its air never holds more vapour than it can', () => {
    for (const dial of [40, 60, 100, 200]) expect(ovenAir(still, dial, LOAD, CONSTANTS).vapour).toBeLessThan(saturatedVapour(dial))
  })

  it('a hot pan put into it comes down toward the oven, a cold one up', () => {
    for (const [start, lower, upper] of [
      [230, 185, 215],
      [22, 80, 180]
    ]) {
      const pan = new LumpState(panLump(PANS[0], 22, start))
      for (let t = 0; t < 900; t += 10) {
        pan.begin(10, ovenAround(PANS[0], still, 180))
        pan.finish(10, 0, 0)
      }
      expect(pan.temperature).toBeGreaterThan(Math.min(lower, 175))
      expect(pan.temperature).toBeLessThan(upper)
    }
  })
})

describe('grills', () => {
  it('over the coals is fiercer than under the lid beside them, and that than the face turned away', () => {
    const cores = [overCoals(230, CONSTANTS), underLid(150, CONSTANTS), awayFromCoals(230, KITCHEN, CONSTANTS)].map(f => coreAfter(f, 10))
    expect(cores[0]).toBeGreaterThan(cores[1] + 5)
    expect(cores[1]).toBeGreaterThan(cores[2] + 3)
  })

  it('the rim of a piece over the coals fares between the face to them and the face away', () => {
    const away = awayFromCoals(230, KITCHEN, CONSTANTS)
    const [down, rim, up] = [overCoals(230, CONSTANTS), besideRim(230, away, CONSTANTS), away].map(f => coreAfter(f, 10))
    expect(rim).toBeGreaterThan(up + 3)
    expect(rim).toBeLessThan(down - 1)
  })

  it('a wall over a plain radiates with it by half: between the two fourth powers', () => {
    const { walls } = besideRim(300, awayFromCoals(300, { ...KITCHEN, temperatureC: 20 }, CONSTANTS), CONSTANTS)
    const kelvin = [20, 300].map(T => T + 273.15)
    expect(5.67e-8 * (walls + 273.15) ** 4).toBeCloseTo((5.67e-8 * (kelvin[0] ** 4 + kelvin[1] ** 4)) / 2, 6)
  })
})

describe('cooling', () => {
  const from60 = (face: Face): number => coreAfter(face, 20, 60)

  it('ice water chills fastest; bare on the bench sooner than under foil, for what it evaporates', () => {
    const cores = [inIce(CONSTANTS), openAir(KITCHEN, CONSTANTS), underFoil(KITCHEN, CONSTANTS)].map(from60)
    for (let i = 1; i < cores.length; i++) expect(cores[i]).toBeGreaterThan(cores[i - 1])
    expect(from60(inFridge(CONSTANTS))).toBeGreaterThan(from60(inIce(CONSTANTS)))
  })

  it('a piece wrapped in the fridge comes down to it as its conductance says, and keeps its water', () => {
    const cooked = meatMaterial(COMPOSITION, CONSTANTS, 57)
    const { body, loss } = held(inFridge(CONSTANTS), 8 * 3600, 57, 0, cooked)
    expect(body.centre.core).toBeLessThan(7)
    expect(body.centre.core).toBeGreaterThan(4)
    expect(loss).toBeLessThan(0.001)
    // On the bench it ends warmer, whatever it evaporates.
    expect(held(openAir(KITCHEN, CONSTANTS), 8 * 3600, 57).body.centre.core).toBeGreaterThan(body.centre.core + 3)
  })
})

describe('water', () => {
  it('a bath brings a bag to its own temperature and takes nothing but juice', () => {
    const { body } = held(heldBath(57, CONSTANTS), 3 * 3600, 5, 0)
    expect(body.centre.core).toBeCloseTo(57, 1)
    expect(body.ledger.evaporated).toBe(0)
    expect(body.ledger.dripped).toBeGreaterThan(0)
  })

  it('mixes by mass, whatever the order and the number of parts', () => {
    const parts = [
      { litres: 2, celsius: 100 },
      { litres: 1, celsius: 12 },
      { litres: 1, celsius: 40 }
    ]
    expect(mixed(parts)).toBeCloseTo(63, 9)
    expect(mixed([...parts].reverse())).toBeCloseTo(63, 9)
  })

  it('a lidded five-litre pot off the heat falls some ten degrees in half an hour, an open one twice that and more', () => {
    const falls = (lid: boolean): number => {
      const pot = new LumpState(potLump(POTS[0], 80, lid, KITCHEN))
      for (let t = 0; t < 1800; t += 15) {
        pot.begin(15, null)
        pot.finish(15, 0, 0)
      }
      return 80 - pot.temperature
    }
    expect(falls(true)).toBeGreaterThan(3)
    expect(falls(true)).toBeLessThan(12)
    expect(falls(false)).toBeGreaterThan(2 * falls(true))
  })

  it('the bigger pot falls less', () => {
    const [small, big] = POTS.map(p => potLump(p, 80, true, KITCHEN))
    expect(big.loss / big.heatCapacity).toBeLessThan(small.loss / small.heatCapacity)
  })
})

describe('a rest', () => {
  it('loses little: some degrees of the middle in ten minutes, fewer under foil', () => {
    const lost = (face: Face): number => 54 - held(face, 600, 54).body.mean
    expect(lost(openAir(KITCHEN, CONSTANTS))).toBeGreaterThan(lost(underFoil(KITCHEN, CONSTANTS)))
    expect(lost(openAir(KITCHEN, CONSTANTS))).toBeLessThan(20)
    expect(allOver(openAir(KITCHEN, CONSTANTS)).side.kind).toBe('air')
  })
})
