/** The same piece by every method, side by side: how long, how even, how brown, how much is lost, and what is forgiven. */
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { misjudged, type Misjudged } from '#core/plan/misjudged'
import { by, type PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'
import { plan, type Planned, type Refused } from './plan'

export type Compared = (Planned & { readonly misjudged: Misjudged }) | Refused

/** @param set what the cook has set in each; the rest is as usual */
export function compare(
  request: PlanRequest,
  kinds: readonly MethodKind[],
  set: Partial<Readonly<Record<MethodKind, Settings>>> = {}
): Compared[] {
  return kinds.map(kind => {
    const asked = by(request, kind, set[kind] ?? {})
    const found = plan(asked)
    if ('refused' in found) return found
    const { method, setup } = setupOf(asked)
    return { ...found, misjudged: misjudged(method, setup, found.plan) }
  })
}
