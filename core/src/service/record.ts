/**
 * A service: what is to be on the table, at whose fire, and what of it has been done, as a log of what was decided.
 * What stands now is what the log comes to; of what is said whole, the last counts.
 */
import type { PlanRequest } from '#core/request/request'
import type { Prepared } from './prepared'
import { recipeIn, type RecipeBook } from './recipes'
import type { Ticket } from './ticket'
import type { Kept } from './underWay'

interface Said {
  /** Made where it was said, so that what is sent twice counts once. */
  readonly id: string
  /** Epoch ms. */
  readonly at: number
}
export const SERVICE_EVENT_KINDS = ['named', 'ticket', 'fire', 'put off', 'done', 'not done', 'begun anew'] as const
export type ServiceEvent = Said &
  (
    | { readonly kind: 'named'; readonly name: string }
    | { readonly kind: 'ticket'; readonly ticket: Ticket }
    /** A piece, its guests and how it is cooked, as it stands at the fire; by its id, which is its line's on the ticket. */
    | { readonly kind: 'fire'; readonly request: PlanRequest; readonly piece?: string; readonly prepared?: Prepared }
    | { readonly kind: 'put off'; readonly keeps: Kept }
    /** A call of the pass, by its id. */
    | { readonly kind: 'done' | 'not done'; readonly call: string }
    | { readonly kind: 'begun anew' }
  )

export interface ServiceRecord {
  readonly id: string
  /** Empty where nobody gave it one. */
  readonly name: string
  readonly ticket: Ticket | null
  readonly request: PlanRequest | null
  /** Which piece that is; null where an older version said it. */
  readonly piece: string | null
  /** How it is got ready; left out where an older version said it. */
  readonly prepared?: Prepared
  readonly done: readonly string[]
  readonly keeps: Kept
  /** How many events it is made of: who has seen fewer is behind. */
  readonly sequence: number
}

export function serviceOf(id: string, events: readonly ServiceEvent[]): ServiceRecord {
  const start: ServiceRecord = { id, name: '', ticket: null, request: null, piece: null, done: [], keeps: {}, sequence: events.length }
  return events.reduce(afterSaid, start)
}

/** What stands once one thing more has been said; how many there are is left as it was. */
export function afterSaid(now: ServiceRecord, said: ServiceEvent): ServiceRecord {
  switch (said.kind) {
    case 'named':
      return { ...now, name: said.name }
    case 'ticket':
      return { ...now, ticket: said.ticket }
    case 'fire':
      return atTheFire(now, said)
    case 'put off':
      return { ...now, keeps: said.keeps }
    case 'done':
      return now.done.includes(said.call) ? now : { ...now, done: [...now.done, said.call] }
    case 'not done':
      return { ...now, done: now.done.filter(call => call !== said.call) }
    case 'begun anew':
      return { ...now, done: [], keeps: {} }
  }
}

function atTheFire(
  { prepared: _, ...now }: ServiceRecord,
  { request, piece, prepared }: ServiceEvent & { readonly kind: 'fire' }
): ServiceRecord {
  return { ...now, request, piece: piece ?? null, ...(prepared ? { prepared } : {}) }
}

/** A line of the list. */
export interface ServiceSummary {
  readonly id: string
  readonly name: string
  /** As on its ticket, by the clock on the wall; null before there is one. */
  readonly serveAt: string | null
  readonly diners: number
  readonly dishes: readonly string[]
  /** Calls done. */
  readonly done: number
  /** Pieces lit for it, and how many of them are not carved. */
  readonly cooks: number
  readonly underWay: number
}

export function summaryOf(record: ServiceRecord, book: RecipeBook, cooks: number, underWay: number): ServiceSummary {
  const { id, name, ticket, done } = record
  const dishes = ticket?.lines.map(line => ('dish' in line ? line.dish.name : (recipeIn(book, line.recipe)?.name ?? ''))) ?? []
  return { id, name, serveAt: ticket?.serveAt ?? null, diners: ticket?.diners ?? 0, dishes, done: done.length, cooks, underWay }
}

export type ServiceState = 'coming' | 'running' | 'past'
/** So long after its serving a service is over, unless something is still at the fire, ms. */
const OVER_MS = 3 * 3600_000

/** @param servedAt epoch ms */
export function stateOf({ done, underWay }: ServiceSummary, servedAt: number, now: number): ServiceState {
  if (servedAt < now - OVER_MS) return 'past'
  return done > 0 || underWay > 0 ? 'running' : 'coming'
}
