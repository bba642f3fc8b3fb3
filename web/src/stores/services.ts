/**
 * Services on the server: what is decided here of the one in hand is told there, what was decided at another device
 * is taken over, and any other can be opened in its place.
 */
import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { parseTicket } from '#core/formats/ticketSchema'
import type { Prepared } from '#core/service/prepared'
import { piecesOf } from '#core/service/ticket'
import { afterSaid, type ServiceEvent, type ServiceRecord } from '#core/service/record'
import { api, RefusedError } from '../api/client'
import { byItself, type PlanRequest } from '#core/request/request'
import { canonical } from './canonical'
import { useCook } from './cook'
import { useDraft } from './draft'
import { kept } from './kept'
import { outbox } from './outbox'
import { usePass } from './pass'
import { useProbes } from './probes'
import { useRecipes } from './recipes'

interface Letter {
  readonly service: string
  readonly event: ServiceEvent
}
type Whole = 'named' | 'ticket' | 'fire' | 'put off'
/** What has been said of the service in hand, or heard: as it was, by kind. */
interface Known {
  readonly service: string
  readonly whole: Readonly<Partial<Record<Whole, string>>>
  readonly done: readonly string[]
}
/** A dial under a thumb says nothing until it is let go. */
const QUIET_MS = 700
/** What another device decided is heard as it is told; where nothing can be heard it is asked for so often. */
const ASK_MS = 15_000
const SOON_MS = 300

