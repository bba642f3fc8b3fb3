/** The call sheet of any method, as a cook reads it: what is written down must be what the engine ran. */
import { describe, expect, it } from 'vitest'
import { spreadOf } from '#core/estimate/spread'
import type { Settings } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { asked, planned, type PlannedCase } from '#core/plan/planned.fixture'
import type { UnitSystem } from '#core/quantity/units'
import { mayBeLate } from '#core/plan/plan'
import { scaleOf } from '#core/doneness/scale'
import { callSheet, type CallLine } from './callSheet'
import { phaseName, shortName } from './phases'

const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
const made = (kind: MethodKind, settings: Settings = {}, piece: Parameters<typeof asked>[2] = {}): PlannedCase =>
  planned(asked(kind, settings, piece))
const sheet = ({ request, plan, method, setup }: PlannedCase, system: UnitSystem = 'metric', sure = false): CallLine[] =>
  callSheet(request, plan, mayBeLate(plan, scaleOf(request.target)), sure ? spreadOf(method, setup, plan) : null, system)
const shown = (of: PlannedCase): Record<string, string> =>
  Object.fromEntries(sheet(of).map(l => [plain(l.label), plain(`${l.shown.figure} ${l.shown.unit}`)]))

describe('the call sheet', () => {
  it.each(METHOD_KINDS)('%s: every figure has its unit and every line its reason, in either system', kind => {
    const of = made(kind)
    for (const system of ['metric', 'us'] as const)
      for (const line of sheet(of, system, kind === 'pan sear')) {
        expect(line.shown.unit, line.id).not.toBe('')
        expect(line.why).toMatch(/[.…]$/)
        expect(`${line.label} ${line.why}`).not.toMatch(/NaN|undefined|Infinity/)
        if (system === 'us') expect(`${line.label} ${line.shown.unit} ${line.why}`).not.toMatch(/°C|\bmm\b/)
      }
  })

  it('in the pan alone: how hot, how turned, off at, after how long, rested, and where it peaks', () => {
    expect(sheet(made('pan sear')).map(l => l.id)).toEqual(['heat', 'turn', 'pull', 'after', 'rest', 'eat'])
  })

  it('says a range once it is known, and before that that it is not; the range is the time the draws need', () => {
    const of = made('pan sear')
    const after = (sure: boolean): string => sheet(of, 'metric', sure).find(l => l.id === 'after')!.shown.figure
    expect(after(true)).toContain('–')
    expect(after(false)).not.toContain('–')
  })

  it('turned once it says when, not how often', () => {
    expect(shown(made('pan sear', { turning: 'once' }))['Turn']).toMatch(/^once at \d+:\d\d$/)
  })

  it('a rest shorter than the way to the peak is named as such, a longer one too; and the rest that was set is the one on it', () => {
    const rest = (seconds: number): CallLine => sheet(made('pan sear', { rest: { kind: 'clock', seconds } })).find(l => l.id === 'rest')!
    expect(rest(60).why).toMatch(/still on its way up/)
    expect(rest(1200).why).toMatch(/has cooled to/)
    expect(plain(`${rest(1200).shown.figure} ${rest(1200).shown.unit}`)).toBe('20 min')
  })

  it('how late one may be: half a band takes longer in a thick piece', () => {
    const late = (thicknessMm: number): number => {
      const { plan, request } = made('pan sear', {}, { thicknessMm, weightG: thicknessMm * 12 })
      return mayBeLate(plan, scaleOf(request.target)) ?? NaN
    }
    expect(late(20)).toBeLessThan(late(40))
    expect(late(40)).toBeGreaterThan(30)
  })
})

describe('how often it is turned', () => {
  it('is on the sheet of a grill, and comes to the time over the coals', () => {
    expect(shown(made('grill', { turning: 'twice a side', byClockS: 720 }))['Turn']).toBe('every 3 min')
    expect(shown(made('grill', { turning: 'once', byClockS: 720 }))['Turn']).toBe('once at 6:00')
  })

  it('is on the sheet of a sear, with how hot; but a joint is seared all round', () => {
    expect(Object.keys(shown(made('sear then oven', { searS: 240, turning: 'twice a side' })))[0]).toBe('Sear at 215 °C, turned every 60 s')
    expect(Object.keys(shown(made('roast', { searS: 240 })))[0]).toBe('Seared all round at 215 °C')
    expect(Object.keys(shown(made('sear then oven')))[1]).toBe('On a rack in the oven at 190 °C')
  })

  it('is left out where there is no room, and never is one face’s name that of both', () => {
    const [coals, rest] = made('grill', { turning: 'twice a side' }).plan.phases
    expect(shortName(coals)).toBe('over the coals')
    expect(phaseName(coals)).not.toMatch(/first|second/)
    expect(phaseName(rest)).toBe('rest, bare')
  })
})

describe('the sheet and the run', () => {
  it.each(METHOD_KINDS)('%s: its times add up, and it is out at what a probe shows then', kind => {
    const of = made(kind)
    const { plan } = of
    const heating = plan.phases.filter(p => p.phase !== 'rest')
    expect(heating.reduce((sum, p) => sum + p.to - p.from, 0)).toBeCloseTo(plan.pull.time, 6)
    const at = plan.history.time.findIndex(t => t >= plan.pull.time)
    expect(plan.history.probe[at]).toBeCloseTo(plan.pull.probe, 1)
    const out = Object.entries(shown(of)).find(([label]) => /^(Off the heat|Out) at$/.test(label))!
    expect(Number.parseFloat(out[1])).toBeCloseTo(plan.pull.probe, -0.3)
    expect(Math.max(...plan.history.core)).toBeCloseTo(plan.peak.core, 1)
  })
})
