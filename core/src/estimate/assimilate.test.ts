/** A probe in the meat: truths drawn from the stated unknowns, cooked, read, and the forecast made again. */
import { describe, expect, it } from 'vitest'
import { valueAt } from '#core/heat/history'
import { KEEP_ALL, run } from '#core/heat/program'
import { panStages, panSubject, type Spell } from '#core/method/panSear'
import { stripSetup } from '#core/method/setups.fixture'
import { drawUnknowns, withUnknowns } from './belief'
import { heed } from './heed'
import { planPanSear } from '#core/plan/panPlan'
import { Randomness } from '#core/numerics/random'

const setup = stripSetup({ thicknessMm: 34 })
const plan = planPanSear(setup, 54)
const upTo = (seconds: number): Spell[] => {
  const spells: Spell[] = []
  let left = seconds
  for (const s of plan.spells) {
    if (left <= 0) break
    spells.push({ ...s, seconds: Math.min(left, s.seconds) })
    left -= s.seconds
  }
  return spells
}

describe('a forecast that heeds the probe', () => {
  it('ends nearer to the target than the plan would, over truths drawn from what is not known', () => {
    const random = new Randomness(5)
    const at = 0.6 * plan.pull.time
    let [withProbe, byClock] = [0, 0]
    const CASES = 12
    for (let i = 0; i < CASES; i++) {
      const truth = withUnknowns(setup, drawUnknowns(random))
      const cooked = run(panSubject(truth), panStages(truth, plan.spells, 600), KEEP_ALL)
      const reading = { time: at, celsius: valueAt(cooked.history.time, cooked.history.core, at) + 0.5 * random.normal() }
      const heeded = heed(setup, 54, upTo(at), [reading], plan.pull.time)
      const again = planPanSear(heeded.setup, 54, upTo(at))
      const end = run(panSubject(truth), panStages(truth, again.spells, 1200), KEEP_ALL).peak.core
      withProbe += Math.abs(end - 54)
      byClock += Math.abs(cooked.peak.core - 54)
    }
    expect(withProbe).toBeLessThan(0.55 * byClock)
    expect(withProbe / CASES).toBeLessThan(2.2)
  })

  it('a reading just as expected changes next to nothing; without one nothing changes', () => {
    const at = 0.5 * plan.pull.time
    const same = heed(setup, 54, upTo(at), [{ time: at, celsius: valueAt(plan.history.time, plan.history.core, at) }], plan.pull.time)
    expect(Math.abs(same.thickerMm)).toBeLessThan(1)
    expect(planPanSear(same.setup, 54, upTo(at)).pull.time / plan.pull.time).toBeCloseTo(1, 1)
    expect(heed(setup, 54, upTo(at), [], plan.pull.time)).toMatchObject({ setup, thickerMm: 0, contact: 1, expectedC: null })
  })

  it('a cold reading means a thicker piece and more time, and narrows what may come', () => {
    const at = 0.6 * plan.pull.time
    const expected = valueAt(plan.history.time, plan.history.core, at)
    const cold = heed(setup, 54, upTo(at), [{ time: at, celsius: expected - 5 }], plan.pull.time)
    const none = heed(setup, 54, upTo(at), [], plan.pull.time)
    expect(cold.thickerMm).toBeGreaterThan(0.3)
    expect(planPanSear(cold.setup, 54, upTo(at)).pull.time).toBeGreaterThan(plan.pull.time + 20)
    expect(cold.later - cold.sooner).toBeLessThan(0.8 * (none.later - none.sooner))
  })

  it('a probe in the fat or in the pan is not believed', () => {
    const at = 0.5 * plan.pull.time
    const wild = heed(setup, 54, upTo(at), [{ time: at, celsius: 75 }], plan.pull.time)
    expect(wild.unheeded).toHaveLength(1)
    expect(wild.setup).toBe(setup)
  })
})
