/** A cook is told where a plan is less sure than it looks, and where it will not come out well. */
import { describe, expect, it } from 'vitest'
import type { Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { asked, planned } from '#core/plan/planned.fixture'
import { RequestError } from '#core/request/request'
import type { UnitSystem } from '#core/quantity/units'
import { setupOf } from '#core/request/setup'
import { cautionsFor } from '#core/safety/cautions'
import { caveats } from './caveats'

const joint = (across: number, more: Partial<Piece> = {}): Partial<Piece> => ({
  cutId: 'fillet',
  form: 'roast',
  thicknessMm: across,
  widthMm: across,
  lengthMm: 2 * across,
  weightG: 1.06e-3 * (Math.PI / 4) * across ** 2 * 2 * across,
  ...more
})
function said(kind: MethodKind, piece: Partial<Piece> = {}, settings: Settings = {}, coreC = 54): string {
  const { request, plan } = planned(asked(kind, settings, piece, coreC))
  return caveats(request, plan, 'metric').join(' ')
}

describe('what is less sure', () => {
  it('a big joint out of a hot oven climbs further than cooks report, and that is said; from a gentle one it is not', () => {
    expect(said('roast', joint(130), { ovenC: 190 })).toMatch(
      /climbs \d\d\s°C by itself.*least sure figure.*cooler oven.*leave the probe in/
    )
    expect(said('roast', joint(130), { ovenC: 110, searS: 0 })).toBe('')
  })

  it('a steak’s climb is as sure as the rest of it', () => {
    expect(said('pan sear')).toBe('')
  })

  it('pastry always says so, and whether it is baked by then', () => {
    expect(said('in pastry', joint(60))).toMatch(/climb is less sure/)
    expect(said('in pastry', joint(95))).toMatch(/the pastry is dark/)
  })

  it('by the clock: what it comes to instead, above or below, in the pan as elsewhere', () => {
    for (const kind of ['sear then oven', 'pan sear'] as const) {
      expect(said(kind, {}, { byClockS: 300 })).toMatch(/peaks at \d+\s°C, \d+\s°C below what is wanted/)
      expect(said(kind, {}, { byClockS: 2400 })).toMatch(/above what is wanted/)
    }
  })
})

describe('what will not come out well', () => {
  it('crowding, too thick for a pan, hardly any crust', () => {
    expect(said('pan sear', { count: 4, thicknessMm: 30, weightG: 360 })).toMatch(/crowded|too cool to brown/)
    expect(said('pan sear', { thicknessMm: 60, weightG: 700 })).toMatch(/Past about/)
    expect(said('pan sear', { thicknessMm: 6, weightG: 90, startC: 15 }, { turning: 'once' }, 48)).toMatch(/crust is barely there/)
  })

  it('a thick steak turned once says how long, how much less it were turned each minute, and what the usual minutes are of', () => {
    const of = (thicknessMm: number, turning: 'once' | 'every 60 s') =>
      planned(asked('pan sear', { panC: 210, turning }, { thicknessMm, weightG: 11.8 * thicknessMm }))
    const said = (thicknessMm: number, turning: 'once' | 'every 60 s', system: UnitSystem = 'metric'): string => {
      const { request, plan } = of(thicknessMm, turning)
      return caveats(request, plan, system).join(' ')
    }
    expect(said(38, 'once')).toMatch(
      /takes 2\d½?\smin: both faces at once, .* 1[01]½?\smin at the least, and one is heated at a time\. .* a third less\. The 10 to 13 min .* fit 26\smm to 30\smm here/
    )
    expect(said(38, 'once', 'us')).toMatch(/fit 1.*in to 1.*in here/)
    for (const quiet of [said(30, 'once'), said(38, 'every 60 s')]) expect(quiet).not.toMatch(/seldom/)
    for (const mm of [36, 42, 48]) {
      const [once, often] = [of(mm, 'once'), of(mm, 'every 60 s')].map(p => p.plan.pull.time)
      expect(often / once).toBeGreaterThan(0.58)
      expect(often / once).toBeLessThan(0.72)
    }
    // The minutes that are told, at either end of what they are said to fit, in pans as they are usually set.
    for (const panC of [200, 215, 230])
      for (const mm of [26, 30]) {
        const request = asked('pan sear', { panC, turning: 'once' }, { thicknessMm: mm, weightG: 11.8 * mm }, 53)
        const minutes = planned(request).plan.pull.time / 60
        expect(minutes).toBeGreaterThan(9)
        expect(minutes).toBeLessThan(14)
      }
  })

  it('over coals turned once too', () => {
    const of = (mm: number, turning: 'once' | 'every 60 s') =>
      planned(asked('grill', { turning }, { cutId: 'fillet', thicknessMm: mm, weightG: 170, lengthMm: 75, widthMm: 75 }))
    const { request, plan } = of(38, 'once')
    expect(caveats(request, plan, 'metric').join(' ')).toMatch(
      /takes 2\d½?\smin: .*a third less\. The 7 to 9 min .* fit 19\smm to 22\smm here/
    )
    for (const mm of [36, 42]) {
      const [once, often] = [of(mm, 'once'), of(mm, 'every 60 s')].map(p => p.plan.pull.time)
      expect(often / once).toBeGreaterThan(0.58)
      expect(often / once).toBeLessThan(0.72)
    }
    for (const mm of [19, 22]) {
      const minutes = of(mm, 'once').plan.pull.time / 60
      expect(minutes).toBeGreaterThan(6.5)
      expect(minutes).toBeLessThan(9.5)
    }
  })

  it('crowding counts what else lies in the pan', () => {
    const { request, plan } = planned(asked('pan sear', { panC: 215 }, { thicknessMm: 24, weightG: 300 }))
    expect(caveats(request, plan, 'metric').join(' ')).not.toMatch(/crowded/)
    const shared = { ...request, beside: [{ areaM2: 0.03, seconds: 300 }] }
    expect(caveats(shared, planned(shared).plan, 'metric').join(' ')).toMatch(/The pieces cover \d\d % of the pan: crowded meat steams/)
  })

  it('a joint longer than the pan is browned one part after the other, and the less; one that fits is not spoken of', () => {
    const long = joint(75, { lengthMm: 420, weightG: 1900 })
    expect(said('roast', long)).toMatch(
      /It is 420\smm long and the pan’s floor 260\smm: brown one part after the other.*13\smin are for all of it/
    )
    expect(said('roast', long, { searS: 0 })).not.toMatch(/pan’s floor/)
    expect(said('roast', joint(75, { lengthMm: 240, weightG: 1090 }))).not.toMatch(/pan’s floor/)
    // As long for each part is as brown; as long for all of it, the less.
    const crust = (lengthMm: number, settings: Settings = {}): number =>
      planned(asked('roast', settings, joint(75, { lengthMm, weightG: 4.53 * lengthMm }))).plan.section.side!.crustMm
    expect(crust(420)).toBeGreaterThan(0.7 * crust(250))
    expect(crust(420, { searS: 240 })).toBeLessThan(crust(420))
  })

  it('a sear that does not fit is said where the oven goes on, and refused where the pan is all there is', () => {
    expect(said('sear then oven', { count: 6 })).toMatch(/do not fit in the pan at once \(\d+ % of its floor\): sear them in batches/)
    expect(said('pan sear', { count: 6 })).toMatch(/All 6 do not fit in the pan at once: \d batches of (up to )?\d, each as planned here/)
  })

  it('the public-health line below 62.8 °C and not above, smoke above 230', () => {
    const ids = (target: number, pan: number): string[] => cautionsFor(target, pan, 'metric').map(c => c.id)
    expect(ids(54, 215)).toEqual(['below public health'])
    expect(ids(64, 215)).toEqual([])
    expect(ids(64, 250)).toEqual(['smoke'])
  })
})

describe('what cannot be is refused with its key', () => {
  it.each([
    ['kit.pan', asked('pan sear', {}, { weightG: 2600 }), /does not fit: \d+ % of the pan’s floor/],
    ['piece.cutId', asked('roast', {}, { cutId: 'cheek' }), /braised/],
    ['target.coreC', asked('roast', {}, { startC: 41 }, 41), /already/],
    [
      'method.settings.panC',
      { ...asked('sear then oven', { panC: 280 }), kit: { ...asked('roast').kit, ring: { ...asked('roast').kit.ring, powerW: 150 } } },
      /at most/
    ],
    ['method.settings.boilingParts', asked('pot', { boilingParts: 0, coldParts: 0 }), /some water/],
    ['kit.oven', { ...asked('roast'), kit: { ...asked('roast').kit, oven: null } }, /no oven/]
  ] as const)('%s', (key, request, why) => {
    const refused = (): unknown => setupOf(request)
    expect(refused).toThrow(RequestError)
    expect(refused).toThrow(why)
    expect(refused).toThrow(expect.objectContaining({ key }))
  })
})
