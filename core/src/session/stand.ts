/** Where a cook stands, by the pan alone or by any other method: what is next, what is called out, what follows. */
import type { PanPlan } from '#core/plan/panPlan'
import type { PlanRequest } from '#core/request/request'
import type { UnderWay } from '#core/estimate/underWay'
import type { UnitSystem } from '#core/quantity/units'
import { callFor, callsAfter, type Call } from './call'
import { nextAction, type NextAction } from './nextAction'
import type { Progress } from './progress'
import { heatsOf, preheatsOf, type Way } from './way'
import { nextWayAction } from './wayAction'
import { callForWay, callsAfterWay } from './wayCall'

/** The forecast of one cook. */
export type Forecast = { readonly way: null; readonly plan: PanPlan } | { readonly way: Way; readonly plan: UnderWay }

/** What is known of the cook besides. */
export interface Asked {
  readonly request: PlanRequest
  /** From lighting the ring until the piece may be laid in, s; null where nobody knows. */
  readonly preheatS: number | null
}
const USUAL_PREHEAT_S = 240

export function nextOf(progress: Progress, forecast: Forecast, { request, preheatS }: Asked): NextAction | null {
  return forecast.way === null
    ? nextAction(progress, forecast.plan, preheatS ?? USUAL_PREHEAT_S)
    : nextWayAction(progress, forecast.plan, preheatsOf(request, forecast.way, forecast.plan.marks))
}

export function callOf(action: NextAction, progress: Progress, forecast: Forecast, { request, preheatS }: Asked, system: UnitSystem): Call {
  if (forecast.way === null) return callFor(action, progress, forecast.plan, request, preheatS ?? USUAL_PREHEAT_S, system)
  const { way, plan } = forecast
  const [heats, preheats] = [heatsOf(request, way), preheatsOf(request, way, plan.marks)]
  return callForWay({ action, progress, forecast: plan, request, heats, preheats }, system)
}

/** @param pullIn when it may come out, s from now; @param elapsed s since it was laid in */
export function afterOf(
  action: NextAction,
  progress: Progress,
  forecast: Forecast,
  pullIn: readonly [number, number],
  elapsed: number,
  system: UnitSystem
): { readonly what: string; readonly when: string }[] {
  return forecast.way === null
    ? callsAfter(action, forecast.plan, pullIn, system)
    : callsAfterWay(action, progress, forecast.plan, pullIn, elapsed, system)
}
