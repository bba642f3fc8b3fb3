/**
 * The plan for the draft, by whichever method it asks for, worked out in a worker as the inputs move; and what
 * follows from it. An answer carries the request it belongs to, and is current only while that is still the draft.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Spread } from '#core/estimate/spread'
import type { Misjudged } from '#core/plan/misjudged'
import type { PlanRequest } from '#core/request/request'
import { withBeside } from '#core/service/onePan'
import { preheatsOf, type Preheats } from '#core/session/warmUp'
import type { Planned, PlanAnswer, Refused } from '#core/usecase/plan'
import { AFTER_PLAN, inBackground } from '../workers/background'
import { Queue } from '../workers/queue'
import { canonical } from './canonical'
import { useDraft } from './draft'
import { usePass } from './pass'

export interface PlanResult extends Planned {
  readonly request: PlanRequest
  /** From lighting the first thing until the piece may be laid in, s. */
  readonly preheatS: number
  /** What that is. */
  readonly leads: Preheats['leads']
}

export function resultOf(request: PlanRequest, answer: Planned): PlanResult {
  const { first: preheatS, leads } = preheatsOf(request, answer.plan.marks)
  return { ...answer, request, preheatS, leads }
}

export const usePlan = defineStore('plan', () => {
  const draft = useDraft()
  const pass = usePass()
  const result = shallowRef<PlanResult | null>(null)
  const refusal = shallowRef<(Omit<Refused, 'kind'> & { readonly request: PlanRequest }) | null>(null)
  const spreadOf = shallowRef<{ readonly of: PlanResult; readonly spread: Spread } | null>(null)
  const misjudgedOf = shallowRef<{ readonly of: PlanResult; readonly misjudged: Misjudged } | null>(null)

  /** The draft, with what the ticket has in its pan beside it; the same as long as it says the same. */
  const asked = computed<PlanRequest>(before => {
    const now = withBeside(draft.request, pass.beside(draft.pieceId))
    return before && now !== draft.request && canonical(now) === canonical(before) ? before : now
  })
  const isDraft = (request: PlanRequest): boolean => request === asked.value
  let cancel: (() => void) | null = null

  const queue = new Queue<PlanRequest, PlanAnswer>({
    ask: (remote, request) => remote.plan(request) as Promise<PlanAnswer>,
    answered: (request, answer, fresh) => {
      if ('refused' in answer) {
        refusal.value = { ...answer, request }
        return
      }
      result.value = resultOf(request, answer)
      refusal.value = null
      if (fresh) void fresh.remote.warmUp(request)
      if (isDraft(request)) cancel = follow(result.value)
    },
    failed: request => {
      const refused = 'The engine failed on this plan. Change something and it tries again.'
      refusal.value = { request, refused, key: null, nearest: null }
    }
  })

  /** How sure it is, and what a few millimetres would do. */
  const follow = (of: PlanResult): (() => void) =>
    inBackground(
      async (remote, token) => {
        spreadOf.value = { of, spread: await remote.spread(of.request, of.plan, token) }
        misjudgedOf.value = { of, misjudged: await remote.misjudged(of.request, of.plan, token) }
      },
      AFTER_PLAN,
      // Without them the plan stands all the same.
      () => undefined
    )

  watch(
    asked,
    request => {
      // It is of no use any more, and would keep the plan waiting.
      cancel?.()
      cancel = null
      queue.put(request)
    },
    { immediate: true }
  )

  const wrong = computed(() => draft.firstProblem)
  /** The plan for exactly what is on the screen; null while it is worked out or where it cannot be. */
  const current = computed(() => (result.value && isDraft(result.value.request) && !wrong.value ? result.value : null))
  const refused = computed(() => (refusal.value && isDraft(refusal.value.request) ? refusal.value : null))
  /** The last plan there was by this method: shown faint, and never as current, while the next is worked out. */
  const shown = computed(() => current.value ?? (result.value?.kind === draft.request.method.kind ? result.value : null))
  /** Of what is shown, as faint as that. */
  const spread = computed(() => (shown.value && spreadOf.value?.of === shown.value ? spreadOf.value.spread : null))
  const misjudged = computed(() => (shown.value && misjudgedOf.value?.of === shown.value ? misjudgedOf.value.misjudged : null))
  const state = computed<'ready' | 'working' | 'refused' | 'wrong input'>(() =>
    wrong.value ? 'wrong input' : refused.value ? 'refused' : current.value ? 'ready' : 'working'
  )

  /** The plan for what is on the screen, as soon as it is there; null where there is none to be had. */
  function soon(): Promise<PlanResult | null> {
    if (state.value !== 'working') return Promise.resolve(current.value)
    return new Promise(resolve => {
      const stop = watch(state, now => {
        if (now === 'working') return
        stop()
        resolve(current.value)
      })
    })
  }

  return { current, shown, spread, misjudged, refused, state, soon }
})
