/** A strip in its pan unless said otherwise, planned; for tests. */
import type { Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { FILLET_LOG } from '#core/method/setups.fixture'
import { by, type PlanRequest } from '#core/request/request'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { setupOf, type Asked } from '#core/request/setup'
import { planMethod, type Plan } from './plan'

/** A fillet where the method wants a joint. */
export function asked(kind: MethodKind, settings: Settings = {}, piece: Partial<Piece> = {}, coreC = 54): PlanRequest {
  const usual = kind === 'roast' || kind === 'in pastry' ? FILLET_LOG : FIRST_REQUEST.piece
  return by({ ...FIRST_REQUEST, piece: { ...usual, ...piece }, target: { ...FIRST_REQUEST.target, coreC } }, kind, settings)
}

export interface PlannedCase extends Asked {
  readonly request: PlanRequest
  readonly plan: Plan
}

/** @throws InfeasibleError, RequestError */
export function planned(request: PlanRequest): PlannedCase {
  const found = setupOf(request)
  return { ...found, request, plan: planMethod(found.method, found.setup, found.targetC, found.byClockS) }
}
