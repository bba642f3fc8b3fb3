/** What a few millimetres of misjudged thickness do to a plan whose clock is still gone by. */
import { KEEP_ENDS, run } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import type { Piece } from '#core/meat/piece'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { openSpells, rested, timelineOf } from '#core/method/timeline'
import type { Plan } from './plan'
import { finish, type Steps } from '#core/numerics/steps'

export const MISJUDGED_MM = 3

/** What the peak would be off by, K. */
export interface Misjudged {
  readonly thickerK: number
  readonly thinnerK: number
}

/** @param plan of the setup, for its free time and what the coarse grid made of that */
export const misjudged = <S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Judged): Misjudged =>
  finish(misjudging(method, setup, plan))
type Judged = Pick<Plan, 'free' | 'warmStart'>

/** The same, a run at a time. */
export function* misjudging<S extends Resting>(method: Method<S>, setup: Setup<S>, { free, warmStart }: Judged): Steps<Misjudged> {
  const count = openSpells(method, setup, free)
  const peakAt = (mm: number): number => {
    const varied = { ...setup, piece: thicker(setup.piece, mm) }
    const spells = rested(timelineOf(method, varied, free, count), varied)
    return run(method.subject(varied, 'coarse'), spells, { ...KEEP_ENDS, untilPastPeakBy: 0.5 }, COARSE_STEPS).peak.core
  }
  const nominal = warmStart.coarseC ?? peakAt(0)
  const thickerK = peakAt(MISJUDGED_MM) - nominal
  yield
  return { thickerK, thinnerK: peakAt(-MISJUDGED_MM) - nominal }
}

/** The same face, thicker; a roast is so both ways across. */
export function thicker(piece: Piece, mm: number): Piece {
  const thicknessMm = Math.max(1, piece.thicknessMm + mm)
  const ratio = thicknessMm / piece.thicknessMm
  return { ...piece, thicknessMm, weightG: piece.weightG * (piece.form === 'roast' ? ratio * ratio : ratio) }
}
