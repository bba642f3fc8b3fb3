/** The engine off the main thread. */
import { expose } from 'comlink'
import { followRest, planPanSear, type PanPlan } from '#core/plan/panPlan'
import { InfeasibleError } from '#core/plan/plan'
import { RequestError, setupOf, type PlanRequest } from '#core/plan/request'
import { planSpread, type Spread } from '#core/plan/spread'
import type { Spell } from '#core/method/panSear'

/** Errors do not survive the way out of a worker; refusals travel as values. */
export type Planned = { readonly plan: PanPlan } | { readonly refused: string; readonly field: string | null }

export interface PlannerWorker {
  plan(request: PlanRequest): Planned
  /** For a cook under way: `past` is what has happened; `pulled` once it is off the heat. */
  forecast(request: PlanRequest, past: readonly Spell[], pulled: boolean): Planned
  spread(request: PlanRequest, plan: PanPlan): Spread
}

function guarded(work: () => PanPlan): Planned {
  try {
    return { plan: work() }
  } catch (error) {
    if (error instanceof RequestError) return { refused: error.message, field: error.field }
    if (error instanceof InfeasibleError) return { refused: error.message, field: null }
    throw error
  }
}

const worker: PlannerWorker = {
  plan: request => guarded(() => planPanSear(setupOf(request), request.targetC)),
  forecast: (request, past, pulled) =>
    guarded(() => (pulled ? followRest(setupOf(request), request.targetC, past) : planPanSear(setupOf(request), request.targetC, past))),
  spread: (request, plan) => planSpread(setupOf(request), plan)
}

expose(worker)
