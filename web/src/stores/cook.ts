/**
 * The cook under way. What happens is written here first, in the browser's storage,
 * and sent to the server from an outbox.
 */
import { defineStore } from 'pinia'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import { NO_OUTCOME, plannedOf, type CookRecord, type Outcome } from '#core/book/record'
import { standing, undoable, type CookEvent } from '#core/session/events'
import type { InService } from '#core/session/inService'
import { ALLOWED, progressOf } from '#core/session/progress'
import { parseEvents, parseNewCook, type NewCook } from '#core/book/cookSchema'
import type { Plan } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import type { Spread } from '#core/estimate/spread'
import { wholeSettings } from '#core/request/setup'
import { api } from '../api/client'
import { timeAt, useClock } from './clock'
import { kept } from './kept'
import { outbox } from './outbox'

export type Said =
  | { kind: 'lit' | 'laid' | 'turned' | 'edged' | 'moved' | 'lifted' | 'returned' | 'pulled' | 'halved' | 'carved' | 'looked' }
  | { kind: 'reading'; coreC: number }
  | { kind: 'delayed'; seconds: number; held?: boolean; flashS?: number; ovenC?: number }
  | { kind: 'parted'; seconds: number }
  | { kind: 'undone'; undoes: string }

type Letter = { readonly cookId: string } & (
  | { readonly kind: 'begin'; readonly cook: NewCook }
  | { readonly kind: 'events'; readonly events: readonly CookEvent[] }
  | { readonly kind: 'outcome'; readonly outcome: Outcome }
  | { readonly kind: 'title'; readonly title: string }
  | { readonly kind: 'thrown away' | 'put back' }
)

/** What a cook begins from. */
interface Begun {
  readonly request: PlanRequest
  readonly plan: Plan
  readonly preheatS: number
}

function parseCook(stored: unknown): CookRecord | null {
  if (stored === null) return null
  const { id, title, createdAt, request, way, planned, service, rehearsed, events, outcome } = stored as CookRecord & {
    readonly way?: unknown
  }
  return { ...parseNewCook({ id, title, createdAt, request, way, planned, service, rehearsed }), events: parseEvents({ events }), outcome }
}
/** One that cannot be read takes none of the others with it. */
function parseCooks(stored: unknown): CookRecord[] {
  return (Array.isArray(stored) ? stored : []).flatMap(one => {
    try {
      return parseCook(one) ?? []
    } catch {
      return []
    }
  })
}

/** Pieces of a service that are in the Book by now. */
interface Carved {
  readonly service: string
  readonly pieces: readonly string[]
}
function parseCarved(stored: unknown): Carved {
  const { service, pieces } = stored as Carved
  return { service: String(service), pieces: pieces.filter(id => typeof id === 'string') }
}

function deliver(letter: Letter): Promise<unknown> {
  switch (letter.kind) {
    case 'begin':
      return api.begin(letter.cook)
    case 'events':
      return api.tell(letter.cookId, letter.events)
    case 'outcome':
      return api.judge(letter.cookId, letter.outcome)
    case 'title':
      return api.rename(letter.cookId, letter.title)
    case 'thrown away':
      return api.remove(letter.cookId)
    case 'put back':
      return api.restore(letter.cookId)
  }
}

