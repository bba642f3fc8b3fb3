/**
 * Pieces of the ticket that are not at the fire, where they are planned: anew when what lies in one pan beside them
 * changes, as each takes longer for the other; and what was set of one before another took its place.
 */
import { defineStore } from 'pinia'
import { watch } from 'vue'
import { wantedOf } from '#core/request/guests'
import type { PlanRequest } from '#core/request/request'
import { dangersOf } from '#core/safety/dangers'
import { withBeside } from '#core/service/onePan'
import type { PlanAnswer } from '#core/usecase/plan'
import { askEngine } from '../workers/engine'
import { tableOf } from './draft'
import { useGuests } from './guests'
import { usePass } from './pass'

/** Of several donenesses, by the one that is longest at the heat. */
function planned(request: PlanRequest): Promise<PlanAnswer> {
  const others = request.piece.count > 1 ? wantedOf(request) : []
  const longest = { ...request, target: { ...request.target, coreC: Math.max(request.target.coreC, ...others) } }
  return askEngine(async engine => (await engine.plan(longest)) as PlanAnswer)
}

export const usePans = defineStore('pans', () => {
  const pass = usePass()
  const guests = useGuests()
  watch(
    () => pass.crowded,
    async now => {
      if (!now) return
      const { id, request } = now
      try {
        const answer = await planned(request)
        if (pass.crowded === now) pass.refire(id, request, 'refused' in answer ? null : answer.plan)
      } catch {
        // Its time stays what it was, until something changes.
      }
    },
    { immediate: true }
  )
  watch(
    () => pass.owed,
    async of => {
      if (!of) return
      const { request } = of
      try {
        const answer = await planned(withBeside(request, pass.beside(of.id)))
        if (pass.owed !== of) return
        const safe = !('refused' in answer) && dangersOf(request.target.coreC, tableOf(request), answer.plan, guests.reference).length === 0
        pass.settle(of, safe ? answer.plan : null)
      } catch {
        // It stays set, and is there when it comes back to the fire.
      }
    },
    { immediate: true }
  )
  return {}
})
