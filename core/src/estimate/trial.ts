/** A plan turned into the trial that its unknowns are drawn for. */
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { rested, timelineOf } from '#core/method/timeline'
import type { Plan } from '#core/plan/plan'
import type { Trial } from './ensemble'

export function trialOf<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Pick<Plan, 'free' | 'target'>): Trial<S> {
  return {
    setup,
    subject: method.subject,
    stages: (varied, free) => rested(timelineOf(method, varied, free), varied),
    free: plan.free,
    goal: method.goal(setup, plan.target)
  }
}
