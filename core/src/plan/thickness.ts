/**
 * What a thickness allows, so that it can be asked for at the butcher's: the same cut
 * by the same method, thin, middling and thick; and what becomes of the thin end of a wedge.
 */
import { KEEP_ENDS, run } from '#core/heat/program'
import { shapeOf } from '#core/meat/piece'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { openSpells, timelineOf } from '#core/method/timeline'
import { InfeasibleError, planMethod, type Plan } from './plan'

const THICKNESSES_MM = [25, 38, 50] as const

export interface Allows {
  readonly thicknessMm: number
  /** On the heat, s; null with the reason where this method cannot. */
  readonly heatS: number | null
  readonly refused: string | null
  /** Mean of both faces, mm. */
  readonly greyMm: number
  /** Share of it within 3 °C of the target. */
  readonly evenness: number
  /** How late it may come off before the middle is `LATE_K` over, s. */
  readonly lateS: number
}

/** How far over the target counts as too late, K. */
export const LATE_K = 2

/** @param setup of a wide piece of the cut, whose thickness is replaced */
export function thicknessesAllow<S extends Resting>(
  method: Method<S>,
  setup: Setup<S>,
  targetC: number,
  thicknesses: readonly number[] = THICKNESSES_MM
): Allows[] {
  return thicknesses.map(thicknessMm => {
    try {
      const plan = planMethod(method, { ...setup, flat: true, piece: { ...setup.piece, thicknessMm } }, targetC)
      return {
        thicknessMm,
        heatS: plan.pull.time,
        refused: null,
        greyMm: greyOf(plan),
        evenness: plan.section.evenness,
        lateS: LATE_K / plan.peakRate
      }
    } catch (error) {
      if (!(error instanceof InfeasibleError)) throw error
      return { thicknessMm, heatS: null, refused: error.message, greyMm: 0, evenness: 0, lateS: 0 }
    }
  })
}

/** The grey edge, mean of both faces, mm. */
export const greyOf = ({ section: { greyMm } }: Pick<Plan, 'section'>): number => (greyMm[0] + greyMm[1]) / 2

/** Where the middle of the thin end peaks when the piece is cooked for its thick end, °C. */
export function thinEndPeak<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): number | null {
  const { thinEndMm, thicknessMm } = setup.piece
  if (thinEndMm === undefined || thinEndMm >= thicknessMm) return null
  const shape = shapeOf(setup.piece, setup.cut, true)
  if (shape.kind !== 'slab' || shape.area === 0) return null
  // As a slab of its own: the meat beside it is cooler by little, and only near the join.
  const piece = { ...setup.piece, thicknessMm: thinEndMm, weightG: (setup.piece.weightG * thinEndMm) / thicknessMm }
  const thin = { ...setup, piece, flat: true }
  const { heating, rest } = timelineOf(method, thin, plan.free, openSpells(method, setup, plan.free))
  return run(method.subject(thin, 'fine'), [...heating, rest(plan.carve.time - plan.pull.time)], KEEP_ENDS).peak.core
}
