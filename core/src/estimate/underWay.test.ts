/**
 * A cook under way by any method, against what must hold whatever the engine says: what was done as
 * planned changes nothing, what was done late is made up for, and what cannot be made up for is told.
 */
import { describe, expect, it } from 'vitest'
import { valueAt } from '#core/heat/history'
import type { Dialled } from '#core/method/dials'
import type { Method, Resting } from '#core/method/method'
import { FILLET_LOG } from '#core/method/setups.fixture'
import { METHODS, METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { planFor, setupFor } from '#core/plan/everyMethod'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { heedUnderWay, marksOf, planUnderWay, type Happened, type Spent, type UnderWay } from './underWay'

const TARGET = 54

function begun(kind: MethodKind, dials: Dialled = {}) {
  const joint = kind === 'roast' || kind === 'in pastry'
  const request = joint ? { ...FIRST_REQUEST, piece: FILLET_LOG } : FIRST_REQUEST
  const found = planFor(request, kind, dials)
  if (!('plan' in found)) throw new Error(found.unsuited)
  const method = METHODS[kind] as unknown as Method<Resting>
  const setup = setupFor(request, kind, dials)
  const { plan } = found
  const marks = marksOf(method, setup, plan.free)
  /** Done just as planned until some moment. */
  const asPlanned = (until: number): Spent[] =>
    marks.flatMap(({ from }, stage) => {
      const to = Math.min(until, marks.at(stage + 1)?.from ?? until)
      return to > from ? [{ stage, seconds: to - from }] : []
    })
  const now = (past: readonly Spent[], how: Partial<Happened> = {}): UnderWay =>
    planUnderWay(method, setup, TARGET, { past, off: false, again: false, ...how }, plan.free)
  return { method, setup, plan, marks, asPlanned, now }
}
const WAYS = METHOD_KINDS.filter(k => k !== 'pan sear')

describe('done as planned', () => {
  it.each(WAYS)('%s: at a third and at nine tenths of the time the pull is still where it was, and the peak', kind => {
    const { plan, asPlanned, now } = begun(kind)
    for (const share of [0.33, 0.9]) {
      const forecast = now(asPlanned(share * plan.pull.time))
      // Near the heat of its bath a tenth of a degree, which is all that is solved to, takes a minute.
      expect(Math.abs(forecast.pull.time / plan.pull.time - 1)).toBeLessThan(0.02)
      expect(Math.abs(forecast.peak.core - plan.peak.core)).toBeLessThan(0.3)
      expect(forecast.overshoot).toBe(false)
    }
  })

  it('the stages begin where the plan has them, those that have begun at what really happened', () => {
    const { marks, now } = begun('sear then oven')
    expect(marks.map(m => m.phase)).toEqual(['sear', 'sear', 'sear', 'sear', 'oven'])
    const late = now([
      { stage: 0, seconds: 60 },
      { stage: 1, seconds: 90 }
    ])
    expect(late.marks.slice(0, 3).map(m => m.from)).toEqual([0, 60, 150])
    expect(late.marks[4].from - late.marks[3].from).toBeCloseTo(60, 6)
    expect(late.turns).toEqual(late.marks.slice(1).map(m => m.from))
  })
})

describe('done otherwise', () => {
  it('longer in the pan, shorter in the oven, and the same peak', () => {
    const { plan, marks, now } = begun('sear then oven')
    const late = now([...[0, 1, 2].map(stage => ({ stage, seconds: 60 })), { stage: 3, seconds: 180 }])
    expect(late.pull.time - late.marks[4].from).toBeLessThan(plan.pull.time - marks[4].from - 60)
    expect(Math.abs(late.peak.core - TARGET)).toBeLessThan(0.2)
  })

  it('left too long on one face it is so much overdue, and what comes after begins from there', () => {
    const { now } = begun('sear then oven')
    const late = now([{ stage: 0, seconds: 90 }])
    expect(late.overdue).toBeCloseTo(30, 6)
    expect(late.marks[1].from).toBeCloseTo(90, 6)
    expect(now([{ stage: 0, seconds: 40 }]).overdue).toBe(0)
    // An oven that has the free time is never overdue: what is late is told by where it peaks.
    expect(now([0, 1, 2, 3].map(stage => ({ stage, seconds: 60 })).concat({ stage: 4, seconds: 3000 })).overdue).toBeLessThan(1)
  })

  it('out of the oven for a while: it waits, and needs longer', () => {
    const { plan, now } = begun('roast', { searS: 0 })
    const out = now([
      { stage: 0, seconds: 1200 },
      { stage: 'out', seconds: 300 }
    ])
    expect(out.pull.time).toBeGreaterThan(plan.pull.time + 120)
    expect(out.phases.map(p => p.phase)).toEqual(['oven', 'rest', 'oven', 'rest'])
    expect(Math.abs(out.peak.core - TARGET)).toBeLessThan(0.2)
  })

  it('too long in the oven before the sear: it says that it will be too hot, by how much', () => {
    const { plan, now } = begun('oven then sear')
    const late = now([{ stage: 0, seconds: plan.free + 600 }])
    expect(late.overshoot).toBe(true)
    expect(late.peak.core).toBeGreaterThan(TARGET + 1)
    expect(late.pull.time).toBeCloseTo(plan.free + 600 + 120, 0)
  })

  it('forgotten in a bath of its own target it is as good as ever', () => {
    const { plan, now } = begun('sear then bath')
    const late = now([
      { stage: 0, seconds: 60 },
      { stage: 1, seconds: 60 },
      { stage: 2, seconds: plan.free + 3600 }
    ])
    expect(late.overshoot).toBe(false)
    expect(Math.abs(late.peak.core - TARGET)).toBeLessThan(0.8)
  })

  it('taken off early it stays below; put back, it is brought up to the target after all', () => {
    const { plan, now } = begun('grill', { directSpells: 2 })
    const early: Spent[] = [
      { stage: 0, seconds: plan.free / 2 },
      { stage: 1, seconds: plan.free / 2 - 150 }
    ]
    const off = now(early, { off: true })
    expect(off.peak.core).toBeLessThan(TARGET - 2)
    expect(off.phases.at(-1)?.phase).toBe('rest')
    const again = now([...early, { stage: 'out', seconds: 120 }], { again: true })
    expect(again.pull.time).toBeGreaterThan(plan.free - 30)
    expect(Math.abs(again.peak.core - TARGET)).toBeLessThan(0.2)
  })

  it('by the clock it stays by the clock', () => {
    const { method, setup, plan } = begun('roast', { searS: 0 })
    const past = [{ stage: 0, seconds: 600 }]
    const clocked = planUnderWay(method, setup, TARGET, { past, off: false, again: false }, plan.free + 300, true)
    expect(clocked.pull.time).toBeCloseTo(plan.free + 300, 6)
    expect(clocked.peak.core).toBeGreaterThan(TARGET + 1)
  })

  it('a pot keeps its water: the heat of the first minutes is not poured in twice', () => {
    const { plan, asPlanned, now } = begun('pot', { topUpEveryS: 600, topUpL: 0.5 })
    const forecast = now(asPlanned(0.8 * plan.pull.time))
    const at = (of: typeof plan, t: number): number =>
      valueAt(
        of.history.time,
        of.history.plate.map(p => p ?? 0),
        t
      )
    for (const share of [0.3, 0.5, 0.75, 0.95])
      expect(Math.abs(at(forecast, share * plan.pull.time) - at(plan, share * plan.pull.time))).toBeLessThan(0.6)
  })
})

describe('the probe', () => {
  it.each(['sear then oven', 'roast', 'two-zone grill'] as const)(
    '%s: of a thicker piece it reads less, and the forecast comes later',
    kind => {
      const { method, setup, plan, marks, asPlanned } = begun(kind)
      // The truth: 2 mm more than the cook believes.
      const truth = { ...setup, piece: { ...setup.piece, thicknessMm: setup.piece.thicknessMm + 2, weightG: setup.piece.weightG * 1.06 } }
      const at = 0.7 * plan.pull.time
      const past = asPlanned(at)
      const real = planUnderWay(method, truth, TARGET, { past, off: false, again: false }, plan.free)
      const read = { time: at, celsius: valueAt(real.history.time, real.history.core, at) }
      const heeded = heedUnderWay(method, setup, TARGET, { past, off: false, again: false }, [read], plan.free)
      expect(heeded.unheeded).toEqual([])
      expect(heeded.expectedC! - read.celsius).toBeGreaterThan(0)
      const forecast = planUnderWay(method, heeded.setup, TARGET, { past, off: false, again: false }, plan.free)
      expect(Math.abs(forecast.pull.time - real.pull.time)).toBeLessThan(Math.abs(plan.pull.time - real.pull.time))
      // What it reads is laid to the thickness and to the oven or the fire alike.
      expect(heeded.thickerMm).toBeGreaterThan(0)
      expect(heeded.hotterK).toBeLessThan(0)
      expect(heeded.sooner).toBeLessThan(1)
      expect(heeded.later).toBeGreaterThan(1)
      expect(marks.length).toBeGreaterThan(0)
    }
  )

  it('a reading that no such piece could give is left out and told', () => {
    const { method, setup, plan, asPlanned } = begun('sear then oven')
    const at = 0.5 * plan.pull.time
    const wrong = { time: at, celsius: 80 }
    const heeded = heedUnderWay(method, setup, TARGET, { past: asPlanned(at), off: false, again: false }, [wrong], plan.free)
    expect(heeded.unheeded).toEqual([wrong])
    expect(heeded.setup).toBe(setup)
  })
})
