/** A cook under way: what is to come, by what has happened and what the probe said. */
import { assimilateUnderWay, planUnderWay, type Happened, type UnderWay } from '#core/estimate/underWay'
import type { Assimilated } from '#core/estimate/assimilate'
import type { Observation } from '#core/estimate/prior'
import type { Moment } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'
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

/** @param remember called with the work that hangs on the readings alone: it need not be done again for every second that passes */
export function forecast(
  { request, freeS, happened, readings, byLastReading, restingS }: ForecastQuestion,
  remember: <T>(question: unknown, work: () => T) => T = (_, work) => work()
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
  const { history } = plan
  return {
    ...plan,
    target: plan.target + kelvin,
    pull: moment(plan.pull),
    peak: moment(plan.peak),
    carve: moment(plan.carve),
    history: { ...history, core: history.core.map(T => T + kelvin), probe: history.probe.map(T => T + kelvin) }
  }
}
