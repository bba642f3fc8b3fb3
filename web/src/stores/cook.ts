/**
 * The cook under way. What happens is written here first, in the browser's storage,
 * and sent to the server from an outbox that tries until it is taken: a dead server or
 * a closed page loses nothing.
 */
import { defineStore } from 'pinia'
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import { NO_OUTCOME, plannedOf, type CookRecord, type Outcome } from '#core/book/record'
import { standing, undoable, type CookEvent } from '#core/session/events'
import { ALLOWED, progressOf } from '#core/session/progress'
import { parseEvents, parseNewCook, type NewCook } from '#core/book/cookSchema'
import type { Plan } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import type { Spread } from '#core/estimate/spread'
import { wholeSettings } from '#core/request/setup'
import { api, RefusedError, UnreachableError } from '../api/client'
import { kept } from './kept'

export type Said =
  | { kind: 'lit' | 'laid' | 'turned' | 'edged' | 'moved' | 'lifted' | 'returned' | 'pulled' | 'carved' }
  | { kind: 'reading'; coreC: number }
  | { kind: 'undone'; undoes: string }

type Letter = { readonly cookId: string } & (
  | { readonly kind: 'begin'; readonly cook: NewCook }
  | { readonly kind: 'events'; readonly events: readonly CookEvent[] }
  | { readonly kind: 'outcome'; readonly outcome: Outcome }
)

/** What a cook begins from. */
interface Begun {
  readonly request: PlanRequest
  readonly plan: Plan
  readonly preheatS: number
}

const RETRY_MS = 3000

function parseCook(stored: unknown): CookRecord | null {
  if (stored === null) return null
  const { id, title, createdAt, request, way, planned, events, outcome } = stored as CookRecord & { readonly way?: unknown }
  return { ...parseNewCook({ id, title, createdAt, request, way, planned }), events: parseEvents({ events }), outcome }
}

export const useCook = defineStore('cook', () => {
  const cook = kept<CookRecord | null>('macellaio.cook', () => null, parseCook)
  /** The cook last put away, until the server has it. */
  const last = kept<CookRecord | null>('macellaio.last', () => null, parseCook)
  const outbox = kept<readonly Letter[]>(
    'macellaio.outbox',
    () => [],
    stored => (Array.isArray(stored) ? (stored as Letter[]) : [])
  )
  const offline = ref(false)
  const refused = ref<string | null>(null)
  let sending = false
  let again: ReturnType<typeof setTimeout> | undefined

  const progress = computed(() => (cook.value ? progressOf(cook.value.events) : null))
  const underWay = computed(() => progress.value !== null && progress.value.phase !== 'carved')
  const unsent = computed(() => outbox.value.length)
  const canUndo = computed(() => (cook.value ? undoable(cook.value.events) : null))

  /** Every setting is written down as it stands: what is usual may be another one day. */
  function begin(title: string, { request, plan, preheatS }: Begun, spread: Spread | null): void {
    const fresh: NewCook = {
      id: nanoid(12),
      title,
      createdAt: Date.now(),
      request: { ...request, method: { ...request.method, settings: wholeSettings(request) } },
      planned: plannedOf(plan, spread, preheatS)
    }
    cook.value = { ...fresh, events: [], outcome: NO_OUTCOME }
    post({ kind: 'begin', cookId: fresh.id, cook: fresh })
  }

  /** @param at when it happened, epoch ms; never before what is already written down */
  function say(said: Said, at: number = Date.now()): void {
    if (!cook.value || !progress.value) return
    if (said.kind !== 'undone' && !ALLOWED[progress.value.phase].includes(said.kind)) return
    const earliest = Math.max(0, ...standing(cook.value.events).map(e => e.at))
    const event: CookEvent = { id: nanoid(12), at: Math.max(at, said.kind === 'undone' ? 0 : earliest), entered: Date.now(), ...said }
    cook.value = { ...cook.value, events: [...cook.value.events, event] }
    post({ kind: 'events', cookId: cook.value.id, events: [event] })
  }

  function undo(): CookEvent | null {
    const last = canUndo.value
    if (last) say({ kind: 'undone', undoes: last.id })
    return last
  }

  function judge(cookId: string, outcome: Outcome): void {
    if (cook.value?.id === cookId) cook.value = { ...cook.value, outcome }
    if (last.value?.id === cookId) last.value = { ...last.value, outcome }
    outbox.value = outbox.value.filter((l, i) => !(l.kind === 'outcome' && l.cookId === cookId && (i > 0 || !sending)))
    post({ kind: 'outcome', cookId, outcome })
  }

  /** Takes the cook off the stove; it stays in the Book. */
  function clear(): void {
    last.value = cook.value
    cook.value = null
  }

  function post(letter: Letter): void {
    outbox.value = [...outbox.value, letter]
    void send()
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(again)
    try {
      while (outbox.value.length > 0) {
        const [letter] = outbox.value
        await deliver(letter)
        outbox.value = outbox.value.slice(1)
        offline.value = false
      }
    } catch (error) {
      if (error instanceof RefusedError && error.status < 500 && error.status !== 429) {
        // It will never be taken: say so, keep the cook here, go on with the rest.
        refused.value = error.message
        outbox.value = outbox.value.slice(1)
        again = setTimeout(() => void send(), 0)
      } else {
        offline.value = error instanceof UnreachableError || error instanceof RefusedError
        again = setTimeout(() => void send(), RETRY_MS)
      }
    } finally {
      sending = false
    }
  }

  function deliver(letter: Letter): Promise<unknown> {
    switch (letter.kind) {
      case 'begin':
        return api.begin(letter.cook)
      case 'events':
        return api.tell(letter.cookId, letter.events)
      case 'outcome':
        return api.judge(letter.cookId, letter.outcome)
    }
  }

  void send()
  return { cook, last, progress, underWay, unsent, offline, refused, canUndo, begin, say, undo, judge, clear }
})
