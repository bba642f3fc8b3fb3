/** A cook under way: what is to come, by what has happened and what the probe said. */
import { assimilateUnderWay, planUnderWay, type Happened, type UnderWay } from '#core/estimate/underWay'
import type { Assimilated } from '#core/estimate/assimilate'
import type { Observation } from '#core/estimate/prior'
import type { Moment } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import { DELAY_LIMITS_S } from '#core/session/events'
import { setupOf, settingsOf } from '#core/request/setup'
import { secondsOf } from '#core/method/timeline'
import { orRefused, type Refused } from './plan'

export interface ForecastQuestion {
  readonly request: PlanRequest
  /** The free quantity as it was planned, s. */
  readonly freeS: number
  readonly happened: Happened
  /** What was read on the heat, and what had happened by the last of it. */
  readonly readings: readonly Observation[]
  readonly byLastReading: Happened
  /** Since it was taken off, s; 0 while it is on. */
  readonly restingS: number
}

/** What the readings have told. */
export type Heard = Omit<Assimilated<unknown>, 'setup'>

export interface Forecast {
  readonly plan: UnderWay
  /** Null where nothing was read. */
  readonly heard: Heard | null
  /** Where it rests and will stop short of the target: how long back where it was would bring it there, s. */
  readonly backS: number | null
}

/** K: so far short of the target a piece is put back. */
const SHORT_K = 2

type Remember = <T>(question: unknown, work: () => T) => T
/** @param remember called with the work that hangs on the readings alone: it need not be done again for every second that passes */
export function forecast(
  { request, freeS, happened, readings, byLastReading, restingS }: ForecastQuestion,
  remember: Remember = (_, work) => work()
): Forecast | Refused {
  return orRefused(request.method.kind, () => {
    const { method, setup, targetC, byClockS } = setupOf(request)
    const told =
      readings.length === 0
        ? null
        : remember([request, freeS, readings], () => assimilateUnderWay(method, setup, targetC, byLastReading, readings, freeS))
    const likely = told?.setup ?? setup
    const offK = told?.offK ?? 0
    const planned = (of: Happened): UnderWay => warmerBy(offK, planUnderWay(method, likely, targetC - offK, of, freeS, byClockS !== null))
    const plan = planned(happened)
    return { plan, heard: told && heardOf(told), backS: backFor(plan) }

    function backFor({ peak }: UnderWay): number | null {
      const last = happened.past.at(-1)
      if (!happened.off || last === undefined || targetC - peak.core <= SHORT_K) return null
      const past = [...happened.past, { stage: 'out', down: last.down, seconds: restingS } as const]
      const again = planned({ past, off: false, again: true })
      return again.overshoot ? null : again.pull.time - secondsOf(past)
    }
  })
}

function heardOf({ setup: _, ...heard }: Assimilated<unknown>): Heard {
  return heard
}

/** The probe has the last word: the core is taken to stay so much over what the model says. */
function warmerBy(kelvin: number, plan: UnderWay): UnderWay {
  if (kelvin === 0) return plan
  const moment = <M extends Moment>(m: M): M => ({ ...m, core: m.core + kelvin, probe: m.probe + kelvin })
  const { history, filletSide } = plan
  return {
    ...plan,
    target: plan.target + kelvin,
    pull: moment(plan.pull),
    peak: moment(plan.peak),
    carve: moment(plan.carve),
    filletSide: filletSide && {
      ...filletSide,
      core: filletSide.core.map(T => T + kelvin),
      peak: { ...filletSide.peak, core: filletSide.peak.core + kelvin }
    },
    history: { ...history, core: history.core.map(T => T + kelvin), probe: history.probe.map(T => T + kelvin) }
  }
}

/** What an oven would have to be turned to now for what is in it to be carved at another time. */
export interface TurnedOven {
  readonly ovenC: number
  /** In the order in which they were asked for; null for what is not in it. */
  readonly forecasts: readonly (Forecast | null)[]
}
/** Dials go by fives, and below this an oven warms and hardly cooks, °C; turned up by more than that the outside pays. Common practice, no source. */
const DIAL_STEP_C = 5
const COOLEST_C = 75
const UP_BY_C = 60

