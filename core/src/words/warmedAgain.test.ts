/** What was cooked before and chilled, warmed again: it stays as done as it was, and has its water no second time to lose. */
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from '#core/heat/constants'
import { between } from '#core/heat/faces'
import { slabGrid } from '#core/heat/grid'
import { KEEP_ENDS, run, type Run } from '#core/heat/program'
import { cookedComposition, meatMaterial, specificHeatOf } from '#core/heat/properties'
import { heldBath } from '#core/kit/bath'
import { dangersOf } from '#core/safety/dangers'
import { cautionsFor } from '#core/safety/cautions'
import { by } from '#core/request/request'
import { suitsBest } from '#core/request/suits'
import { settingsOf } from '#core/request/setup'
import { caveats } from './caveats'
import { checklistFor } from './preparation'
import { cutById } from '#core/meat/cuts'
import { METHOD_KINDS } from '#core/method/methods'
import { USUAL_PREPARATION } from '#core/plan/preparation'
import { asked, planned } from '#core/plan/planned.fixture'

const RAW = cutById('strip')!.composition
const HOUR = 3600

/** In a bag of which it cannot dry, its juice running out of it. @param heatedToC null while raw */
function bathed(bathC: number, hours: number, heatedToC: number | null, from = 4): Run {
  const material = heatedToC === null ? meatMaterial(RAW, CONSTANTS) : meatMaterial(cookedComposition(RAW, heatedToC), CONSTANTS, heatedToC)
  const start = { temperature: from, film: 0, boiling: 100 }
  const bag = heldBath(bathC, CONSTANTS)
  return run(
    { grid: slabGrid(0.03), materials: [material], start, constants: CONSTANTS },
    [{ name: 'bath', end: { after: hours * HOUR }, faces: between(bag, bag) }],
    KEEP_ENDS
  )
}

describe('the water of cooked meat', () => {
  it.each([52, 56, 60, 65])('held at %d °C until nothing more leaves it, raw meat comes to what is taken for cooked', bathC => {
    const { loss } = bathed(bathC, 60, null)
    const left = (1 - loss) * cookedComposition(RAW, bathC).protein
    expect(Math.abs(left / RAW.protein - 1)).toBeLessThan(0.012)
  })

  it('its parts still make a whole, and less water takes less heat to warm', () => {
    const cooked = cookedComposition(RAW, 60)
    const whole = ({ water, protein, fat, ash }: typeof RAW): number => water + protein + fat + ash
    expect(whole(cooked)).toBeCloseTo(whole(RAW), 9)
    expect(cooked.water).toBeLessThan(RAW.water - 0.03)
    expect(specificHeatOf(cooked, 40)).toBeLessThan(specificHeatOf(RAW, 40))
  })

  it.each([52, 56, 60])('cooked to %d °C and warmed to that again loses nothing; three degrees further it does', cookedC => {
    expect(bathed(cookedC, 4, cookedC).loss).toBeLessThan(5e-4)
    expect(bathed(cookedC + 3, 4, cookedC).loss).toBeGreaterThan(0.004)
    expect(bathed(cookedC, 4, null).loss).toBeGreaterThan(0.01)
  })

  it('closes its balance as raw meat does', () => {
    const { body } = bathed(56, 1, 60)
    const { heatIn, latentOut, carriedOut } = body.ledger
    const cold = bathed(56, 1e-6, 60).body.enthalpy
    expect(Math.abs((body.enthalpy - cold - heatIn + latentOut + carriedOut) / heatIn)).toBeLessThan(1e-3)
  })
})

describe('a plan of it', () => {
  const cooked = { cookedC: 54, startC: 4 }

  it('by any method that plans it raw, and comes to what is wanted', () => {
    for (const kind of METHOD_KINDS) {
      if (kind === 'roast' || kind === 'in pastry') continue
      const { plan } = planned(asked(kind, {}, cooked, 52))
      expect(Math.abs(plan.peak.core - 52), kind).toBeLessThan(1.2)
    }
  })

  it('opens on the bath, at the heat that it was cooked at; without one in the oven before its sear', () => {
    const request = asked('pan sear', {}, cooked, 50)
    expect(suitsBest(request)).toBe('bath then sear')
    expect(settingsOf(by(request, 'bath then sear'))).toMatchObject({ bathC: 54 })
    expect(suitsBest({ ...request, kit: { ...request.kit, bath: null } })).toBe('oven then sear')
  })

  it('in the same bath it loses less than raw, and shows no colour below what it has', () => {
    const [again, raw] = [planned(asked('bath then sear', {}, cooked, 52)), planned(asked('bath then sear', {}, { startC: 4 }, 52))]
    expect(again.plan.loss).toBeLessThan(raw.plan.loss)
    expect(Math.min(...again.plan.fields[0].hottest)).toBe(54)
    expect(Math.min(...raw.plan.fields[0].hottest)).toBe(4)
  })

  it('says that it is warmed, or that it is cooked further', () => {
    const said = (coreC: number): string => {
      const { request, plan } = planned(asked('bath then sear', {}, cooked, coreC))
      return caveats(request, plan, 'metric')[0]
    }
    expect(said(50)).toMatch(/cooked to 54\s°C before: at 50\s°C it is warm again and no further done/)
    expect(said(60)).toMatch(/cooked to 54\s°C and now comes to \d+\s°C: it is further done/)
  })

  it('leaves out the knife work and keeps its bag', () => {
    const { cookedC: _, ...raw } = asked('bath then sear', {}, cooked).piece
    const { piece } = asked('bath then sear', {}, cooked)
    const texts = (of: typeof piece): string[] =>
      checklistFor({ ...USUAL_PREPARATION, tie: true }, cutById('strip')!, of, 'bath then sear').map(t => t.text)
    expect(texts(raw).join()).toMatch(/Tie it every/)
    expect(texts(piece).join()).not.toMatch(/Tie it|silverskin|Score/)
    expect(texts(piece).join()).toMatch(/Leave it in its bag/)
  })
})

describe('whether it is safe', () => {
  const table = { intact: 'yes', vulnerable: true, warmedAgain: true } as const

  it('guests at risk have it at 74 °C, whatever a long bath has killed', () => {
    const { plan } = planned(asked('bath then sear', { bathC: 62 }, { cookedC: 60, startC: 4 }, 61))
    expect(dangersOf(61, table, plan, plan.lethal[0].reference).map(d => [d.id, d.saferC])).toEqual([['vulnerable', 74]])
    expect(dangersOf(74, table, null, '')).toEqual([])
    expect(dangersOf(61, { ...table, vulnerable: false }, plan, '')).toEqual([])
  })

  it('the usual advice for what is warmed again stands in place of that for what is cooked', () => {
    const ids = (coreC: number, of: Parameters<typeof cautionsFor>[3]): string[] => cautionsFor(coreC, 20, 'metric', of).map(c => c.id)
    expect(ids(52, table)).toEqual(['vulnerable', 'warmed again'])
    expect(ids(52, { ...table, warmedAgain: false })).toEqual(['vulnerable', 'below public health'])
    expect(ids(74, table)).toEqual([])
  })
})
