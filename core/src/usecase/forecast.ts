/** A cook under way: what is to come, by what has happened and what the probe said. */
import { assimilateUnderWay, planUnderWay, type Happened, type UnderWay } from '#core/estimate/underWay'
import type { Assimilated } from '#core/estimate/assimilate'
import type { Observation } from '#core/estimate/prior'
import type { PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'
import { orRefused, type Refused } from './plan'

export interface ForecastQuestion {
  readonly request: PlanRequest
  /** The free quantity as it was planned, s. */
  readonly freeS: number
  readonly happened: Happened
  /** What was read on the heat, and what had happened by the last of it. */
  readonly readings: readonly Observation[]
  readonly byLastReading: Happened
}

/** What the readings have told. */
export type Heard = Omit<Assimilated<unknown>, 'setup'>

export interface Forecast {
  readonly plan: UnderWay
  /** Null where nothing was read. */
  readonly heard: Heard | null
}

/** @param remember called with the work that hangs on the readings alone: it need not be done again for every second that passes */
export function forecast(
  { request, freeS, happened, readings, byLastReading }: ForecastQuestion,
  remember: <T>(question: unknown, work: () => T) => T = (_, work) => work()
): Forecast | Refused {
  return orRefused(request.method.kind, () => {
    const { method, setup, targetC, byClockS } = setupOf(request)
    if (readings.length === 0) return { plan: planUnderWay(method, setup, targetC, happened, freeS, byClockS !== null), heard: null }
    const { setup: likely, ...heard } = remember([request, freeS, readings], () =>
      assimilateUnderWay(method, setup, targetC, byLastReading, readings, freeS)
    )
    return { plan: planUnderWay(method, likely, targetC, happened, freeS, byClockS !== null), heard }
  })
}