export const useCook = defineStore('cook', () => {
  const clock = useClock()
  /** Those of the kitchen, and those of a rehearsal beside them. */
  const all = kept<readonly CookRecord[]>('macellaio.cooks', () => [], parseCooks)
  const isHere = ({ rehearsed, service }: CookRecord): boolean =>
    (rehearsed === true ? (service?.id ?? null) : null) === (clock.rehearsing?.id ?? null)
  /** On this stove: in the kitchen, or in the rehearsal that one is in. */
  const cooks = computed(() => all.value.filter(isHere))
  /** Which stands large at the stove; where none is named, the first. */
  const shownId = kept<string | null>(
    'macellaio.cook.shown',
    () => null,
    stored => (typeof stored === 'string' ? stored : null)
  )
  /** The only one there was before there could be several. */
  const only = kept<CookRecord | null>('macellaio.cook', () => null, parseCook)
  if (only.value) {
    all.value = [...all.value.filter(c => c.id !== only.value?.id), only.value]
    only.value = null
  }
  /** The cook last put away, until the server has it. */
  const last = kept<CookRecord | null>('macellaio.last', () => null, parseCook)
  /** Of the service that was cooked for last; what stands on the stove is not among them. */
  const carved = kept<Carved>('macellaio.carved', () => ({ service: '', pieces: [] }), parseCarved)
  function remember(cooks: readonly CookRecord[]): void {
    for (const { events, service, rehearsed } of cooks) {
      if (!service?.piece || rehearsed === true || progressOf(events).state !== 'carved') continue
      const pieces = carved.value.service === service.id ? carved.value.pieces : []
      if (!pieces.includes(service.piece)) carved.value = { service: service.id, pieces: [...pieces, service.piece] }
    }
  }
  const { letters, offline, refused, post, send } = outbox<Letter>('macellaio.outbox', deliver, { heard: hearPage })

  const cook = computed(() => cooks.value.find(c => c.id === shownId.value) ?? cooks.value.at(0) ?? null)
  const progress = computed(() => (cook.value ? progressOf(cook.value.events) : null))
  const underWay = computed(() => cooks.value.some(c => progressOf(c.events).state !== 'carved'))
  /** Whether meat is cooking, whatever is rehearsed. */
  const inEarnest = computed(() => all.value.some(c => c.rehearsed !== true && !['ready', 'carved'].includes(progressOf(c.events).state)))
  const unsent = computed(() => letters.value.length)
  const canUndo = computed(() => (cook.value ? undoable(cook.value.events) : null))

  const find = (id: string): CookRecord | undefined => all.value.find(c => c.id === id)
  const put = (changed: CookRecord): void => void (all.value = all.value.map(c => (c.id === changed.id ? changed : c)))

  /**
   * Every setting is written down as it stands: what is usual may be another one day.
   * @param service what it has to do with others for the same table
   */
  function begin(title: string, { request, plan, preheatS }: Begun, spread: Spread | null, service: InService | null = null): string {
    const fresh: NewCook = {
      id: nanoid(12),
      title,
      createdAt: timeAt(clock),
      request: { ...request, method: { ...request.method, settings: wholeSettings(request) } },
      planned: plannedOf(plan, spread, preheatS),
      service,
      ...(clock.rehearsing ? { rehearsed: true } : {})
    }
    // What was carved and left there is in the Book.
    remember(all.value)
    all.value = [...all.value.filter(c => progressOf(c.events).state !== 'carved'), { ...fresh, events: [], outcome: NO_OUTCOME }]
    shownId.value = fresh.id
    post({ kind: 'begin', cookId: fresh.id, cook: fresh })
    return fresh.id
  }
  const show = (id: string): void => void (shownId.value = id)

  /**
   * @param at when it happened, epoch ms; never before what is already written down
   * @param ids of whom; what is said of several in one breath is taken back in one
   * @returns by which it can be taken back
   */
  function say(said: Said, at: number = timeAt(clock), ids: readonly string[] = cook.value ? [cook.value.id] : []): number {
    const entered = timeAt(clock)
    for (const of of all.value.filter(c => ids.includes(c.id))) sayOf(of, said, at, entered)
    return entered
  }
  function sayOf(of: CookRecord, said: Said, at: number, entered: number): void {
    if (said.kind !== 'undone' && !ALLOWED[progressOf(of.events).state].includes(said.kind)) return
    const earliest = Math.max(0, ...standing(of.events).map(e => e.at))
    const event: CookEvent = { id: nanoid(12), at: Math.max(at, said.kind === 'undone' ? 0 : earliest), entered, ...said }
    put({ ...of, events: [...of.events, event] })
    post({ kind: 'events', cookId: of.id, events: [event] })
  }

  /** Takes back just what was said then, whatever was said since. */
  function takeBack(entered: number): void {
    for (const { id, events } of all.value)
      for (const e of standing(events)) if (e.entered === entered) say({ kind: 'undone', undoes: e.id }, timeAt(clock), [id])
  }

  /** Takes back what was last said of the one shown, and what was said of others in the same breath. */
  function undo(): CookEvent | null {
    const taken = canUndo.value
    if (!taken) return null
    for (const { id, events } of cooks.value) {
      const theirs = undoable(events)
      if (theirs && theirs.kind === taken.kind && theirs.entered === taken.entered)
        say({ kind: 'undone', undoes: theirs.id }, timeAt(clock), [id])
    }
    return taken
  }

  function judge(cookId: string, outcome: Outcome): void {
    const of = find(cookId)
    if (of) put({ ...of, outcome })
    if (last.value?.id === cookId) last.value = { ...last.value, outcome }
    post({ kind: 'outcome', cookId, outcome }, l => l.kind === 'outcome' && l.cookId === cookId)
  }

  function rename(cookId: string, title: string): void {
    const of = find(cookId)
    if (of) put({ ...of, title })
    if (last.value?.id === cookId) last.value = { ...last.value, title }
    post({ kind: 'title', cookId, title }, l => l.kind === 'title' && l.cookId === cookId)
  }

  /** Takes a cook off the stove; it stays in the Book. */
  function clear(id = cook.value?.id): void {
    last.value = (id === undefined ? undefined : find(id)) ?? null
    if (last.value) remember([last.value])
    all.value = all.value.filter(c => c.id !== id)
  }

  /** Left behind with the rehearsal that they were of: what was said of them is with its keeper. */
  function leaveBehind(rehearsal: string): void {
    all.value = all.value.filter(c => c.rehearsed !== true || c.service?.id !== rehearsal)
  }

  /** Off the stove and out of the Book. @returns to put it back into both */
  function throwAway(id: string): () => void {
    const of = find(id)
    if (!of) return () => undefined
    all.value = all.value.filter(c => c.id !== id)
    post({ kind: 'thrown away', cookId: id })
    return () => {
      all.value = [...all.value.filter(c => c.id !== id), of]
      shownId.value = id
      post({ kind: 'put back', cookId: id })
    }
  }

  /** Heard of as thrown away by another page, which may yet put them back. */
  const away = new Map<string, CookRecord>()
  /** What another page of this browser has said, and what was said here and written over there. */
  function hearPage(letter: Letter): void {
    const { cookId } = letter
    const of = find(cookId)
    switch (letter.kind) {
      case 'begin':
        if (!of) all.value = [...all.value, { ...letter.cook, events: [], outcome: NO_OUTCOME }]
        break
      case 'events': {
        const news = letter.events.filter(e => !of?.events.some(known => known.id === e.id))
        if (of && news.length > 0) put({ ...of, events: [...of.events, ...news] })
        break
      }
      case 'outcome':
        if (of) put({ ...of, outcome: letter.outcome })
        break
      case 'title':
        if (of) put({ ...of, title: letter.title })
        break
      case 'thrown away':
        if (of) away.set(cookId, of)
        all.value = all.value.filter(c => c.id !== cookId)
        break
      case 'put back': {
        const back = away.get(cookId)
        if (!of && back) all.value = [...all.value, back]
        break
      }
    }
  }
  /** What was put away is not laid on the stove again by what of it is still on its way. */
  function catchUp(): void {
    const before = new Set(all.value.map(c => c.id))
    for (const letter of letters.value) hearPage(letter)
    all.value = all.value.filter(c => before.has(c.id) || progressOf(c.events).state !== 'carved')
  }

  /**
   * What the server has of the cooks of a service: taken together with what is said here and not there yet. What it
   * should have and has not, since an older file was put in its place, it is told again.
   */
  function hear(service: string, there: readonly CookRecord[], thrownAway: readonly string[]): void {
    remember(there)
    const heard = new Map(there.map(c => [c.id, c]))
    const onTheirWay = new Set(letters.value.map(l => l.cookId))
    const here = all.value.flatMap(mine => {
      if (mine.service?.id !== service) return [mine]
      if (thrownAway.includes(mine.id)) return onTheirWay.has(mine.id) ? [mine] : []
      const theirs = heard.get(mine.id)
      const known = new Set(theirs?.events.map(e => e.id))
      const missing = mine.events.filter(e => !known.has(e.id))
      if (!onTheirWay.has(mine.id)) tellAgain(mine, theirs === undefined, missing)
      if (!theirs) return [mine]
      const events = [...theirs.events, ...missing]
      const title = onTheirWay.has(mine.id) ? mine.title : theirs.title
      return [events.length === mine.events.length && title === mine.title ? mine : { ...mine, events, title }]
    })
    const news = there.filter(
      c =>
        !all.value.some(mine => mine.id === c.id) &&
        !onTheirWay.has(c.id) &&
        progressOf(c.events).state !== 'carved' &&
        c.id !== last.value?.id
    )
    if (news.length > 0 || here.length < all.value.length || here.some((c, i) => c !== all.value[i])) all.value = [...here, ...news]
  }
  function tellAgain({ events: _, outcome, ...cook }: CookRecord, whole: boolean, missing: readonly CookEvent[]): void {
    const cookId = cook.id
    if (whole) post({ kind: 'begin', cookId, cook })
    if (missing.length > 0) post({ kind: 'events', cookId, events: missing })
    if (whole && JSON.stringify(outcome) !== JSON.stringify(NO_OUTCOME)) post({ kind: 'outcome', cookId, outcome })
  }

  catchUp()
  void send()
  return {
    cooks,
    cook,
    last,
    progress,
    underWay,
    inEarnest,
    unsent,
    offline,
    refused,
    canUndo,
    carved,
    begin,
    show,
    say,
    takeBack,
    undo,
    judge,
    rename,
    clear,
    leaveBehind,
    throwAway,
    hear
  }
})
