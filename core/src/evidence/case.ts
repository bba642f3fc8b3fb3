/**
 * One thing that was seen in a kitchen or printed in a journal, and how the engine is
 * asked for the same figure. Sizes and times given by eye are ranges: the figure is
 * computed at both ends of them and in the middle.
 */
import type { Constants } from '#core/heat/constants'

export interface Case {
  readonly id: string
  /** What was done. */
  readonly what: string
  /** Published by name, "from memory" where recalled, or common practice without a source. */
  readonly source: string
  /** Chosen before the fit was run. */
  readonly use: 'fitted' | 'held out'
  readonly unit: '°C' | 'K' | 'min' | '%'
  /** The band of what was seen. */
  readonly seen: readonly [low: number, high: number]
  /**
   * The engine's figure, from the end of the ranges that gives the least (0) to the one
   * that gives the most (1).
   */
  readonly figure: (ease: number, constants: Constants) => number
  /** What the middle of the ranges is, for the table. */
  readonly middleIs: string
}

export interface Verdict {
  readonly least: number
  readonly middle: number
  readonly most: number
  /** Whether some size and time inside the ranges gives the figure seen. */
  readonly inside: boolean
  /** How far the middle is from the band, in the case's unit; 0 inside it. */
  readonly error: number
}

export function judge(c: Case, constants: Constants): Verdict {
  const [low, high] = c.seen
  const [a, middle, b] = [0, 0.5, 1].map(ease => c.figure(ease, constants))
  const least = Math.min(a, middle, b)
  const most = Math.max(a, middle, b)
  return { least, middle, most, inside: most >= low && least <= high, error: outsideBy(middle, c.seen) }
}

export const outsideBy = (value: number, [low, high]: readonly [number, number]): number =>
  value < low ? value - low : value > high ? value - high : 0

/** From `a` to `b`. */
export const between = (a: number, b: number, share: number): number => a + share * (b - a)
