/**
 * Every method on the piece, worked out one after the other off the page, each as the cook has it set. An answer
 * counts only for exactly the request it was asked with.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import type { Misjudged } from '#core/plan/misjudged'
import type { PlanRequest } from '#core/request/request'
import type { PlanAnswer, Planned, Refused } from '#core/usecase/plan'
import { startEngine, type EngineWorker } from '../workers/engine'
import { useDraft } from './draft'

/** A method as far as it is worked out: the plan first, and then what a few millimetres would do to it. */
export type Compared = (Planned & { readonly misjudged: Misjudged | null }) | Refused

interface ComparisonAnswer {
  readonly key: string
  readonly compared: Compared
}

/** Two at a time: as many as the smallest machine has to spare. */
const WORKERS = 2

export const useComparison = defineStore('comparison', () => {
  const draft = useDraft()
  const answers = shallowRef<Partial<Record<MethodKind, ComparisonAnswer>>>({})
  const failed = shallowRef<string | null>(null)
  /** Only while somebody looks. */
  const watched = shallowRef(false)
  let workers: EngineWorker[] = []
  let round = 0

  /** What an answer hangs on: who is at the table changes no plan. */
  const keyFor = ({ guests: _, ...asked }: PlanRequest): string => JSON.stringify(asked)
  const current = (kind: MethodKind): Compared | null => {
    const answer = answers.value[kind]
    return answer?.key === keyFor(draft.askedBy(kind)) ? answer.compared : null
  }
  const stale = (kind: MethodKind): Compared | null => answers.value[kind]?.compared ?? null
  const take = (kind: MethodKind, key: string, compared: Compared): void => {
    answers.value = { ...answers.value, [kind]: { key, compared } }
  }
  const whole = (kind: MethodKind): boolean => {
    const found = current(kind)
    return found !== null && !('plan' in found && found.misjudged === null)
  }
  const rows = computed(() => METHOD_KINDS.map(kind => ({ kind, compared: current(kind) })))
  const working = computed(() => watched.value && rows.value.some(r => r.compared === null))

  /** @returns null where another round has begun */
  async function weigh({ remote }: EngineWorker, kind: MethodKind, mine: number): Promise<void> {
    const request = draft.askedBy(kind)
    const key = keyFor(request)
    let found = current(kind)
    if (found === null) {
      const answer = (await remote.plan(request)) as PlanAnswer
      if (mine !== round) return
      found = 'plan' in answer ? { ...answer, misjudged: null } : answer
      take(kind, key, found)
    }
    if ('plan' in found && found.misjudged === null) {
      const misjudged = await remote.misjudged(request, found.plan)
      if (mine === round) take(kind, key, { ...found, misjudged })
    }
  }

  async function work(): Promise<void> {
    round += 1
    const mine = round
    for (const worker of workers) worker.terminate()
    workers = []
    failed.value = null
    const first = draft.request.method.kind
    const open = [first, ...METHOD_KINDS.filter(k => k !== first)].filter(k => !whole(k))
    workers = Array.from({ length: Math.min(WORKERS, open.length) }, () => startEngine())
    await Promise.all(
      workers.map(async worker => {
        for (let kind = open.shift(); kind && mine === round; kind = open.shift())
          try {
            await weigh(worker, kind, mine)
          } catch {
            if (mine === round) failed.value = `The engine failed on ${kind}. Change something and it tries again.`
          }
        worker.terminate()
      })
    )
  }
  watch([() => draft.request, watched], () => {
    if (watched.value) void work()
  })

  return { rows, working, failed, watched, stale, current }
})