export const useServices = defineStore('services', () => {
  const pass = usePass()
  const draft = useDraft()
  const cook = useCook()
  const recipes = useRecipes()
  const probes = useProbes()
  const { letters, offline, refused, post, send } = outbox<Letter>(
    'macellaio.services.unsent',
    ({ service, event }) => api.tellService(service, [event]),
    { heard: hearPage }
  )
  const known = kept<Known>(
    'macellaio.services.known',
    () => ({ service: '', whole: {}, done: [] }),
    stored => stored as Known
  )
  /** A name goes with its service: the next evening has none yet. */
  const named = kept<{ readonly service: string; readonly name: string }>(
    'macellaio.services.name',
    () => ({ service: '', name: '' }),
    stored => {
      const { service, name: given } = stored as Readonly<Record<string, unknown>>
      return { service: String(service ?? ''), name: typeof given === 'string' ? given : '' }
    }
  )
  const name = computed(() => (named.value.service === pass.serviceId ? named.value.name : ''))
  /** An example that nobody has touched is no service yet. */
  const real = computed(() => pass.touched || pass.done.length > 0 || pass.onTheStove)
  /** What stands now of all that is said whole, as it is said. */
  const whole = (): Readonly<Record<Whole, object>> => ({
    named: { name: name.value },
    ticket: { ticket: pass.ticket },
    fire: { request: draft.request, piece: draft.pieceId, prepared: draft.prepared },
    'put off': { keeps: pass.keeps }
  })

  /** How often something was said here: what was asked for before the last of it is stale. */
  let saying = 0
  function say(said: object, instead?: (other: ServiceEvent) => boolean): void {
    saying += 1
    const service = pass.serviceId
    const event = { id: nanoid(16), at: Date.now(), ...said } as ServiceEvent
    post({ service, event }, instead && (l => l.service === service && instead(l.event)))
  }
  /** Tells what has changed since it was last told or heard. */
  function tell(): void {
    if (!real.value) return
    const before: Known = known.value.service === pass.serviceId ? known.value : { service: pass.serviceId, whole: {}, done: [] }
    const now = asKnown()
    for (const [kind, said] of Object.entries(whole()) as [Whole, object][]) {
      if (before.whole[kind] === now.whole[kind]) continue
      if (kind === 'named' && before.whole.named === undefined && name.value === '') continue
      say({ kind, ...said }, other => other.kind === kind)
    }
    if (before.done.length > 0 && now.done.length === 0) say({ kind: 'begun anew' })
    else {
      for (const call of now.done.filter(c => !before.done.includes(c))) say({ kind: 'done', call })
      for (const call of before.done.filter(c => !now.done.includes(c))) say({ kind: 'not done', call })
    }
    known.value = now
  }
  function asKnown(): Known {
    const parts = Object.entries(whole()).map(([kind, value]) => [kind, canonical(value)] as const)
    return { service: pass.serviceId, whole: Object.fromEntries(parts), done: pass.done }
  }

  let waiting: ReturnType<typeof setTimeout> | undefined
  function soon(): void {
    clearTimeout(waiting)
    waiting = setTimeout(() => {
      waiting = undefined
      tell()
    }, QUIET_MS)
  }
  const untold = (): boolean => waiting !== undefined || letters.value.length > 0

  /**
   * What stands here becomes what the server has.
   * @param opened by a hand: then what was last at a fire is at this one too, else each has the piece it is at
   */
  function take(record: ServiceRecord, opened: boolean): void {
    const pieces = record.ticket ? piecesOf(parseTicket(record.ticket)) : []
    const mine = opened || record.piece === draft.pieceId ? undefined : pieces.find(p => p.id === draft.pieceId)
    // First the fire: what was set there is held against the ticket it was set under.
    if (!mine) {
      const piece = record.piece ?? pieces.at(0)?.id ?? draft.pieceId
      stand({ id: piece, request: record.request, prepared: record.prepared })
    } else if (!pass.atTheFire || saidOf(mine) !== saidOf(pass.atTheFire)) stand({ ...mine, request: byItself(mine.request) })
    pass.stand(record)
    named.value = { service: record.id, name: record.name }
    known.value = asKnown()
    clearTimeout(waiting)
    waiting = undefined
  }

  const saidOf = ({ request, prepared }: { readonly request: PlanRequest; readonly prepared?: Prepared }): string =>
    canonical({ request: byItself(request), prepared })
  /** At this fire, where that is something else than is there. */
  function stand(of: { readonly id: string; readonly request: PlanRequest | null; readonly prepared?: Prepared | undefined }): void {
    const prepared = of.prepared ?? (of.id === draft.pieceId ? draft.prepared : undefined)
    if (!of.request) return
    const here = canonical({ id: draft.pieceId, request: draft.request, prepared: draft.prepared })
    if (canonical({ id: of.id, request: of.request, prepared }) !== here) draft.stand(of.id, of.request, prepared)
  }

  /** What another page of this browser has said, before the server tells of it and where there is none. */
  function hearPage({ service: id, event }: Letter): void {
    if (id !== pass.serviceId) return
    const { ticket, done, keeps } = pass
    const { request, pieceId: piece, prepared } = draft
    take(afterSaid({ id, name: name.value, ticket, request, piece, prepared, done, keeps, sequence: 0 }, event), false)
  }

  const seen = shallowRef<number | null>(null)
  let again: ReturnType<typeof setTimeout> | undefined
  /** What another device has decided of the service in hand. */
  async function ask(): Promise<void> {
    const id = pass.serviceId
    if (!real.value) return
    clearTimeout(again)
    // What is decided here is told first.
    if (untold() || known.value.service !== id) {
      again = setTimeout(() => void ask(), offline.value ? ASK_MS : SOON_MS)
      return
    }
    try {
      const before = saying
      const [there, { cooks, thrownAway }] = await Promise.all([api.service(id), api.cooksFor(id)])
      if (pass.serviceId === id) cook.hear(id, cooks, thrownAway)
      const stale = untold() || saying !== before
      if (stale) again = setTimeout(() => void ask(), SOON_MS)
      if (stale || pass.serviceId !== id || there.sequence === seen.value) return
      seen.value = there.sequence
      const here = asKnown()
      const differs =
        canonical({ ticket: there.ticket }) !== here.whole.ticket ||
        canonical({ request: there.request, piece: there.piece, prepared: there.prepared }) !== here.whole.fire ||
        canonical(there.done) !== canonical(here.done) ||
        canonical({ keeps: there.keeps }) !== here.whole['put off'] ||
        there.name !== name.value
      if (differs && there.ticket) take(there, false)
      offline.value = false
    } catch (error) {
      // An older database was put back, or it was never told: it is told anew.
      if (error instanceof RefusedError && error.status === 404) {
        known.value = { service: id, whole: {}, done: [] }
        tell()
      } else offline.value = true
    }
  }

  /** @throws where it cannot be had */
  async function open(id: string): Promise<void> {
    if (waiting !== undefined) {
      clearTimeout(waiting)
      waiting = undefined
      tell()
    }
    await send()
    const [record, { cooks, thrownAway }] = await Promise.all([api.service(id), api.cooksFor(id)])
    seen.value = record.sequence
    take(record, true)
    cook.hear(id, cooks, thrownAway)
  }
  /** @returns whether one is being cooked, which then stands here */
  async function openRunning(): Promise<boolean> {
    const { services: all } = await api.services(0)
    const running = all.find(s => s.underWay > 0)
    if (running) await open(running.id)
    return running !== undefined
  }
  function startAnew(): void {
    clearTimeout(waiting)
    waiting = undefined
    tell()
    seen.value = null
    pass.startAnew()
  }
  const rename = (to: string): void => void (named.value = { service: pass.serviceId, name: to })

  let stream: EventSource | null = null
  function listen(id: string | null): void {
    stream?.close()
    stream = null
    if (id === null || typeof EventSource === 'undefined') return
    stream = api.changesOf(id)
    stream.addEventListener('open', () => void probes.load())
    stream.addEventListener('probe', ({ data }: MessageEvent<string>) => probes.hear(data))
    for (const kind of ['open', 'changed']) {
      stream.addEventListener(kind, () => {
        void ask()
        void recipes.load()
      })
    }
  }

  let asking: ReturnType<typeof setInterval> | undefined
  /** Once, when the page opens. */
  function start(): void {
    if (asking !== undefined) return
    watch(
      [
        () => pass.serviceId,
        () => pass.ticket,
        () => pass.done,
        () => pass.keeps,
        () => draft.request,
        () => draft.pieceId,
        () => draft.prepared,
        name,
        real
      ],
      soon
    )
    // What was decided while the page was being left.
    if (known.value.service === pass.serviceId || real.value) soon()
    void send()
    void recipes.load()
    watch(() => (real.value ? pass.serviceId : null), listen, { immediate: true })
    asking = setInterval(() => {
      if (document.visibilityState === 'visible') void ask()
    }, ASK_MS)
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'visible') void ask()
      else tell()
    })
  }

  return { name, offline, refused, letters, start, ask, open, openRunning, startAnew, rename }
})
