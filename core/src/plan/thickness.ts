/**
 * What a thickness allows, so that it can be asked for at the butcher's: the same cut in
 * the same pan, thin, middling and thick; and what becomes of the thin end of a wedge.
 */
import { KEEP_ENDS, run } from '#core/heat/program'
import { shapeOf } from '#core/meat/piece'
import { panStages, panSubject, type PanSetup, type Spell } from '#core/method/panSear'
import { planPanSear } from './panPlan'
import { InfeasibleError } from './plan'

const THICKNESSES_MM = [25, 38, 50] as const

export interface Allows {
  readonly thicknessMm: number
  /** On the heat, s; null with the reason where the pan alone cannot. */
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
export function thicknessesAllow(setup: PanSetup, targetC: number, thicknesses: readonly number[] = THICKNESSES_MM): Allows[] {
  return thicknesses.map(thicknessMm => {
    try {
      const plan = planPanSear({ ...setup, flat: true, piece: { ...setup.piece, thicknessMm } }, targetC)
      const [first, second] = plan.section.greyMm
      return {
        thicknessMm,
        heatS: plan.pull.time,
        refused: null,
        greyMm: (first + second) / 2,
        evenness: plan.section.evenness,
        lateS: LATE_K / plan.peakRate
      }
    } catch (error) {
      if (!(error instanceof InfeasibleError)) throw error
      return { thicknessMm, heatS: null, refused: error.message, greyMm: 0, evenness: 0, lateS: 0 }
    }
  })
}

/** Where the middle of the thin end peaks when the piece is cooked for its thick end, °C. */
export function thinEndPeak(setup: PanSetup, spells: readonly Spell[], restS: number): number | null {
  const { thinEndMm, thicknessMm } = setup.piece
  if (thinEndMm === undefined || thinEndMm >= thicknessMm) return null
  const shape = shapeOf(setup.piece, setup.cut, true)
  // As a slab of its own: the meat beside it is cooler by little, and only near the join.
  const piece = { ...setup.piece, thicknessMm: thinEndMm, weightG: (setup.piece.weightG * thinEndMm) / thicknessMm }
  const area = shape.kind === 'slab' ? shape.area : 0
  if (area === 0) return null
  return run(panSubject({ ...setup, piece, flat: true }, 'fine'), panStages(setup, spells, restS), KEEP_ENDS).peak.core
}
