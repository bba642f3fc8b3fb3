/**
 * A cook under way by any method, against what must hold whatever the engine says: what was done as
 * planned changes nothing, what was done late is made up for, and what cannot be made up for is told.
 */
import { describe, expect, it } from 'vitest'
import { valueAt } from '#core/heat/history'
import { toppedUp, type Settings } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { asked, planned } from '#core/plan/planned.fixture'
import { asPlanned as donePlanned } from './asPlanned'
import { onTheHeat, turnedEvery } from './done.fixture'
import { assimilateUnderWay, planUnderWay, type Happened, type Spent, type UnderWay } from './underWay'

const TARGET = 54

function begun(kind: MethodKind, settings: Settings = {}) {
  const { method, setup, plan } = planned(asked(kind, settings))
  const { marks } = plan
  const asPlanned = (until: number): Spent[] => donePlanned(plan, until)
  const now = (past: readonly Spent[], how: Partial<Happened> = {}): UnderWay =>
    planUnderWay(method, setup, TARGET, onTheHeat(past, how), plan.free)
  return { method, setup, plan, marks, asPlanned, now }
}
/** One stage after the other, each on its first face. */
const through = (...seconds: number[]): Spent[] => seconds.map((s, stage) => ({ stage, down: 'first', seconds: s }))

describe('done as planned', () => {
  it.each(METHOD_KINDS)('%s: at a third and at nine tenths of the time the pull is still where it was, and the peak', kind => {
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
    const late = now(turnedEvery(0, 60, 90))
    expect(late.marks.slice(0, 3).map(m => m.from)).toEqual([0, 60, 150])
    expect(late.marks[4].from - late.marks[3].from).toBeCloseTo(60, 6)
    expect(late.marks.map(m => m.stage)).toEqual([0, 0, 0, 0, 1])
  })
})

