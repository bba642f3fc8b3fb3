/**
 * A thermometer that is none: what one would show whose tip is in a piece that is not quite as was said. What is true of
 * that piece follows from a seed which only the stand-in knows; the app is told nothing but what the probe shows.
 */
import type { CookRecord } from '#core/book/record'
import { drawUnknowns, withUnknowns } from '#core/estimate/prior'
import { valueAt } from '#core/heat/history'
import { Randomness } from '#core/numerics/random'
import { setupOf } from '#core/request/setup'
import { happenedUntil, progressOf } from '#core/session/progress'
import { truly } from '#core/rehearsal/truth'
import { LAG, OFFSET_SD } from './hiddenCooks'

/** K from one word to the next: what a tip in wet meat and its converter make of a steady core. */
const NOISE_SD = 0.15

/** @returns °C at a moment, epoch ms */
export function standInProbe(
  { id, request }: Pick<CookRecord, 'id' | 'request'>,
  seed: number
): (events: CookRecord['events'], now: number) => number {
  const random = new Randomness(seed + [...id].reduce((sum, letter) => 31 * (sum % 1e9) + letter.charCodeAt(0), 0))
  const { method, setup, targetC: target } = setupOf(request)
  const truth = { method, setup: withUnknowns(setup, drawUnknowns(random)), target }
  const offset = OFFSET_SD * random.normal()
  const shown = (events: CookRecord['events'], now: number): number => {
    const { laidAt } = progressOf(events)
    const { past } = happenedUntil(events, now)
    if (laidAt === null || past.length === 0) return truth.setup.piece.startC
    const elapsed = Math.max(0, (now - laidAt) / 1000 - LAG)
    const { history } = truly(truth, past, { atLeast: elapsed })
    return valueAt(history.time, history.probe, elapsed)
  }
  return (events, now) => Math.round(10 * (shown(events, now) + offset + NOISE_SD * random.normal())) / 10
}
