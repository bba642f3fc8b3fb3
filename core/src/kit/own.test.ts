/** A cook's own things: pans weighed and heated, rings rated, thermometers checked. */
import { describe, expect, it } from 'vitest'
import { kitInUse, READY_KITS } from './kit'
import { OILS } from './oil'
import {
  floorFromMass,
  massFromFloor,
  panAfter,
  panLump,
  PAN_METALS,
  PAN_SIGNS,
  PANS,
  powerAtPan,
  preheatSeconds,
  ratedPower,
  RING_HEATS,
  RINGS
} from './pan'
import { metalOf, POTS, potFrom } from './bath'
import { shownC, trueC, TRUE_READER } from './thermometer'

describe('pans', () => {
  it('floor and mass are two ways to say the same; a 26 cm floor of 5 mm iron weighs as a skillet does', () => {
    for (const metal of PAN_METALS)
      expect(floorFromMass(metal, 240, massFromFloor({ metal, diameterMm: 240, floorMm: 4 }))).toBeCloseTo(4, 9)
    expect(massFromFloor(PANS[0])).toBeGreaterThan(2)
    expect(massFromFloor(PANS[0])).toBeLessThan(3.5)
  })

  it('heats by its own exponential: where the preheat says it is ready, it is; twice as thick takes longer', () => {
    const [pan] = PANS
    const ready = preheatSeconds(pan, RINGS[0], 215, 22)!
    expect(panAfter(pan, RINGS[0], ready, 22)).toBeCloseTo(215, 6)
    const thick = { ...pan, floorMm: 2 * pan.floorMm }
    expect(preheatSeconds(thick, RINGS[0], 215, 22)!).toBeCloseTo(2 * ready, 0)
    expect(panLump(thick, 22, 22).heatCapacity).toBeCloseTo(2 * panLump(pan, 22, 22).heatCapacity, 6)
  })

  it('three to four minutes over medium-high bring the iron pan to searing heat (common practice, no source)', () => {
    expect(panAfter(PANS[0], RINGS[0], 180, 22)).toBeGreaterThan(180)
    expect(panAfter(PANS[0], RINGS[0], 240, 22)).toBeLessThan(245)
  })

  it('what is rated and what reaches the pan go to and fro', () => {
    for (const heat of RING_HEATS) expect(ratedPower({ id: 'r', name: 'r', heat, powerW: powerAtPan(heat, 2000) })).toBeCloseTo(2000, -1)
    expect(powerAtPan('induction', 2000)).toBeGreaterThan(powerAtPan('gas', 2000))
  })

  it('signs and oils are in order and make sense of each other', () => {
    expect(PAN_SIGNS.map(s => s.celsius)).toEqual([...PAN_SIGNS.map(s => s.celsius)].sort((a, b) => a - b))
    for (const { smokesC } of OILS) expect(smokesC).toBeGreaterThan(140)
  })
})

describe('thermometers', () => {
  const off = { ...TRUE_READER, inIceC: 1, inBoilingC: 99, checkedAtM: 0 }

  it('one that is true changes nothing; one that is off is put right at both ends and between', () => {
    expect(trueC(TRUE_READER, 54)).toBe(54)
    expect(trueC(off, 1)).toBeCloseTo(0, 9)
    expect(trueC(off, 99)).toBeCloseTo(100, 6)
    expect(trueC(off, 50)).toBeCloseTo(50, 6)
    for (const c of [-5, 20, 54, 88]) expect(trueC(off, shownC(off, c))).toBeCloseTo(c, 9)
  })

  it('in boiling water up a mountain it should show less: there 95 is nearly right', () => {
    const high = { ...TRUE_READER, inBoilingC: 95, checkedAtM: 1500 }
    expect(Math.abs(trueC(high, 54) - 54)).toBeLessThan(0.3)
    expect(trueC({ ...high, checkedAtM: 0 }, 54)).toBeGreaterThan(56)
  })
})

describe('a kit in use', () => {
  it('is what is marked, or the first there is, or nothing', () => {
    const [galley, home] = READY_KITS
    expect(kitInUse(galley.kit, { ovens: 'fan-oven' }, 'clad-26', 'small-ring')).toMatchObject({
      pan: { id: 'clad-26' },
      ring: { id: 'small-ring' },
      oven: { id: 'fan-oven' }
    })
    expect(kitInUse(home.kit, { ovens: 'gone' }, 'gone', 'gone')).toMatchObject({
      pan: home.kit.pans[0],
      oven: home.kit.ovens[0],
      grill: null,
      bath: null
    })
  })

  it('a pot is known by its water, its metal and its width', () => {
    const pot = potFrom('p', 'P', 4, metalOf(POTS[0]), 0.22)
    expect(pot.metalHeat).toBeCloseTo(POTS[0].metalHeat, 6)
    expect(pot.depthM).toBeCloseTo(POTS[0].depthM, 2)
  })
})
