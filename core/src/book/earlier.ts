/** A plan as it was kept before every method had one record: its free time stood with the way, or was the pan's. */
import type { PlanRequest } from '#core/request/request'
import type { PlannedFigures } from './record'

type Earlier = Omit<PlannedFigures, 'freeS'> & { readonly freeS?: number | undefined }

export function plannedFromEarlier(planned: unknown, { method }: PlanRequest, way: unknown): PlannedFigures {
  const earlier = planned as Earlier
  const free = (way as { readonly free?: unknown } | null)?.free
  const freeS = earlier.freeS ?? (typeof free === 'number' ? free : earlier.pullS - (method.settings.fatEdgeS ?? 0))
  return { ...earlier, freeS }
}
