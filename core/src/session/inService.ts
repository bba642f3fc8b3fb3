/** A cook as one of several for the same table: when it may go in. */
import type { CookEvent } from './events'
import { progressOf } from './progress'

/** The part a cook has in a dinner. */
export interface InService {
  /** The same for all that are cooked for one table. */
  readonly id: string
  /** So long after that one is laid in comes this one, s; null where it waits for no other. */
  readonly after: { readonly cookId: string; readonly seconds: number } | null
  /** How it is told from the others: "2 rare pieces"; empty where its own name does. */
  readonly called: string
  /** Which piece of the service; more than one cook may be of it. Of older ones it is not known. */
  readonly piece?: string | undefined
}

/** Epoch ms; or so long after another, that is not in yet. */
export type NotBefore = number | { readonly afterS: number } | null

/**
 * When a piece may go in beside others of its dinner.
 * @returns epoch ms; how long after the one before it, until that is in; null where it waits for nothing, or for what is gone from the stove
 */
export function notBefore(
  { service }: { readonly service: InService | null },
  others: readonly { readonly id: string; readonly events: readonly CookEvent[] }[]
): NotBefore {
  const after = service?.after ?? null
  const first = after && others.find(o => o.id === after.cookId)
  if (!first || !after) return null
  const { laidAt } = progressOf(first.events)
  return laidAt === null ? { afterS: after.seconds } : laidAt + after.seconds * 1000
}
