/** The call sheet of any method, as a cook reads it: what is written down must be what the engine ran. */
import { describe, expect, it } from 'vitest'
import type { Dialled } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { methodSheet, phaseName, planFor, shortName } from './everyMethod'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { Plan } from './plan'

const JOINT = {
  cutId: 'ribeye',
  count: 1,
  form: 'roast',
  thicknessMm: 110,
  widthMm: 110,
  lengthMm: 230,
  weightG: 2300,
  startC: 5,
  surface: 'patted'
} as const
function planned(kind: MethodKind, dials: Dialled = {}, joint = false): Plan {
  const found = planFor(joint ? { ...FIRST_REQUEST, piece: JOINT } : FIRST_REQUEST, kind, dials)
  if ('unsuited' in found) throw new Error(found.unsuited)
  return found.plan
}
const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
const lines = (plan: Plan): Record<string, string> =>
  Object.fromEntries(methodSheet(plan, 'metric').map(l => [plain(l.label), `${l.shown.figure} ${l.shown.unit}`]))

describe('how often it is turned', () => {
  it('is on the sheet of a grill, and comes to the time over the coals', () => {
    const plan = planned('grill', { directSpells: 4, byClockS: 720 })
    expect(lines(plan)['Over the coals, turned every 3 min']).toBe('12 min')
    expect(lines(planned('grill', { directSpells: 2, byClockS: 720 }))['Over the coals, turned once']).toBe('12 min')
  })

  it('is on the sheet of a sear, but a joint is seared all round', () => {
    expect(Object.keys(lines(planned('sear then oven', { searS: 240, searSpells: 4 })))[0]).toBe('Sear, turned every 60 s')
    expect(Object.keys(lines(planned('roast', { searS: 240 }, true)))[0]).toBe('Seared all round')
  })

  it('is left out where there is no room, and never is one face’s name that of both', () => {
    const [coals, rest] = planned('grill', { directSpells: 4 }).phases
    expect(shortName(coals)).toBe('over the coals')
    expect(phaseName(coals)).not.toMatch(/first|second/)
    expect(phaseName(rest)).toBe('rest, bare')
  })
})

describe('the sheet and the run', () => {
  for (const kind of ['pan sear', 'sear then oven', 'oven then sear', 'grill', 'two-zone grill', 'bath then sear', 'pot'] as const)
    it(`${kind}: its times add up, and it is out at what the core reads then`, () => {
      const plan = planned(kind)
      const heating = plan.phases.filter(p => p.phase !== 'rest')
      expect(heating.reduce((sum, p) => sum + p.to - p.from, 0)).toBeCloseTo(plan.pull.time, 6)
      const at = plan.history.time.findIndex(t => t >= plan.pull.time)
      expect(plan.history.core[at]).toBeCloseTo(plan.pull.core, 1)
      expect(Number.parseFloat(lines(plan)['Out at'])).toBeCloseTo(plan.pull.core, -0.3)
      expect(Math.max(...plan.history.core)).toBeCloseTo(plan.peak.core, 1)
    })
})
