/**
 * Every method on the piece, worked out one after the other off the page. An answer
 * counts only for exactly the piece, target and settings it was asked with.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { dialsOf, type DialKey, type Dialled } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import type { Compared } from '#core/plan/compare'
import type { PlanRequest } from '#core/plan/request'
import { hireWorker, type Hand } from '../workers/planner'
import { useDraft } from './draft'
import { kept } from './kept'

type Turned = Partial<Record<MethodKind, Dialled>>

function parseTurned(stored: unknown): Turned {
  const found: Turned = {}
  for (const kind of METHOD_KINDS) {
    const given = (stored as Turned)[kind] ?? {}
    const fine = dialsOf(kind).flatMap(d => {
      const value = given[d.key]
      return typeof value === 'number' && value >= d.range[0] && value <= d.range[1] ? [[d.key, value] as const] : []
    })
    found[kind] = Object.fromEntries(fine)
  }
  return found
}

interface Answer {
  readonly key: string
  readonly compared: Compared
}

export const useMethods = defineStore('methods', () => {
  const draft = useDraft()
  const turned = kept<Turned>('macellaio.dials', () => ({}), parseTurned)
  const answers = shallowRef<Partial<Record<MethodKind, Answer>>>({})
  const failed = shallowRef<string | null>(null)
  /** Only while somebody looks. */
  const watched = shallowRef(false)
  const first = shallowRef<MethodKind>('pan sear')
  let hands: Hand[] = []
  let round = 0

  /** What an answer hangs on; the pan's own settings of the Fire do not count here. */
  const keyFor = (request: PlanRequest, kind: MethodKind): string => {
    const { piece, room, panId, ringId, scaleId, targetC } = request
    return JSON.stringify([piece, room, panId, ringId, scaleId, targetC, turned.value[kind] ?? {}])
  }
  const current = (kind: MethodKind): Compared | null => {
    const answer = answers.value[kind]
    return answer?.key === keyFor(draft.request, kind) ? answer.compared : null
  }
  const rows = computed(() => METHOD_KINDS.map(kind => ({ kind, compared: current(kind), stale: answers.value[kind]?.compared ?? null })))
  const working = computed(() => watched.value && rows.value.some(r => r.compared === null))

  function turn(kind: MethodKind, key: DialKey, value: number): void {
    first.value = kind
    turned.value = { ...turned.value, [kind]: { ...turned.value[kind], [key]: value } }
  }
  function set(kind: MethodKind, dials: Dialled): void {
    turned.value = { ...turned.value, [kind]: dials }
  }
  function asUsual(kind: MethodKind): void {
    turned.value = { ...turned.value, [kind]: {} }
  }

  const CREW = 2
  async function workAll(): Promise<void> {
    round += 1
    const mine = round
    for (const hand of hands) hand.stop()
    failed.value = null
    const { request } = draft
    const open = [first.value, ...METHOD_KINDS.filter(k => k !== first.value)].filter(k => current(k) === null)
    if (open.length === 0) return
    hands = Array.from({ length: Math.min(CREW, open.length) }, () => hireWorker())
    await Promise.all(
      hands.map(async hand => {
        for (let kind = open.shift(); kind && mine === round; kind = open.shift()) {
          const key = keyFor(request, kind)
          try {
            const compared = (await hand.remote.method(request, kind, turned.value[kind] ?? {})) as Compared
            if (mine !== round) return
            answers.value = { ...answers.value, [kind]: { key, compared } }
          } catch {
            if (mine === round) failed.value = `The engine failed on ${kind}. Change something and it tries again.`
          }
        }
        hand.stop()
      })
    )
  }
  watch([() => draft.request, turned, watched], () => {
    if (watched.value) void workAll()
  })

  return { turned, rows, working, failed, watched, turn, set, asUsual, current }
})
