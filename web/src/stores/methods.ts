/**
 * Every method on the piece, worked out one after the other off the page. An answer
 * counts only for exactly the piece, target and settings it was asked with.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { dialsOf, fitsDial, type DialKey, type Dialled, type DialValues } from '#core/method/dials'
import { COVERS } from '#core/method/panSear'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import type { Misjudged, Planned, Unsuited } from '#core/plan/compare'
import type { ReadCase } from '#core/formats/planCase'
import type { PlanRequest } from '#core/request/request'
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
      return fitsDial(d, value) ? [[d.key, value] as const] : []
    })
    found[kind] = Object.fromEntries(fine)
  }
  return found
}

/** A way as far as it is worked out: the plan first, and then what a few millimetres would do to it. */
export type Weighed = (Planned & { readonly misjudged: Misjudged | null }) | Unsuited

interface Answer {
  readonly key: string
  readonly compared: Weighed
}

export const useMethods = defineStore('methods', () => {
  const draft = useDraft()
  const turned = kept<Turned>('macellaio.dials', () => ({}), parseTurned)
  const answers = shallowRef<Partial<Record<MethodKind, Answer>>>({})
  const failed = shallowRef<string | null>(null)
  /** Only while somebody looks. */
  const watched = shallowRef(false)
  /** The one way that somebody looks at in full. */
  const followed = shallowRef<MethodKind | null>(null)
  const first = shallowRef<MethodKind>('pan sear')
  let hands: Hand[] = []
  let round = 0

  /** What an answer hangs on; how the pan is set counts for the pan alone. */
  const keyFor = (request: PlanRequest, kind: MethodKind): string => {
    if (kind === 'pan sear') return JSON.stringify([request, turned.value[kind] ?? {}])
    const { piece, room, panId, ringId, scaleId, ownScale, targetC, kit } = request
    return JSON.stringify([piece, room, panId, ringId, scaleId, ownScale, targetC, kit, turned.value[kind] ?? {}])
  }
  const current = (kind: MethodKind): Weighed | null => {
    const answer = answers.value[kind]
    return answer?.key === keyFor(draft.request, kind) ? answer.compared : null
  }
  const answer = (kind: MethodKind, key: string, compared: Weighed): void => {
    answers.value = { ...answers.value, [kind]: { key, compared } }
  }
  const whole = (kind: MethodKind): boolean => {
    const found = current(kind)
    return found !== null && !('plan' in found && found.misjudged === null)
  }
  const rows = computed(() => METHOD_KINDS.map(kind => ({ kind, compared: current(kind), stale: answers.value[kind]?.compared ?? null })))
  const working = computed(() => watched.value && rows.value.some(r => r.compared === null))

  function turn<K extends DialKey>(kind: MethodKind, key: K, value: DialValues[K]): void {
    first.value = kind
    if (kind === 'pan sear' && key !== 'byClockS') {
      turnPan(key, value)
      return
    }
    turned.value = { ...turned.value, [kind]: { ...turned.value[kind], [key]: value } }
  }
  /** In a pan alone the settings are the draft's own, the same that the pan's page shows. */
  function turnPan(key: DialKey, value: DialValues[DialKey]): void {
    const { rest } = draft.request
    const seconds = rest.kind === 'clock' ? rest.seconds : 600
    if (key === 'restSchool') draft.change({ rest: value === 'clock' ? { kind: 'clock', seconds } : { kind: value as 'to the peak' } })
    else if (key === 'restS') draft.change({ rest: { kind: 'clock', seconds: value as number } })
    else if (key === 'cover') draft.change({ cover: COVERS.find(c => c === value) ?? 'bare' })
    else draft.change({ [key]: value })
  }
  function set(kind: MethodKind, dials: Dialled): void {
    if (kind === 'pan sear') {
      for (const [key, value] of Object.entries(dials)) if (key !== 'byClockS') turnPan(key as DialKey, value as DialValues[DialKey])
    }
    turned.value = { ...turned.value, [kind]: dials }
  }
  /** A plan that was read: its piece, room, target and kit on the bench, its dials as they were. */
  function open(read: ReadCase): void {
    draft.put(read.piece)
    const { kit } = read
    draft.change({ room: read.room, targetC: read.targetC, ...(kit ? { kit, panId: kit.pan.id, ringId: kit.ring.id } : {}) })
    set(read.kind, read.turned)
  }
  function asUsual(kind: MethodKind): void {
    turned.value = { ...turned.value, [kind]: {} }
  }

  // The one looked at in full is answered by a worker that stays warm: a hand on a dial should not wait for it to wake.
  let warm: Hand | null = null
  let busySince: number | null = null
  let waiting: MethodKind | null = null
  const TOO_LONG_MS = 400
  let impatient: ReturnType<typeof setTimeout> | undefined

  function ask(kind: MethodKind): void {
    waiting = kind
    if (busySince !== null) {
      const left = TOO_LONG_MS - (performance.now() - busySince)
      if (left > 0) {
        clearTimeout(impatient)
        impatient = setTimeout(() => {
          if (waiting !== null) ask(waiting)
        }, left)
        return
      }
      // What it still works on is of no use to anybody.
      warm?.stop()
      warm = null
      busySince = null
    }
    void answerNext()
  }
  async function answerNext(): Promise<void> {
    while (waiting !== null) {
      const kind = waiting
      waiting = null
      const fresh = warm === null
      warm ??= hireWorker()
      const hand = warm
      const key = keyFor(draft.request, kind)
      busySince = performance.now()
      try {
        const found = (await hand.remote.method(draft.request, kind, turned.value[kind] ?? {})) as Planned | Unsuited
        if (hand !== warm) return
        answer(kind, key, 'plan' in found ? { ...found, misjudged: null } : found)
        failed.value = null
        if (fresh && 'plan' in found) void hand.remote.practise(draft.request, kind, turned.value[kind] ?? {})
        // Set back meanwhile to what had been answered before: that answer is gone now.
        if (waiting === null && followed.value === kind && current(kind) === null) waiting = kind
      } catch {
        if (hand !== warm) return
        failed.value = `The engine failed on ${kind}. Change something and it tries again.`
      }
      busySince = null
    }
  }

  const stale = (kind: MethodKind): Weighed | null => answers.value[kind]?.compared ?? null
  function follow(kind: MethodKind | null): void {
    followed.value = kind
  }

  const CREW = 2
  async function workAll(): Promise<void> {
    round += 1
    const mine = round
    for (const hand of hands) hand.stop()
    failed.value = null
    const { request } = draft
    const open = [first.value, ...METHOD_KINDS.filter(k => k !== first.value)].filter(k => !whole(k))
    if (open.length === 0) return
    hands = Array.from({ length: Math.min(CREW, open.length) }, () => hireWorker())
    await Promise.all(
      hands.map(async hand => {
        for (let kind = open.shift(); kind && mine === round; kind = open.shift()) {
          const key = keyFor(request, kind)
          const dials = turned.value[kind] ?? {}
          try {
            let found = current(kind)
            if (found === null) {
              const plan = (await hand.remote.method(request, kind, dials)) as Planned | Unsuited
              if (mine !== round) return
              found = 'plan' in plan ? { ...plan, misjudged: null } : plan
              answer(kind, key, found)
            }
            if ('plan' in found && found.misjudged === null) {
              const misjudged = await hand.remote.misjudged(request, kind, dials, found.plan.free)
              if (mine !== round) return
              answer(kind, key, { ...found, misjudged })
            }
          } catch {
            if (mine === round) failed.value = `The engine failed on ${kind}. Change something and it tries again.`
          }
        }
        hand.stop()
      })
    )
  }
  watch([() => draft.request, turned, watched, followed], () => {
    if (watched.value) void workAll()
    else if (followed.value && current(followed.value) === null) ask(followed.value)
  })

  return { turned, rows, working, failed, watched, follow, stale, turn, open, asUsual, current }
})
