/** How sure a plan is, and what probe readings make of it: many draws at once, for whoever can wait a second. */
import { believe, drawMembers } from '#core/estimate/ensemble'
import type { Observation } from '#core/estimate/prior'
import { spreadOf, type Spread } from '#core/estimate/spread'
import { trialOf } from '#core/estimate/trial'
import type { Percentiles } from '#core/numerics/statistics'
import type { Plan } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'

export interface Belief {
  readonly spread: Spread
  /** Free time that brings it to the target, s. */
  readonly needed: Percentiles
  /** The same after the readings; null where there are none. */
  readonly neededAfter: Percentiles | null
}

const MEMBERS = 200
const SEED = 20261

export function belief(request: PlanRequest, plan: Plan, readings: readonly Observation[]): Belief {
  const { method, setup } = setupOf(request)
  const members = drawMembers(trialOf(method, setup, plan), MEMBERS, SEED)
  return {
    spread: spreadOf(method, setup, plan),
    needed: believe(members, []).needed,
    neededAfter: readings.length > 0 ? believe(members, readings).needed : null
  }
}
