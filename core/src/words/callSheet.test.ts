import { describe, expect, it } from 'vitest'
import { cautionsFor } from '#core/safety/cautions'
import { callSheet, remarks, secondsLate } from './callSheet'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { planPanSear } from './panPlan'
import { percentile, Randomness } from '#core/numerics/random'
import { RequestError, setupOf, type PlanRequest } from '#core/request/request'
import { risingRoot } from '#core/numerics/root'
import { planSpread } from './spread'

const asked = (part: Partial<PlanRequest> = {}, piece: Partial<PlanRequest['piece']> = {}): PlanRequest => ({
  ...FIRST_REQUEST,
  ...part,
  piece: { ...FIRST_REQUEST.piece, ...piece }
})
const planOf = (request: PlanRequest): ReturnType<typeof planPanSear> => planPanSear(setupOf(request), request.targetC)

describe('the call sheet', () => {
  const plan = planOf(FIRST_REQUEST)
  const spread = planSpread(setupOf(FIRST_REQUEST), plan)

  it.each(['metric', 'us'] as const)('every figure has its unit and every line its reason, %s', system => {
    const lines = callSheet(FIRST_REQUEST, plan, spread, system)
    expect(lines.map(l => l.id)).toEqual(['pan', 'turn', 'pull', 'after', 'rest', 'eat'])
    for (const line of lines) {
      expect(line.shown.unit).not.toBe('')
      expect(line.why).toMatch(/\.$/)
      expect(line.why).not.toMatch(/NaN|undefined|Infinity/)
      if (system === 'us') expect(`${line.shown.unit} ${line.why}`).not.toMatch(/°C|\bmm\b/)
    }
  })

  it('says a range once it is known, and before that that it is not', () => {
    const after = (s: typeof spread | null): string => callSheet(FIRST_REQUEST, plan, s, 'metric')[3].shown.figure
    expect(after(spread)).toContain('–')
    expect(after(null)).not.toContain('–')
  })

  it('turned once it says when, not how often', () => {
    const request = asked({ turning: 'once' })
    expect(callSheet(request, planOf(request), null, 'metric')[1].shown).toMatchObject({ figure: 'once' })
  })

  it('a rest shorter than the way to the peak is named as such, a longer one too', () => {
    const why = (seconds: number): string => {
      const request = asked({ rest: { kind: 'clock', seconds } })
      return callSheet(request, planOf(request), null, 'metric')[4].why
    }
    expect(why(60)).toMatch(/still on its way up/)
    expect(why(1200)).toMatch(/has cooled to/)
  })

  it('how late one may be: half a band takes longer in a thick piece', () => {
    const late = (thicknessMm: number): number => {
      const request = asked({}, { thicknessMm, weightG: thicknessMm * 12 })
      return secondsLate(request, planOf(request)) ?? NaN
    }
    expect(late(20)).toBeLessThan(late(40))
    expect(late(40)).toBeGreaterThan(30)
  })
})

describe('what a cook should hear', () => {
  it('crowding, too thick for a pan, hardly any crust', () => {
    const said = (request: PlanRequest): string => remarks(request, planOf(request), 'metric').join(' ')
    expect(said(asked())).toBe('')
    expect(said(asked({}, { count: 4, thicknessMm: 30, weightG: 360 }))).toMatch(/crowded|too cool to brown/)
    expect(said(asked({}, { thicknessMm: 60, weightG: 700 }))).toMatch(/Past about/)
    expect(said(asked({ turning: 'once', targetC: 48 }, { thicknessMm: 6, weightG: 90, startC: 15 }))).toMatch(/crust is barely there/)
  })

  it('the public-health line below 62.8 °C and not above, smoke above 230', () => {
    const ids = (target: number, pan: number): string[] => cautionsFor(target, pan, 'metric').map(c => c.id)
    expect(ids(54, 215)).toEqual(['below public health'])
    expect(ids(64, 215)).toEqual([])
    expect(ids(64, 250)).toEqual(['smoke'])
  })

  it.each([
    ['panId', asked({}, { count: 6 }), /do not fit/],
    ['piece.cutId', asked({}, { cutId: 'cheek' }), /braised/],
    ['targetC', asked({ targetC: 41 }, { startC: 41 }), /already/]
  ] as const)('%s is refused where it cannot be', (field, request, why) => {
    const refused = (): unknown => setupOf(request)
    expect(refused).toThrow(RequestError)
    expect(refused).toThrow(why)
    expect(refused).toThrow(expect.objectContaining({ field }))
  })
})

describe('the small tools of the planner', () => {
  it('a root is found between its brackets, on a curve, on a bend, at an end', () => {
    const find = (f: (x: number) => number, low: number, high: number): number =>
      risingRoot(f, { low, high, atLow: f(low), atHigh: f(high) }, 1e-9, 1e-9)
    expect(find(x => x ** 3 - 2, 0, 5)).toBeCloseTo(Math.cbrt(2), 6)
    expect(find(x => (x < 3 ? (x - 3) * 0.01 : (x - 3) * 50), 0, 10)).toBeCloseTo(3, 4)
    expect(find(x => x, 0, 10)).toBe(0)
  })

  it('seeded draws are normal, cut at 2.5, and the same each time', () => {
    const draw = (): number[] => {
      const random = new Randomness(5)
      return Array.from({ length: 20_000 }, () => random.normal())
    }
    const values = draw()
    expect(draw()).toEqual(values)
    const mean = values.reduce((a, b) => a + b, 0) / values.length
    expect(Math.abs(mean)).toBeLessThan(0.03)
    expect(percentile(values, 0.9)).toBeCloseTo(1.2816, 1)
    expect(Math.max(...values)).toBeLessThanOrEqual(2.5)
  })

  it('percentiles by straight interpolation', () => {
    expect(percentile([4, 1, 3, 2], 0.5)).toBe(2.5)
    expect(percentile([7], 0.9)).toBe(7)
  })
})
