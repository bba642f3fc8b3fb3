/** Lethality against the rows of the table it was not given, and as an integral over the real history. */
import { describe, expect, it } from 'vitest'
import { lethality, REFERENCES, secondsNeeded } from './lethality'

const [salmonella, seventy] = REFERENCES
const steady = (celsius: number, seconds: number): number => lethality(salmonella, [0, seconds], [celsius, celsius])

describe('6.5-log Salmonella in roast beef (USDA FSIS, Appendix A, from memory)', () => {
  it.each([
    [132, 71 * 60],
    [134, 45 * 60],
    [138, 18 * 60],
    [143, 6 * 60],
    [148, 115]
  ])('%d °F, a row between those it knows, within a sixth', (fahrenheit, seconds) => {
    const needed = secondsNeeded(salmonella, ((fahrenheit - 32) * 5) / 9)
    expect(needed / seconds).toBeGreaterThan(5 / 6)
    expect(needed / seconds).toBeLessThan(7 / 6)
  })

  it('adds up over the history: half the time at each of two temperatures is enough', () => {
    const half = lethality(salmonella, [0, 3360, 3360.001, 3360.001 + 345], [54.4, 54.4, 60, 60])
    expect(half).toBeCloseTo(1, 1)
    expect(steady(54.4, 112 * 60)).toBeCloseTo(1, 6)
  })

  it('no time at 54 °C counts, nor does a hot moment at the end stand for a whole cook', () => {
    expect(steady(54, 1e6)).toBe(0)
    expect(lethality(salmonella, [0, 600, 602], [20, 50, 62.8])).toBeLessThan(0.02)
  })

  it('hotter never counts for less', () => {
    for (let T = 50; T < 90; T += 0.5) expect(secondsNeeded(salmonella, T + 0.5)).toBeLessThanOrEqual(secondsNeeded(salmonella, T))
    expect(secondsNeeded(seventy, 70)).toBe(120)
  })
})