/** What is in an oven now, as it stands: at which dial, and what comes of that. */
interface InOven {
  readonly question: ForecastQuestion
  readonly dial: number
  readonly as: Forecast
}
function inOven(question: ForecastQuestion, remember?: Remember): InOven | null {
  const { past, off } = question.happened
  const last = past.at(-1)
  if (off || last === undefined) return null
  const as = forecast(question, remember)
  if ('refused' in as) return null
  const { ovenC: planned } = settingsOf(question.request) as { readonly ovenC?: number }
  const dial = last.set?.ovenC ?? planned
  const stands = as.plan.marks.filter(m => m.stage === last.stage).at(-1)
  return stands?.phase === 'oven' && dial !== undefined ? { question, dial, as } : null
}

/**
 * One oven has one dial: all that is in it goes along.
 * @param questions of which those in the oven count. Later, the table waits for the one that it delays the most; sooner is
 *   wanted of the first, and the others must bear it
 * @param laterS how much later it is wanted, negative for sooner; no table is put off by more than three hours
 * @param within what else is in the oven bears, °C
 * @returns null where the first is in no oven, or in none that does so
 */
export function turnedOven(
  questions: readonly ForecastQuestion[],
  laterS: number,
  within: readonly [least: number, most: number] = [COOLEST_C, OVEN_LIMITS_C[1]],
  remember?: Remember
): TurnedOven | null {
  if (laterS > DELAY_LIMITS_S[1]) return null
  const all = questions.map(q => inOven(q, remember))
  const those = all.filter(found => found !== null)
  const [first] = those
  if (first === undefined || those.some(of => of.dial !== first.dial) || (laterS < 0 && all[0] === null)) return null
  const { dial } = first
  const at = (ovenC: number): readonly Forecast[] | null => {
    const found = those.map(({ question }) => {
      const last = question.happened.past.at(-1)!
      const turned = [...question.happened.past, { ...last, seconds: 0, set: { ovenC } }]
      return forecast({ ...question, happened: { ...question.happened, past: turned } }, remember)
    })
    return found.every(f => !('refused' in f)) ? (found as readonly Forecast[]) : null
  }
  const way = laterS < 0 ? -1 : 1
  const by = Math.abs(laterS)
  /** The further it is turned the more; one in which it never gets there is too cool. */
  const moved = ({ plan }: Forecast, { as }: InOven): number =>
    way > 0 && plan.peak.core < plan.target - SHORT_K ? Infinity : way * (plan.carve.time - as.plan.carve.time)
  const moves = (found: readonly Forecast[]): number =>
    way > 0 ? Math.max(...found.map((f, i) => moved(f, those[i]))) : moved(found[0], first)
  const [least, most] = [Math.max(COOLEST_C, within[0]), Math.min(OVEN_LIMITS_C[1], within[1])]
  const steps = Math.floor((way > 0 ? dial - least : Math.min(UP_BY_C, most - dial)) / DIAL_STEP_C)
  const dials = Array.from({ length: Math.max(0, steps) }, (_, i) => dial - way * (i + 1) * DIAL_STEP_C)
  let [low, high] = [0, dials.length - 1]
  let best: { readonly ovenC: number; readonly found: readonly Forecast[] } | null = null
  while (low <= high) {
    const middle = (low + high) >> 1
    const found = at(dials[middle])
    const far = found ? moves(found) : Infinity
    // So hot that one would be overdone is no way out.
    const fits = found !== null && far < Infinity && !(way < 0 && found.some(f => f.plan.overshoot))
    if (fits && (best === null || Math.abs(far - by) < Math.abs(moves(best.found) - by))) best = { ovenC: dials[middle], found }
    if (far < by) low = middle + 1
    else high = middle - 1
  }
  if (best === null) return null
  const won = moves(best.found)
  const { ovenC, found } = best
  // Sooner is better than nothing; later than it was asked for the meat would wait.
  const enough = way < 0 ? won >= LEAST_WON_S : Math.abs(won - by) <= Math.max(NEAR_S, by * NEAR_SHARE)
  return enough ? { ovenC, forecasts: all.map(of => (of === null ? null : found[those.indexOf(of)])) } : null
}
/** Nearer than that it is what was asked for; the rest of it is waited on the board. */
const NEAR_S = 150
const NEAR_SHARE = 0.3
/** Less is not worth a walk to the oven, s. */
const LEAST_WON_S = 90
