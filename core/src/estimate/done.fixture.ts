/** What has happened, said briefly; for tests. */
import type { Happened, Spent } from './underWay'

export const onTheHeat = (past: readonly Spent[], how: Partial<Happened> = {}): Happened => ({ past, off: false, again: false, ...how })

/** One spell after the other in one stage, each on the other face. */
export const turnedEvery = (stage: number, ...seconds: number[]): Spent[] =>
  seconds.map((s, i) => ({ stage, down: i % 2 === 0 ? 'first' : 'second', seconds: s }))
