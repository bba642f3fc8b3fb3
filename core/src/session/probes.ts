/**
 * Thermometers that speak for themselves: what they say every few seconds becomes readings of a cook, so many as are
 * worth something, heard as if they had been typed. What jumps is not believed until it stays there.
 */

export const TIPS = ['middle', 'air'] as const
/** Where its tip is: in the middle of the piece, or in the air of the oven or grill, which is only shown. */
export type Tip = (typeof TIPS)[number]

export interface Sample {
  /** Epoch ms. */
  readonly at: number
  /** °C */
  readonly celsius: number
}

export interface Listening {
  /** What it said last, believed or not. */
  readonly last: Sample | null
  /** The last that was believed. */
  readonly believed: Sample | null
  /** The last that was passed on. */
  readonly passed: Sample | null
}
export const SILENT: Listening = { last: null, believed: null, passed: null }

/** K, and K/s: what a probe in the middle of a piece may change by from one word to the next; common practice, no source. */
const JUMP_K = 4
const JUMP_RATE = 0.3
/** Between two readings that are passed on at least, s; and of the time since it went in, so that a roast has no hundreds of them. */
const APART_S = 45
const APART_SHARE = 0.05
/** K: so great a change is passed on sooner. */
const GREAT_K = 4
const GREAT_APART_S = 15

/** Whether the one can follow the other in a piece of meat. */
const follows = (before: Sample, now: Sample): boolean =>
  Math.abs(now.celsius - before.celsius) <= JUMP_K + (JUMP_RATE * Math.abs(now.at - before.at)) / 1000

/** Not yet believed: it jumped, and has said nothing since. */
export const isDoubted = ({ last, believed }: Listening): boolean => last !== null && last !== believed

/**
 * @param laidAt epoch ms at which the piece went in; null while it is not in
 * @returns how it is listened to from now on, and whether this is a reading of the cook
 */
export function hear(before: Listening, said: Sample, laidAt: number | null): { readonly now: Listening; readonly pass: boolean } {
  // What comes late or twice is known.
  if (before.last !== null && said.at <= before.last.at) return { now: before, pass: false }
  const holds = before.believed === null || follows(before.believed, said) || (before.last !== null && follows(before.last, said))
  const now = { ...before, last: said, believed: holds ? said : before.believed }
  if (!holds || laidAt === null || said.at < laidAt) return { now, pass: false }
  const { passed } = before
  const since = passed === null ? Infinity : (said.at - passed.at) / 1000
  const apart = Math.max(APART_S, (APART_SHARE * (said.at - laidAt)) / 1000)
  const great = passed !== null && Math.abs(said.celsius - passed.celsius) >= GREAT_K && since >= GREAT_APART_S
  const pass = since >= apart || great
  return { now: pass ? { ...now, passed: said } : now, pass }
}

/** A probe as every screen sees it. */
export interface Probe {
  readonly id: string
  readonly name: string
  readonly tip: Tip
  /** In which cook's piece; null in none. */
  readonly cook: string | null
  readonly last: Sample | null
  readonly doubted: boolean
}
