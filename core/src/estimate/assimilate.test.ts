/** A probe in the meat: truths drawn from the stated unknowns, cooked, read, and the forecast made again. */
import { describe, expect, it } from 'vitest'
import { valueAt } from '#core/heat/history'
import { asked, planned } from '#core/plan/planned.fixture'
import { Randomness } from '#core/numerics/random'
import { asPlanned } from './asPlanned'
import { onTheHeat } from './done.fixture'
import { drawUnknowns, READING_SD, withUnknowns, type Observation } from './prior'
import { assimilateUnderWay, planUnderWay, type UnderWay } from './underWay'

const strip = { thicknessMm: 34, weightG: 391, lengthMm: 160, widthMm: 85 }
const { method, setup, plan } = planned(asked('pan sear', {}, strip))
const assimilated = (at: number, readings: readonly Observation[]) =>
  assimilateUnderWay(method, setup, 54, onTheHeat(asPlanned(plan, at)), readings, plan.free)
const planFrom = (of: typeof setup, at: number): UnderWay => planUnderWay(method, of, 54, onTheHeat(asPlanned(plan, at)), plan.free)
/** A piece as it truly is, cooked by some plan's clock. */
const cooked = (truth: typeof setup, by: Pick<UnderWay, 'marks' | 'pull'>): UnderWay =>
  planUnderWay(method, truth, 54, onTheHeat(asPlanned(by, by.pull.time), { off: true }), plan.free)

describe('a forecast that goes by the probe', () => {
  it('ends nearer to the target than the plan would, over truths drawn from what is not known', () => {
    const random = new Randomness(5)
    const at = 0.6 * plan.pull.time
    let [withProbe, byClock] = [0, 0]
    const CASES = 12
    for (let i = 0; i < CASES; i++) {
      const truth = withUnknowns(setup, drawUnknowns(random))
      const clocked = cooked(truth, plan)
      const reading = { time: at, celsius: valueAt(clocked.history.time, clocked.history.probe, at) + READING_SD * random.normal() }
      const again = planFrom(assimilated(at, [reading]).setup, at)
      withProbe += Math.abs(cooked(truth, again).peak.core - 54)
      byClock += Math.abs(clocked.peak.core - 54)
    }
    expect(withProbe).toBeLessThan(0.55 * byClock)
    expect(withProbe / CASES).toBeLessThan(2.2)
  })

  it('a reading just as expected changes next to nothing; without one nothing changes', () => {
    const at = 0.5 * plan.pull.time
    const same = assimilated(at, [{ time: at, celsius: valueAt(plan.history.time, plan.history.probe, at) }])
    expect(Math.abs(same.thickerMm)).toBeLessThan(1)
    expect(planFrom(same.setup, at).pull.time / plan.pull.time).toBeCloseTo(1, 1)
    expect(assimilated(at, [])).toMatchObject({ setup, thickerMm: 0, contact: 1, expectedC: null })
  })

  it('a cold reading means a thicker piece and more time, and narrows what may come', () => {
    const at = 0.6 * plan.pull.time
    const expected = valueAt(plan.history.time, plan.history.probe, at)
    const cold = assimilated(at, [{ time: at, celsius: expected - 5 }])
    const none = assimilated(at, [])
    expect(cold.thickerMm).toBeGreaterThan(0.3)
    expect(planFrom(cold.setup, at).pull.time).toBeGreaterThan(plan.pull.time + 20)
    expect(cold.later - cold.sooner).toBeLessThan(0.8 * (none.later - none.sooner))
  })

  it('a probe in the fat or in the pan is not believed', () => {
    const at = 0.5 * plan.pull.time
    const wild = assimilated(at, [{ time: at, celsius: 75 }])
    expect(wild.rejected).toHaveLength(1)
    expect(wild.setup).toBe(setup)
  })
})
