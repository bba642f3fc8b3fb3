import { describe, expect, it } from 'vitest'
import { conductivityOf, densityOf, specificHeatOf } from './properties'
import { heldWaterShare, saturatedVapour, waterActivity } from './vapour'

const LEAN = { water: 0.72, protein: 0.215, fat: 0.055, ash: 0.01 }

describe('lean beef by Choi and Okos', () => {
  it('at 5 °C conducts 0.49 W/(m·K), weighs 1061 kg/m³ and takes 3550 J/(kg·K)', () => {
    expect(conductivityOf(LEAN, 5)).toBeCloseTo(0.49, 2)
    expect(Math.abs(densityOf(LEAN, 5) - 1061)).toBeLessThan(7)
    expect(Math.abs(specificHeatOf(LEAN, 5) - 3550)).toBeLessThan(45)
  })

  it('spreads heat at 1.29e-7 m²/s cold and 1.48e-7 at 60 °C', () => {
    const diffusivity = (T: number): number => conductivityOf(LEAN, T) / (densityOf(LEAN, T) * specificHeatOf(LEAN, T))
    expect(Math.abs(diffusivity(5) / 1.29e-7 - 1)).toBeLessThan(0.03)
    expect(Math.abs(diffusivity(60) / 1.48e-7 - 1)).toBeLessThan(0.03)
  })
})

describe('vapour', () => {
  it.each([
    [0, 0.00485],
    [20, 0.01729],
    [60, 0.1302],
    [100, 0.598]
  ])('at %d °C saturated air holds %d kg/m³ (steam tables)', (celsius, density) => {
    expect(Math.abs(saturatedVapour(celsius) / density - 1)).toBeLessThan(0.02)
  })

  it('raw meat dries like open water, dry meat holds on to it', () => {
    expect(waterActivity(1)).toBeGreaterThan(0.99)
    expect(waterActivity(0.02)).toBeLessThan(0.25)
  })

  it('heated meat holds less water: a tenth of its mass gone by 50 °C, most of the fall between 55 and 75', () => {
    const lost = (celsius: number): number => 0.72 * (1 - heldWaterShare(celsius))
    expect(lost(5)).toBeCloseTo(0, 2)
    expect(lost(40)).toBeLessThan(0.02)
    // Of whole muscle in its bag, of its raw mass (from memory).
    for (const [celsius, least, most] of [
      [50, 0.07, 0.13],
      [55, 0.12, 0.19],
      [60, 0.2, 0.29]
    ]) {
      expect(lost(celsius)).toBeGreaterThan(least)
      expect(lost(celsius)).toBeLessThan(most)
    }
    expect(lost(75) - lost(55)).toBeGreaterThan(0.6 * lost(90))
    for (let T = 0; T < 100; T++) expect(heldWaterShare(T + 1)).toBeLessThanOrEqual(heldWaterShare(T))
  })
})
