/**
 * What lies in one pan with another takes longer for it, and the other too: each piece of the ticket is planned anew
 * when what lies beside it changes. The one at the fire is planned there.
 */
import { defineStore } from 'pinia'
import { watch } from 'vue'
import type { PlanAnswer } from '#core/usecase/plan'
import { askEngine } from '../workers/engine'
import { usePass } from './pass'

export const usePans = defineStore('pans', () => {
  const pass = usePass()
  watch(
    () => pass.crowded,
    async now => {
      if (!now) return
      const { id, request } = now
      const others = request.piece.count > 1 ? request.guests.named.map(g => g.targetC) : []
      const longest = { ...request, target: { ...request.target, coreC: Math.max(request.target.coreC, ...others) } }
      try {
        const answer = await askEngine(async engine => (await engine.plan(longest)) as PlanAnswer)
        if (pass.crowded === now) pass.refire(id, request, 'refused' in answer ? null : answer.plan)
      } catch {
        // Its time stays what it was, until something changes.
      }
    },
    { immediate: true }
  )
  return {}
})
