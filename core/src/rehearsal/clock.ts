/** How fast it may go, against a kitchen clock; 0 holds it. */
export const SPEEDS = [0, 1, 2, 5, 10, 30, 60] as const

/** A clock of its own: what it showed at a moment of the kitchen's, both epoch ms, and how fast it has gone since. */
export interface Clock {
  readonly at: number
  readonly since: number
  readonly speed: number
}
export const shownBy = ({ at, since, speed }: Clock, now: number): number => at + speed * (now - since)
/** The same clock, from now on so fast. */
export const goingAt = (clock: Clock, speed: number, now: number): Clock => ({ at: shownBy(clock, now), since: now, speed })

/** Nearer than so much real time before a decision it goes no faster than that leaves it, ms. */
const IN_TIME_MS = 1200
/**
 * As fast as it is wished, and slower by itself where a decision is near.
 * @param dueMs until the next thing is due by its own clock, below 0 past its time; null where it waits for the cook
 */
export const inTime = (wish: number, dueMs: number | null): number =>
  wish === 0 ? 0 : (SPEEDS.filter(s => s > 0 && s <= wish && dueMs !== null && s * IN_TIME_MS <= dueMs).at(-1) ?? 1)
