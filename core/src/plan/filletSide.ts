/** A steak with its bone in the middle has two sides that finish apart: what becomes of the narrower one meanwhile. */
import { valueAt } from '#core/heat/history'
import { KEEP_ENDS, run } from '#core/heat/program'
import type { Piece } from '#core/meat/piece'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { rested, secondsOf, type Timeline } from '#core/method/timeline'
import type { Plan } from './plan'

export interface FilletSide {
  /** s, ascending; °C at its thermal centre. */
  readonly time: readonly number[]
  readonly core: readonly number[]
  readonly peak: { readonly time: number; readonly core: number }
}

/** Shares of the piece's width and length that the fillet has; common practice, no source. */
const SHARE = { width: 1 / 3, length: 1 / 2 } as const
/** The bone lets little through to a side that is hardly colder, so nothing crosses it: as in a piece twice as wide with nothing in its middle. */
const MIRRORED = 2
const filletOf = (piece: Piece): Piece => ({
  ...piece,
  widthMm: piece.widthMm * SHARE.width * MIRRORED,
  lengthMm: piece.lengthMm * SHARE.length,
  weightG: piece.weightG * SHARE.width * SHARE.length * MIRRORED
})
const ENTRIES = 100

/** What has become of it by itself, through the same. Null where the cut has no such side. */
export function filletSideOf<S extends Resting>(method: Method<S>, setup: Setup<S>, timeline: Timeline): FilletSide | null {
  if (setup.cut.profile !== 't-bone' || setup.piece.form === 'roast') return null
  const fillet = { ...setup, piece: filletOf(setup.piece) }
  const every = Math.max(4, secondsOf(timeline.heating) / ENTRIES)
  const { history, peak } = run(method.subject(fillet, 'fine'), rested(timeline, fillet), { ...KEEP_ENDS, every, untilPastPeakBy: 0.5 })
  return { time: history.time, core: history.core, peak: { time: peak.time, core: peak.core } }
}

/** °C at a moment since the piece was laid in, s. */
const filletAt = ({ time, core }: FilletSide, at: number): number => valueAt(time, core, at)

/** Sooner than that before the pull it is worth turning away from the heat, s. */
const WORTH_TURNING_S = 60
/**
 * When it has as much in it as it should: from then on it is best kept from the heat.
 * @returns s since it was laid in; null where it comes with the other side, or after it
 */
export function filletThereAt({ filletSide, pull, target }: Pick<Plan, 'filletSide' | 'pull' | 'target'>): number | null {
  if (filletSide === null) return null
  const { time, core, peak } = filletSide
  const climb = peak.core - filletAt(filletSide, pull.time)
  const there = time.find((_, i) => core[i] >= target - climb)
  return there !== undefined && there < pull.time - WORTH_TURNING_S ? there : null
}