describe('done otherwise', () => {
  it('longer in the pan, shorter in the oven, and the same peak', () => {
    const { plan, marks, now } = begun('sear then oven')
    const late = now(turnedEvery(0, 60, 60, 60, 180))
    expect(late.pull.time - late.marks[4].from).toBeLessThan(plan.pull.time - marks[4].from - 60)
    expect(Math.abs(late.peak.core - TARGET)).toBeLessThan(0.2)
  })

  it('left too long on one face it is so much overdue, and what comes after begins from there', () => {
    const { now } = begun('sear then oven')
    const late = now(turnedEvery(0, 90))
    expect(late.overdue).toBeCloseTo(30, 6)
    expect(late.marks[1].from).toBeCloseTo(90, 6)
    expect(now(turnedEvery(0, 40)).overdue).toBe(0)
    // An oven that has the free time is never overdue: what is late is told by where it peaks.
    expect(now([...turnedEvery(0, 60, 60, 60, 60), { stage: 1, down: 'first', seconds: 3000 }]).overdue).toBeLessThan(1)
  })

  it('out of the oven for a while: it waits, and needs longer', () => {
    const { plan, now } = begun('roast', { searS: 0 })
    const out = now([...through(1200), { stage: 'out', down: 'first', seconds: 300 }])
    expect(out.pull.time).toBeGreaterThan(plan.pull.time + 120)
    expect(out.phases.map(p => p.phase)).toEqual(['oven', 'rest', 'oven', 'rest'])
    expect(Math.abs(out.peak.core - TARGET)).toBeLessThan(0.2)
  })

  it('too long in the oven before the sear: it says that it will be too hot, by how much', () => {
    const { plan, now } = begun('oven then sear')
    const late = now(through(plan.free + 600))
    expect(late.overshoot).toBe(true)
    expect(late.peak.core).toBeGreaterThan(TARGET + 1)
    expect(late.pull.time).toBeCloseTo(plan.free + 600 + 120, 0)
  })

  it('forgotten in a bath of its own target it is as good as ever', () => {
    const { plan, now } = begun('sear then bath')
    const late = now([...turnedEvery(0, 60, 60), { stage: 1, down: 'first', seconds: plan.free + 3600 }])
    expect(late.overshoot).toBe(false)
    expect(Math.abs(late.peak.core - TARGET)).toBeLessThan(0.8)
  })

  it('taken off early it stays below; put back, it is brought up to the target after all', () => {
    const { plan, now } = begun('grill', { turning: 'once' })
    const early = turnedEvery(0, plan.free / 2, plan.free / 2 - 150)
    const off = now(early, { off: true })
    expect(off.peak.core).toBeLessThan(TARGET - 2)
    expect(off.phases.at(-1)?.phase).toBe('rest')
    const again = now([...early, { stage: 'out', down: 'second', seconds: 120 }], { again: true })
    expect(again.pull.time).toBeGreaterThan(plan.free - 30)
    expect(Math.abs(again.peak.core - TARGET)).toBeLessThan(0.2)
  })

  it('by the clock it stays by the clock', () => {
    const { method, setup, plan } = begun('roast', { searS: 0 })
    const past = through(600)
    const clocked = planUnderWay(method, setup, TARGET, onTheHeat(past), plan.free + 300, true)
    expect(clocked.pull.time).toBeCloseTo(plan.free + 300, 6)
    expect(clocked.peak.core).toBeGreaterThan(TARGET + 1)
  })

  it('a pot keeps its water: the heat of the first minutes is not poured in twice', () => {
    const { plan, asPlanned, now } = begun('pot', { topUps: toppedUp(600, 0.5) })
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

describe('in the pan', () => {
  const setup38 = { thicknessMm: 30, weightG: 345, lengthMm: 160, widthMm: 85 }
  const pan = (settings: Settings = {}) => {
    const { method, setup, plan } = planned(asked('pan sear', settings, setup38))
    const now = (past: readonly Spent[], how: Partial<Happened> = {}): UnderWay =>
      planUnderWay(method, setup, TARGET, onTheHeat(past, how), plan.free)
    return { plan, now }
  }

  it('a late turn stays as it was, what is left is shared evenly, and it still lands on the target', () => {
    const { plan, now } = pan()
    const [a, b] = plan.marks.slice(1).map((m, i) => m.from - plan.marks[i].from)
    const again = now(turnedEvery(0, a, b, 150))
    expect(Math.abs(again.peak.core - TARGET)).toBeLessThan(0.1)
    expect(again.marks.slice(0, 3).map(m => m.from)).toEqual([0, a, a + b])
    // Told while it lies too long: its turn is due now, and the others come at one distance.
    const gaps = again.marks.slice(4).map((m, i) => m.from - again.marks[i + 3].from)
    expect(again.marks[3].from).toBeCloseTo(a + b + 150, 6)
    for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0], 6)
    expect(again.overdue).toBeGreaterThan(60)
  })

  it('twice a side: a first turn a minute late keeps the number of turns', () => {
    const { plan, now } = pan({ turning: 'twice a side' })
    const again = now(turnedEvery(0, plan.marks[1].from + 60))
    expect(again.marks).toHaveLength(plan.marks.length)
    expect(again.pull.time).not.toBeCloseTo(plan.pull.time, 0)
    expect(Math.abs(again.peak.core - TARGET)).toBeLessThan(0.1)
  })

  it('forgotten on the heat: says that it will overshoot, and by what', () => {
    const { now } = pan()
    const forgotten = now(turnedEvery(0, 500, 700))
    expect(forgotten.overshoot).toBe(true)
    expect(forgotten.peak.core).toBeGreaterThan(57)
  })

  it('once off the heat the rest is followed as planned', () => {
    const { plan, now } = pan()
    expect(now(donePlanned(plan, plan.pull.time), { off: true }).peak.core).toBeCloseTo(plan.peak.core, 1)
  })

  it('half-way through its fat edge the rest of the edge is still due, and nothing else', () => {
    const { plan, now } = pan({ fatEdgeS: 60 })
    const edge = plan.marks.at(-1)!
    const half = now(donePlanned(plan, edge.from + 20))
    expect(half.pull.time).toBeCloseTo(plan.pull.time, 0)
    expect(half.marks.at(-1)?.phase).toBe('fat edge')
    expect(half.overshoot).toBe(false)
  })

  it('lifted out for a while it comes back on the same face, and needs longer', () => {
    const { plan, now } = pan()
    const past = donePlanned(plan, 0.5 * plan.pull.time)
    const { down } = past.at(-1)!
    const out = now([...past, { stage: 'out', down, seconds: 120 }])
    expect(out.pull.time).toBeGreaterThan(plan.pull.time + 90)
    expect(out.marks.map(m => m.phase)).toEqual(out.marks.map(() => 'sear'))
    expect(Math.abs(out.peak.core - TARGET)).toBeLessThan(0.2)
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
      const real = planUnderWay(method, truth, TARGET, onTheHeat(past), plan.free)
      const read = { time: at, celsius: valueAt(real.history.time, real.history.probe, at) }
      const likely = assimilateUnderWay(method, setup, TARGET, onTheHeat(past), [read], plan.free)
      expect(likely.rejected).toEqual([])
      expect(likely.expectedC! - read.celsius).toBeGreaterThan(0)
      const forecast = planUnderWay(method, likely.setup, TARGET, onTheHeat(past), plan.free)
      expect(Math.abs(forecast.pull.time - real.pull.time)).toBeLessThan(Math.abs(plan.pull.time - real.pull.time))
      // What it reads is laid to the thickness and to the oven or the fire alike.
      expect(likely.thickerMm).toBeGreaterThan(0)
      expect(likely.hotterK).toBeLessThan(0)
      expect(likely.sooner).toBeLessThan(1)
      expect(likely.later).toBeGreaterThan(1)
      expect(marks.length).toBeGreaterThan(0)
    }
  )

  it('a reading that no such piece could give is left out and told', () => {
    const { method, setup, plan, asPlanned } = begun('sear then oven')
    const at = 0.5 * plan.pull.time
    const wrong = { time: at, celsius: 80 }
    const likely = assimilateUnderWay(method, setup, TARGET, onTheHeat(asPlanned(at)), [wrong], plan.free)
    expect(likely.rejected).toEqual([wrong])
    expect(likely.setup).toBe(setup)
  })
})
