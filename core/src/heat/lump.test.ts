/** Pans and pots as lumps of heat, against what can be worked out on paper. */
import { describe, expect, it } from 'vitest'
import { LumpState, type Burner, type Lump } from './lump'

const POT: Lump = { heatCapacity: 17_000, loss: 0.8, openWater: 0, room: 22, start: 80 }

function after(seconds: number, lump: Lump, burner: Burner | null = null, meat: (T: number) => number = () => 0, dt = 5): number {
  const state = new LumpState(lump)
  for (let t = 0; t < seconds; t += dt) {
    state.begin(dt, burner)
    const heat = meat(state.at(0.5)) * dt
    state.finish(dt, heat, 0)
  }
  return state.temperature
}

describe('a lump of heat', () => {
  it('cools by Newton’s law', () => {
    expect(after(1800, POT)).toBeCloseTo(22 + 58 * Math.exp((-0.8 * 1800) / 17_000), 1)
  })

  it('open water cools it several times faster than its walls', () => {
    const open = 80 - after(1800, { ...POT, openWater: 0.038 })
    expect(open).toBeGreaterThan(2 * (80 - after(1800, POT)))
  })

  it('nothing is lost to the piece on the way: what it gave is what it has less', () => {
    const sealed = { ...POT, loss: 0 }
    const given = 300 * 600
    expect(after(600, sealed, null, () => 300)).toBeCloseTo(80 - given / 17_000, 6)
  })

  it('four parts at 100 °C and one at 12 °C, poured together, make 82.4', () => {
    const state = new LumpState({ ...POT, heatCapacity: 4 * 4186, start: 100 })
    state.change({ lump: 0, kind: 'poured in', heatCapacity: 4186, temperature: 12 })
    expect(state.temperature).toBeCloseTo(82.4, 6)
    state.change({ lump: 0, kind: 'brought to', temperature: 95 })
    expect(state.at(0.3)).toBe(95)
  })

  it('a burner holds what the cook wants, or as much as it can, and never cools', () => {
    const pan: Lump = { heatCapacity: 1100, loss: 1.2, openWater: 0, room: 22, start: 22 }
    const strong: Burner = { hold: 215, power: 1500, response: 30 }
    expect(after(1200, pan, strong)).toBeCloseTo(215, 0)
    expect(after(7200, pan, { ...strong, power: 120 })).toBeCloseTo(22 + 120 / 1.2, 0)
    const hot = after(60, { ...pan, start: 280 }, strong)
    expect(hot).toBeLessThan(280)
    expect(hot).toBeGreaterThan(22 + 258 * Math.exp((-1.2 * 60) / 1100) - 0.5)
  })
})
