/**
 * What is called out at the stove for the next action: the words, the name of the
 * button that says it is done, and the advice that goes with it.
 */
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import type { UnderWay } from '#core/estimate/underWay'
import type { PanPlan } from '#core/plan/panPlan'
import type { PlanRequest } from '#core/request/request'
import { showClock, showDuration, showDurationRange, showTemperature, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { Percentiles } from '#core/estimate/belief'
import type { NextAction } from './nextAction'
import type { Progress } from './progress'

export interface Call {
  /** "Turn the strip steak" */
  readonly says: string
  /** "Turned" */
  readonly done: string
  readonly advice: string
}

/** A peak that misses the target by more than this is worth saying, K. */
const WORTH_SAYING = 2

export function callFor(
  action: NextAction,
  progress: Progress,
  forecast: PanPlan,
  request: PlanRequest,
  preheatS: number,
  system: UnitSystem
): Call {
  const degrees = (celsius: number): string => shownText(showTemperature(celsius, system))
  const piece = pieceInWords(request)
  switch (action.does) {
    case 'lit':
      return {
        says: 'Light the ring',
        done: 'Ring is lit',
        advice: `Medium-high, ${degrees(request.panC)} in about ${showClock(preheatS)}. Dry pan.`
      }
    case 'laid':
      return { says: `Lay ${piece} in the pan`, done: 'It is in', advice: 'Lay it away from you. A loud hiss says the pan is hot.' }
    case 'turned':
      return {
        says: `Turn ${piece}`,
        done: 'Turned',
        advice: `Turn ${progress.turns + 1} of about ${forecast.turns.length}. If it sticks it is not ready.`
      }
    case 'edged':
      return {
        says: `Stand ${piece} on the fat edge`,
        done: 'On its edge',
        advice: `${shownText(showDuration(request.fatEdgeS ?? 0))}, held with tongs, until the fat is brown and gives.`
      }
    // A pan has no other place to go to.
    case 'moved':
    case 'returned':
      return {
        says: `Put ${piece} back in`,
        done: 'Back in the pan',
        advice: 'It is out of the pan and cooling; the forecast takes that in.'
      }
    case 'pulled':
      return {
        says: 'Off the heat',
        done: 'Off the heat',
        advice: pullAdvice(forecast, system)
      }
    case 'carved':
      return {
        says: 'Carve',
        done: 'Carved',
        advice: restAdvice(forecast, { targetC: request.targetC, rewarmS: request.rewarmS ?? 0, cover: request.cover }, system)
      }
  }
}

type Forecast = Pick<UnderWay, 'overshoot' | 'peak' | 'pull'>

export function pullAdvice({ overshoot, peak, pull }: Forecast, system: UnitSystem): string {
  const degrees = (celsius: number): string => shownText(showTemperature(celsius, system))
  return overshoot
    ? `It will peak at ${degrees(peak.core)} whatever you do. Take it off now.`
    : `When the probe reads ${degrees(pull.core)}, from the side, in the middle.`
}

interface ToRest {
  readonly targetC: number
  readonly rewarmS: number
  readonly cover: string
}
export function restAdvice({ peak }: Pick<Forecast, 'peak'>, { targetC, rewarmS, cover }: ToRest, system: UnitSystem): string {
  const reached = shownText(showTemperature(peak.core, system))
  if (targetC - peak.core > WORTH_SAYING) return `Pulled early: it will only reach ${reached}. Put it back in, or serve it rarer.`
  if (peak.core - targetC > WORTH_SAYING) return `It will reach ${reached}: carve sooner to keep some of the pink.`
  if (rewarmS > 0) return `Then ${shownText(showDuration(rewarmS))} a face back in the hot pan before it is cut.`
  return cover === 'loose foil' ? 'Foil laid over, not tucked in.' : 'Leave it alone. Across the grain when you cut.'
}

export function pieceInWords({ piece }: Pick<PlanRequest, 'piece'>): string {
  const cut = cutById(piece.cutId)
  return piece.count > 1 ? `the ${piece.count} pieces` : `the ${cut ? pieceName(piece, cut).toLowerCase() : 'piece'}`
}

/** When the pull may come, s from now: the plan's own range, moved by what the forecast has moved. */
export function pullRangeFromNow(
  forecast: Pick<PanPlan, 'pull'>,
  plannedPullS: number,
  range: Percentiles | null,
  elapsed: number
): readonly [low: number, high: number] {
  const moved = forecast.pull.time - plannedPullS
  const [low, , high] = range ?? [plannedPullS, plannedPullS, plannedPullS]
  return [Math.max(0, low + moved - elapsed), Math.max(0, high + moved - elapsed)]
}

/** Narrower once the probe has spoken, s from now. @param sooner, later factors of the time to the pull */
export function probedRangeFromNow(
  forecast: Pick<PanPlan, 'pull'>,
  { sooner, later }: { readonly sooner: number; readonly later: number },
  elapsed: number
): readonly [low: number, high: number] {
  return [Math.max(0, sooner * forecast.pull.time - elapsed), Math.max(0, later * forecast.pull.time - elapsed)]
}

/** What follows the next action while the piece is on the heat. */
export function callsAfter(
  action: NextAction,
  forecast: PanPlan,
  pullIn: readonly [number, number],
  system: UnitSystem
): { readonly what: string; readonly when: string }[] {
  const rest = { what: 'rest', when: showClock(forecast.carve.time - forecast.pull.time) }
  if (action.does === 'pulled') return [rest]
  const off = {
    what: `off the heat at ${shownText(showTemperature(forecast.pull.core, system))}`,
    when: `in ${shownText(showDurationRange(...pullIn))}`
  }
  return [off, rest]
}
