/** A rehearsal as the page may know it: its own clock, the signs of each piece, and, once all is carved, what it came to. */
import type { SideDone } from './sides'
import type { Signs } from './signs'

/** Where a rehearsal stands. */
export interface Rehearsal {
  readonly id: string
  /** Null of a plan of the cook's own. */
  readonly exercise: string | null
  /** What its clock shows as this is said, epoch ms, and how fast it goes. */
  readonly clock: { readonly at: number; readonly speed: number }
  readonly cooks: readonly { readonly id: string; readonly signs: Signs; readonly events: number }[]
  /** What stands beside the beef, in the order of time. */
  readonly sides: readonly SideDone[]
  /** Of a hundred; null until all of it is cut. */
  readonly points: number | null
}

/** One that is over, or was left. */
export interface RehearsalSummary {
  readonly id: string
  readonly exercise: string | null
  readonly createdAt: number
  readonly points: number | null
  readonly cooks: readonly { readonly id: string; readonly title: string }[]
}
