/**
 * What is not known and what it does to the plan: thickness, start temperature,
 * contact and convection, each drawn at random inside its range, and the same plan
 * run on every draw. Seeded, so that the same plan always shows the same range.
 */
import { valueAt } from '#core/heat/history'
import { COARSE_STEPS, run, type Recording } from '#core/heat/program'
import { flatSpells, panStages, panSubject, type PanSetup, type Spell } from '#core/method/panSear'
import { drawUnknowns, withUnknowns, type Percentiles } from '#core/estimate/belief'
import { percentile, Randomness } from '#core/numerics/random'
import type { PanPlan } from './panPlan'
import { finish, type Steps } from '#core/numerics/steps'

export interface Spread {
  /** When the core reads the pull temperature, s: the 10th, 50th and 90th percentile. */
  readonly pull: Percentiles
  /** Peak of the core if the piece is pulled by the clock instead, °C. */
  readonly peakByClock: Percentiles
  /** Core by the clock, along `time`. */
  readonly time: readonly number[]
  readonly low: readonly number[]
  readonly high: readonly number[]
}

const MEMBERS = 24
const SEED = 20260
const POINTS = 60
const RECORDING: Recording = { every: 10, fieldEvery: Infinity, untilPastPeakBy: Infinity }

/** @param plan made for `setup`, of a piece not yet in the pan */
export const planSpread = (setup: PanSetup, plan: PanPlan): Spread => finish(planSpreading(setup, plan))

/** The same, a draw at a time. */
export function* planSpreading(setup: PanSetup, plan: PanPlan): Steps<Spread> {
  const random = new Randomness(SEED)
  const middle = oneDraw(setup, plan)
  const end = plan.history.time[plan.history.time.length - 1]
  const time = Array.from({ length: POINTS + 1 }, (_, i) => (end * i) / POINTS)
  const columns: number[][] = time.map(() => [])
  const pulls: number[] = []
  const peaks: number[] = []
  for (let i = 0; i < MEMBERS; i++) {
    const draw = oneDraw(withUnknowns(setup, drawUnknowns(random)), plan)
    time.forEach((t, k) => columns[k].push(draw.core(t) - middle.core(t) + valueAt(plan.history.time, plan.history.core, t)))
    peaks.push(draw.peak - middle.peak + plan.peak.core)
    pulls.push((draw.pull / middle.pull) * plan.pull.time)
    yield
  }
  const three = (values: number[]): Percentiles => [percentile(values, 0.1), percentile(values, 0.5), percentile(values, 0.9)]
  return {
    pull: three(pulls),
    peakByClock: three(peaks),
    time,
    low: columns.map(c => percentile(c, 0.1)),
    high: columns.map(c => percentile(c, 0.9))
  }
}

interface Draw {
  readonly core: (time: number) => number
  readonly peak: number
  /** When the core reads the plan's pull temperature, s. */
  readonly pull: number
}

/** The plan's program run on one draw. Coarse, so only the difference between two draws is used. */
function oneDraw(setup: PanSetup, plan: PanPlan): Draw {
  const end = plan.history.time[plan.history.time.length - 1]
  const { history, peak } = run(panSubject(setup, 'coarse'), panStages(setup, plan.spells, end - plan.pull.time), RECORDING, COARSE_STEPS)
  return { core: t => valueAt(history.time, history.core, t), peak: peak.core, pull: reaches(setup, plan, history.time, history.core) }
}

/** When this draw's core reads the plan's pull temperature, turned on by the same rhythm for as long as it takes. */
function reaches(varied: PanSetup, plan: PanPlan, time: readonly number[], core: readonly number[]): number {
  const index = core.findIndex((c, i) => c >= plan.pull.core && time[i] <= plan.pull.time)
  if (index > 0) {
    const share = (plan.pull.core - core[index - 1]) / (core[index] - core[index - 1])
    return time[index - 1] + share * (time[index] - time[index - 1])
  }
  const stages = panStages(varied, carriedOn(plan.spells), 0)
  const outcome = run(
    panSubject(varied, 'coarse'),
    stages,
    { every: 5, fieldEvery: Infinity, untilPastPeakBy: Infinity, untilCore: plan.pull.core },
    COARSE_STEPS
  )
  const reached = outcome.history.time
  return reached[reached.length - 1]
}

/** The plan's own turning carried on to three times its length: the last side kept down where it turns few times. */
function carriedOn(spells: readonly Spell[]): Spell[] {
  const flat = flatSpells(spells)
  const few = flat.length <= 4
  const last = flat[flat.length - 1]
  const other = last.state === 'first down' ? 'second down' : 'first down'
  return [
    ...spells,
    ...Array.from({ length: 2 * flat.length }, (_, i): Spell => ({
      state: !few && i % 2 === 0 ? other : last.state,
      seconds: last.seconds
    }))
  ]
}
