/** Rehearsals played by a script: as the calls say, or with something done otherwise. */
import { plannedOf, type CookRecord } from '#core/book/record'
import { NO_OUTCOME } from '#core/book/record'
import type { PlanRequest } from '#core/request/request'
import type { CookEvent } from '#core/session/events'
import { preheatsOf, ringFollows } from '#core/session/warmUp'
import { plan as planFor } from '#core/usecase/plan'

/** What is done otherwise, s after it was called, and what is left out. */
export interface Otherwise {
  readonly laid?: number
  readonly pulled?: number
  readonly carved?: number
  readonly turns?: number
  /** Lifted out between two moments, s since it was laid in. */
  readonly lifted?: readonly [from: number, to: number]
}

const LIT = 1_790_000_000_000

export function playedByCalls(
  request: PlanRequest,
  { laid = 0, pulled = 0, carved = 0, turns = Infinity, lifted }: Otherwise = {}
): CookRecord {
  const answer = planFor(request)
  if ('refused' in answer) throw new Error(answer.refused)
  const { plan } = answer
  const { marks, pull, carve, afterRest } = plan
  const preheats = preheatsOf(request, marks)
  let number = 0
  const event = (kind: Exclude<CookEvent['kind'], 'reading' | 'delayed' | 'parted' | 'undone'>, at: number): CookEvent => {
    number += 1
    const when = Math.round(at)
    return { id: `event-${number}`, at: when, entered: when, kind }
  }
  const laidAt = LIT + 1000 * (preheats.first + laid)
  const at = (seconds: number): number => laidAt + 1000 * seconds
  let turned = 0
  const moves = marks.slice(1).flatMap((m, i) => {
    const same = m.stage === marks[i].stage
    turned += same ? 1 : 0
    if ((same && turned > turns) || m.from >= pull.time + pulled) return []
    return [event(same ? 'turned' : m.phase === 'fat edge' ? 'edged' : 'moved', at(m.from))]
  })
  const out = lifted ? [event('lifted', at(lifted[0])), event('returned', at(lifted[1]))] : []
  const events = [
    event('lit', LIT),
    ...(ringFollows(preheats, marks) ? [event('lit', LIT + 1000 * (preheats.first - preheats.pan))] : []),
    event('laid', laidAt),
    ...[...moves, ...out].sort((a, b) => a.at - b.at),
    event('pulled', at(pull.time + pulled)),
    ...afterRest.map((m, i) => event(i > 0 && m.stage === afterRest[i - 1].stage ? 'turned' : 'moved', at(m.from + pulled))),
    event('carved', at(carve.time + pulled + carved))
  ]
  const planned = plannedOf(plan, null, preheats.first)
  return { id: 'rehearsed', title: 'Rehearsed', createdAt: LIT, request, planned, service: null, events, outcome: NO_OUTCOME }
}
