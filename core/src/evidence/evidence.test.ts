/** The engine against what was seen, with one set of constants. The table is in docs/physics.md. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { answerSimulate } from '#core/formats/answers'
import { CONSTANT_TABLE, CONSTANTS } from '#core/heat/constants'
import { drawUnknowns, uncertain } from '#core/estimate/prior'
import { Randomness } from '#core/numerics/random'
import { percentiles } from '#core/numerics/statistics'
import { CASES } from './cases'
import { judge } from './case'
import { beltGrill } from './setups'

const judged = CASES.map(c => ({ ...c, ...judge(c, CONSTANTS) }))
const share = (of: typeof judged): number => of.filter(c => c.inside).length / of.length

describe('published and trade cases', () => {
  it('at least 88 % of them are inside their bands', () => {
    expect(share(judged)).toBeGreaterThanOrEqual(0.88)
  })

  it('those held out of the fit do about as well as those in it', () => {
    const [held, fitted] = (['held out', 'fitted'] as const).map(use => judged.filter(c => c.use === use))
    expect(Math.abs(held.length - fitted.length)).toBeLessThanOrEqual(6)
    expect(share(held)).toBeGreaterThanOrEqual(0.85)
  })

  it('in the middle of the sizes and times stated, the mean error of the core is under 3 °C', () => {
    const temperatures = judged.filter(c => c.unit === '°C')
    const mean = temperatures.reduce((sum, c) => sum + Math.abs(c.error), 0) / temperatures.length
    expect(mean).toBeLessThan(3)
  })

  it('carryover is within 1.5 °C of what is seen', () => {
    for (const c of judged.filter(j => j.unit === 'K')) expect(Math.abs(c.error), c.id).toBeLessThan(1.5)
  })

  it('the belt grill comes through the door as it does on the bench', () => {
    const file: unknown = JSON.parse(readFileSync(new URL('../../../docs/examples/belt-grill.json', import.meta.url), 'utf8'))
    const peak = (answerSimulate(file) as { coldestPoint: { peakC: number } }).coldestPoint.peakC
    expect(Math.abs(peak - beltGrill(CONSTANTS).peak.core)).toBeLessThan(1.5)
  })

  it('each has a source, and no two are one', () => {
    expect(new Set(CASES.map(c => c.id)).size).toBe(CASES.length)
    // Recalled, without a source, or looked up: then with its year.
    for (const c of CASES) expect(c.source).toMatch(/from memory|common practice, no source|\b(18|19|20)\d\d\b/)
    for (const name of Object.keys(CONSTANT_TABLE) as (keyof typeof CONSTANT_TABLE)[]) {
      const { value, range } = CONSTANT_TABLE[name]
      expect(value).toBeGreaterThanOrEqual(range[0])
      expect(value).toBeLessThanOrEqual(range[1])
    }
  })
})

describe('the range', () => {
  it('of what is not known, the model itself among it, meets what was seen in about eight cases of ten', () => {
    const random = new Randomness(7)
    const draws = Array.from({ length: 10 }, () => uncertain(CONSTANTS, drawUnknowns(random)))
    const meets = CASES.filter(c => {
      const [low, , high] = percentiles(draws.map(constants => c.figure(0.5, constants)))
      return low <= c.seen[1] && high >= c.seen[0]
    })
    expect(meets.length / CASES.length).toBeGreaterThanOrEqual(0.75)
    expect(meets.length / CASES.length).toBeLessThanOrEqual(0.9)
  })
})
