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

  it('heated meat holds less water, most of the fall between 55 and 75 °C', () => {
    expect(heldWaterShare(5)).toBeCloseTo(1, 2)
    expect(heldWaterShare(54)).toBeGreaterThan(0.88)
    expect(heldWaterShare(75)).toBeLessThan(0.35)
  })
})
