/**
 * Cooks whose true piece nobody knows: thicker, colder, in a cooler pan or a hotter oven than was said, drawn from the
 * unknowns that are stated. Each is cooked as the calls say, with a probe and without; what it comes to is the engine's
 * own answer for the true piece. It shows what the readings are worth, not what the engine is: that stands in the cases.
 */
import { asPlanned } from '#core/estimate/asPlanned'
import { drawUnknowns, PRIOR, READING_SD, withUnknowns, type Observation } from '#core/estimate/prior'
import type { Spent } from '#core/estimate/underWay'
import { valueAt } from '#core/heat/history'
import type { MethodKind } from '#core/method/methods'
import type { Piece } from '#core/meat/piece'
import { Randomness } from '#core/numerics/random'
import { by, type PlanRequest } from '#core/request/request'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { setupOf } from '#core/request/setup'
import { truly } from '#core/rehearsal/truth'
import { forecast } from '#core/usecase/forecast'
import { plan as planFor } from '#core/usecase/plan'

/** s between two readings, and from which share of the planned time on. */
const READ_EVERY = 180
const READ_FROM = 0.5
/** K by which one thermometer is off from the other; common practice, no source. */
export const OFFSET_SD = 0.3

export interface HiddenCook {
  readonly kind: MethodKind
  readonly thicknessMm: number
  readonly targetC: number
  /** °C, of the true piece, where all was done as called: by the clock alone, and with readings. */
  readonly byClockC: number
  readonly byProbeC: number
  readonly readings: number
}

const secondsOf = (past: readonly Spent[]): number => past.reduce((sum, s) => sum + s.seconds, 0)

/** A piece as kitchens have them, for a method. */
function requested(kind: MethodKind, random: Randomness): PlanRequest {
  const between = (low: number, high: number): number => Math.round(low + (high - low) * random.even())
  const joint: Partial<Piece> = {
    cutId: 'ribeye',
    form: 'roast',
    thicknessMm: between(90, 130),
    weightG: between(18, 32) * 100,
    lengthMm: between(160, 240)
  }
  const steak: Partial<Piece> = { thicknessMm: between(28, 45), startC: between(4, 16) }
  const { pieceOf, target } = { pieceOf: kind === 'roast' ? joint : steak, target: between(50, 60) }
  const { widthMm: _, ...usual } = FIRST_REQUEST.piece
  const piece = kind === 'roast' ? { ...usual, ...pieceOf, widthMm: pieceOf.thicknessMm } : { ...FIRST_REQUEST.piece, ...pieceOf }
  return by({ ...FIRST_REQUEST, piece: piece as Piece, target: { ...FIRST_REQUEST.target, coreC: target } }, kind, {})
}

/** @returns null where there is no plan for what was drawn */
export function hiddenCook(kind: MethodKind, seed: number): HiddenCook | null {
  const random = new Randomness(seed)
  const request = requested(kind, random)
  const answer = planFor(request)
  if ('refused' in answer) return null
  const { plan } = answer
  const { method, setup, targetC } = setupOf(request)
  const truth = { method, setup: withUnknowns(setup, drawUnknowns(random, PRIOR)), target: targetC }
  const byClockC = truly(truth, asPlanned(plan, plan.pull.time)).peak.core

  const offset = OFFSET_SD * random.normal()
  const readings: Observation[] = []
  let { marks, pull }: Pick<typeof plan, 'marks' | 'pull'> = plan
  for (let now = READ_FROM * plan.pull.time; now < pull.time; now += READ_EVERY) {
    const past = asPlanned({ marks, pull }, now)
    const { history } = truly(truth, past)
    const shown = valueAt(history.time, history.probe, now) + offset + READING_SD * random.normal()
    readings.push({ time: now, celsius: shown })
    const happened = { past, off: false, again: false }
    const found = forecast({ request, freeS: plan.free, happened, readings, byLastReading: happened, restingS: 0 })
    if ('refused' in found) break
    ;({ marks, pull } = found.plan)
    // “Take it off now.”
    if (found.plan.overshoot) pull = { ...pull, time: Math.max(now, secondsOf(past)) }
  }
  const byProbeC = truly(truth, asPlanned({ marks, pull }, pull.time)).peak.core
  return { kind, thicknessMm: request.piece.thicknessMm, targetC, byClockC, byProbeC, readings: readings.length }
}
