/**
 * The cook under way. What happens is written here first, in the browser's storage,
 * and sent to the server from an outbox.
 */
import { defineStore } from 'pinia'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import { NO_OUTCOME, plannedOf, type CookRecord, type Outcome } from '#core/book/record'
import { standing, undoable, type CookEvent } from '#core/session/events'
import { ALLOWED, progressOf } from '#core/session/progress'
import { parseEvents, parseNewCook, type NewCook } from '#core/book/cookSchema'
import type { Plan } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import type { Spread } from '#core/estimate/spread'
import { wholeSettings } from '#core/request/setup'
import { api } from '../api/client'
import { kept } from './kept'
import { outbox } from './outbox'

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

function parseCook(stored: unknown): CookRecord | null {
  if (stored === null) return null
  const { id, title, createdAt, request, way, planned, events, outcome } = stored as CookRecord & { readonly way?: unknown }
  return { ...parseNewCook({ id, title, createdAt, request, way, planned }), events: parseEvents({ events }), outcome }
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

export const useCook = defineStore('cook', () => {
  const cook = kept<CookRecord | null>('macellaio.cook', () => null, parseCook)
  /** The cook last put away, until the server has it. */
  const last = kept<CookRecord | null>('macellaio.last', () => null, parseCook)
  const { letters, offline, refused, post, send } = outbox<Letter>('macellaio.outbox', deliver)

  const progress = computed(() => (cook.value ? progressOf(cook.value.events) : null))
  const underWay = computed(() => progress.value !== null && progress.value.state !== 'carved')
  const unsent = computed(() => letters.value.length)
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
    if (said.kind !== 'undone' && !ALLOWED[progress.value.state].includes(said.kind)) return
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
    post({ kind: 'outcome', cookId, outcome }, l => l.kind === 'outcome' && l.cookId === cookId)
  }

  /** Takes the cook off the stove; it stays in the Book. */
  function clear(): void {
    last.value = cook.value
    cook.value = null
  }

  void send()
  return { cook, last, progress, underWay, unsent, offline, refused, canUndo, begin, say, undo, judge, clear }
})
