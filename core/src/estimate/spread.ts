/**
 * What is not known and what it does to a plan: thickness, start, contact, convection, heat and the model itself, each drawn
 * at random inside its range, the plan's program run on every draw. Seeded, so that the same plan always shows
 * the same range. Draws are coarse, so what is shown is the plan's own figures moved by how a draw differs from
 * the undisturbed one.
 */
import { valueAt } from '#core/heat/history'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { percentile, percentiles, type Percentiles } from '#core/numerics/statistics'
import { finish, type Steps } from '#core/numerics/steps'
import type { Plan } from '#core/plan/plan'
import { drawing } from './ensemble'
import { each, type Gauss, type Unknowns } from './prior'
import { trialOf } from './trial'

export interface Spread {
  /**
   * When it should come off so that it peaks at the target, s since it first met the heat: the 10th, 50th and
   * 90th percentile of what the draws need.
   */
  readonly pull: Percentiles
  /** Peak of the core if it comes off by the plan's clock instead, °C. */
  readonly peakByClock: Percentiles
  /** Core by the clock, along `time`: 10th and 90th percentile. */
  readonly time: readonly number[]
  readonly low: readonly number[]
  readonly high: readonly number[]
}

const MEMBERS = 40
const SEED = 20262
const POINTS = 60

const sure: Gauss = { mean: 0, sd: 0 }
const UNDISTURBED: Unknowns<Gauss> = each(() => sure)

export const spreadOf = <S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Spread =>
  finish(spreading(method, setup, plan))

/** The same, a draw at a time. */
export function* spreading<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Steps<Spread> {
  const trial = trialOf(method, setup, plan)
  const members = yield* drawing(trial, MEMBERS, SEED)
  const [middle] = yield* drawing(trial, 1, SEED, UNDISTURBED)
  const { history } = plan
  const end = Math.max(plan.carve.time, plan.peak.time)
  const time = Array.from({ length: POINTS + 1 }, (_, i) => (end * i) / POINTS)
  const columns = time.map(t => members.map(m => m.core(t) - middle.core(t) + valueAt(history.time, history.core, t)))
  return {
    pull: percentiles(members.map(m => plan.pull.time + plan.free * (m.needed / middle.needed - 1))),
    peakByClock: percentiles(members.map(m => plan.peak.core + m.peakByClock - middle.peakByClock)),
    time,
    low: columns.map(c => percentile(c, 0.1)),
    high: columns.map(c => percentile(c, 0.9))
  }
}
