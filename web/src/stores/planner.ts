/**
 * The plan for the draft, computed in a worker as the inputs move. A result carries
 * the request it belongs to; it is current only while that is still the draft.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { preheatSeconds } from '#core/kit/pan'
import type { PanPlan } from '#core/plan/panPlan'
import { setupOf, type PlanRequest } from '#core/request/request'
import type { Spread } from '#core/plan/spread'
import { aside } from '../workers/aside'
import { AFTER_PLAN, hireWorker, Latest } from '../workers/planner'
import type { Planned } from '../workers/planner.worker'
import { useDraft } from './draft'

export interface PlanResult {
  readonly request: PlanRequest
  readonly plan: PanPlan
  readonly preheatS: number | null
}

export const usePlanner = defineStore('planner', () => {
  const draft = useDraft()
  const result = shallowRef<PlanResult | null>(null)
  const spreadResult = shallowRef<{ request: PlanRequest; spread: Spread } | null>(null)
  const refusal = shallowRef<{ request: PlanRequest; message: string; field: string | null } | null>(null)

  const planner = hireWorker()
  let practised = false
  let letGo: (() => void) | null = null

  const latest = new Latest<PlanRequest, Planned>(
    request => planner.remote.plan(request) as Promise<Planned>,
    (request, answer) => {
      if ('plan' in answer) {
        const { settings, room } = setupOf(request)
        result.value = {
          request,
          plan: answer.plan,
          preheatS: preheatSeconds(settings.pan, settings.ring, request.panC, room.temperatureC)
        }
        refusal.value = null
        if (!practised) void planner.remote.practise(request, null, {})
        practised = true
        if (isDraft(request)) letGo = workOutSpread(request, answer.plan)
      } else {
        refusal.value = { request, message: answer.refused, field: answer.field }
      }
    },
    request => {
      refusal.value = { request, message: 'The engine failed on this plan. Change something and it tries again.', field: null }
    }
  )

  function workOutSpread(request: PlanRequest, plan: PanPlan): () => void {
    return aside(
      async (remote, ticket) => {
        spreadResult.value = { request, spread: await remote.spread(request, plan, ticket) }
      },
      AFTER_PLAN,
      // Without it the plan stands all the same.
      () => undefined
    )
  }

  const isDraft = (request: PlanRequest): boolean => request === draft.request

  watch(
    () => draft.request,
    request => {
      // It is of no use any more, and would keep the plan waiting.
      letGo?.()
      letGo = null
      latest.put(request)
    },
    { immediate: true }
  )

  const wrong = computed(() => draft.firstProblem)
  /** The plan for exactly what is on the screen; null while it is worked out or where it cannot be. */
  const current = computed(() => (result.value && isDraft(result.value.request) && !wrong.value ? result.value : null))
  const spread = computed(() =>
    spreadResult.value && current.value && spreadResult.value.request === current.value.request ? spreadResult.value.spread : null
  )
  const refused = computed(() => (refusal.value && isDraft(refusal.value.request) ? refusal.value : null))
  const state = computed<'ready' | 'working' | 'refused' | 'wrong input'>(() =>
    wrong.value ? 'wrong input' : refused.value ? 'refused' : current.value ? 'ready' : 'working'
  )

  return { result, current, spread, refused, state }
})
