/**
 * How sure a plan by any method is: the same unknowns as for the pan, drawn and run.
 * Draws are coarse, so what is shown is the plan's own figures moved by how a draw differs
 * from the undisturbed one.
 */
import { valueAt } from '#core/heat/history'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { drawing, type Gauss, type Percentiles, type Unknowns } from '#core/estimate/belief'
import type { Plan } from './plan'
import { percentile } from '#core/numerics/random'
import type { Spread } from './spread'
import { finish, type Steps } from '#core/numerics/steps'
import { trialOf } from '#core/estimate/trial'

const MEMBERS = 40
const SEED = 20262
const POINTS = 60

const sure: Gauss = { mean: 0, sd: 0 }
const UNDISTURBED: Unknowns<Gauss> = { thickness: sure, start: sure, contact: sure, air: sure, heat: sure }

export const methodSpread = <S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Spread =>
  finish(methodSpreading(method, setup, plan))

/** The same, a draw at a time. */
export function* methodSpreading<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Steps<Spread> {
  const trial = trialOf(method, setup, plan)
  const members = yield* drawing(trial, MEMBERS, SEED)
  const [middle] = yield* drawing(trial, 1, SEED, UNDISTURBED)
  const { history } = plan
  const end = Math.max(plan.carve.time, plan.peak.time)
  const time = Array.from({ length: POINTS + 1 }, (_, i) => (end * i) / POINTS)
  const columns = time.map(t => members.map(m => m.core(t) - middle.core(t) + valueAt(history.time, history.core, t)))
  const three = (values: readonly number[]): Percentiles => [percentile(values, 0.1), percentile(values, 0.5), percentile(values, 0.9)]
  return {
    pull: three(members.map(m => plan.pull.time + plan.free * (m.needed / middle.needed - 1))),
    peakByClock: three(members.map(m => plan.peak.core + m.peakByClock - middle.peakByClock)),
    time,
    low: columns.map(c => percentile(c, 0.1)),
    high: columns.map(c => percentile(c, 0.9))
  }
}
