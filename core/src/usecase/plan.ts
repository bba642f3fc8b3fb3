/** Plan one request: what comes of it, or why it cannot be. */
import { scaleOf } from '#core/doneness/scale'
import type { MethodKind } from '#core/method/methods'
import { InfeasibleError, mayBeLate, planMethod, type Plan } from '#core/plan/plan'
import type { WarmStart } from '#core/plan/search'
import { RequestError, type PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'

export interface Planned {
  readonly kind: MethodKind
  readonly plan: Plan
  /** How late the pull may be before the peak leaves its band of doneness, s; null where no lateness does that. */
  readonly lateS: number | null
}

export interface Refused {
  readonly kind: MethodKind
  /** Why, in a sentence or two. */
  readonly refused: string
  /** Which key of the request stands in its way; null where it is the whole. */
  readonly key: string | null
  /** The nearest that can be had: the peak, °C, at a free time, s. */
  readonly nearest: { readonly coreC: number; readonly freeS: number } | null
}

export type PlanAnswer = Planned | Refused

/** @param warmStart of a plan much like this one: saves time, and moves the answer by no more than the tenth of a kelvin to which the peak is solved */
export function plan(request: PlanRequest, warmStart?: WarmStart): PlanAnswer {
  return orRefused(request.method.kind, () => {
    const { method, setup, targetC, byClockS } = setupOf(request)
    const found = planMethod(method, setup, targetC, byClockS, warmStart)
    return { kind: request.method.kind, plan: found, lateS: mayBeLate(found, scaleOf(request.target)) }
  })
}

/** Errors do not survive the way out of a worker: refusals travel as values. */
export function orRefused<T>(kind: MethodKind, work: () => T): T | Refused {
  try {
    return work()
  } catch (error) {
    if (error instanceof RequestError) return { kind, refused: error.message, key: error.key, nearest: null }
    if (error instanceof InfeasibleError) {
      const { nearestC, atSeconds } = error
      const nearest = nearestC === null || atSeconds === null ? null : { coreC: nearestC, freeS: atSeconds }
      return { kind, refused: error.message, key: null, nearest }
    }
    throw error
  }
}
