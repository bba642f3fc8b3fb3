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
