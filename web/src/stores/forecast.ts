/**
 * The forecast for the cook under way, made anew from what has really happened: after
 * each thing said, and every few seconds while something is overdue.
 */
import { computed, onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import type { CookRecord } from '#core/book/record'
import { COLD_LIMITS_S, HELD_LIMITS_S, REST_LIMITS_S } from '#core/method/dials'
import { secondsOf } from '#core/method/timeline'
import { nextAction } from '#core/session/nextAction'
import { standing } from '#core/session/events'
import { happenedUntil, progressOf } from '#core/session/progress'
import type { PlanRequest } from '#core/request/request'
import type { NotBefore } from '#core/session/inService'
import { lookAfter } from '#core/session/call'
import { preheatsOf } from '#core/session/warmUp'
import type { Forecast, ForecastQuestion } from '#core/usecase/forecast'
import type { Refused } from '#core/usecase/plan'
import { Queue } from '../workers/queue'

interface CookAt {
  readonly cook: CookRecord
  readonly now: number
}

/** A table later than it was. */
export interface LaterBy {
  readonly seconds: number
  /** Kept in a low oven meanwhile; else it rests so much longer. */
  readonly held?: boolean
  /** Put back in the hot pan at the end of it, s a face. */
  readonly flashS?: number
}

/** @param whatIf to see what would come of that */
export function asked({ cook: { request, planned, events }, now: here }: CookAt, whatIf: LaterBy | null = null): ForecastQuestion {
  // What another device has said has happened, though its clock be a moment ahead of this one.
  const now = Math.max(here, ...standing(events).map(e => e.at))
  const { laidAt, pulledAt, onward, readings, later } = progressOf(events)
  const happened = happenedUntil(events, now)
  const lastAt = laidAt === null ? null : (readings.at(-1)?.time ?? null)
  const restingS = happened.off && laidAt !== null ? Math.max(0, (now - laidAt) / 1000 - secondsOf(happened.past)) : 0
  const { heldS = 0, coldS = 0, rewarmS = 0 } = request.method.settings
  const longer = { rest: later.rest, held: later.held }
  if (whatIf) longer[whatIf.held === true ? 'held' : 'rest'] += whatIf.seconds
  const waits: Waits = {
    restS: planned.carveS - planned.pullS - heldS - coldS - 2 * rewarmS + longer.rest,
    heldS: heldS + longer.held,
    coldS,
    rewarmS: Math.max(rewarmS, later.flash, whatIf?.flashS ?? 0)
  }
  const restedS = pulledAt === null || onward.length === 0 ? null : (onward[0] - pulledAt) / 1000
  const asPlanned = restedS === null && longer.rest + longer.held === 0
  return {
    request: asPlanned ? request : waitingRequest(request, waits, restedS),
    freeS: planned.freeS,
    happened,
    readings: readings.map(r => ({ time: r.time, celsius: r.coreC })),
    byLastReading: {
      past: lastAt === null ? [] : happenedUntil(events, (laidAt ?? 0) + 1000 * lastAt).past,
      off: happened.off && lastAt !== null && lastAt > secondsOf(happened.past),
      again: happened.again
    },
    restingS
  }
}

/** How long it waits for the table, and where, s. */
interface Waits {
  readonly restS: number
  readonly heldS: number
  readonly coldS: number
  readonly rewarmS: number
}
/**
 * It is cut when the table is ready: a flash in the pan is taken from its rest, and what it lay longer on the board
 * than was planned, from the low oven or the fridge.
 * @param restedS how long it has really rested, where it has gone on since
 */
function waitingRequest(request: PlanRequest, { restS, heldS, coldS, rewarmS }: Waits, restedS: number | null): PlanRequest {
  const { settings } = request.method
  const planned = Math.max(0, restS - 2 * (rewarmS - (settings.rewarmS ?? 0)))
  // In the pan it lies as long, however late.
  const rest = restedS !== null && heldS + coldS > 0 ? restedS : planned
  const less = rest - planned
  return {
    ...request,
    method: {
      ...request.method,
      settings: {
        ...settings,
        rest: { kind: 'clock', seconds: within(rest, REST_LIMITS_S) },
        heldS: heldS > 0 ? within(heldS - less, [LEAST_S, HELD_LIMITS_S[1]]) : 0,
        ...(coldS > 0 ? { coldS: within(heldS > 0 ? coldS : coldS - less, [LEAST_S, COLD_LIMITS_S[1]]) } : {}),
        ...(rewarmS > 0 ? { rewarmS } : {})
      }
    }
  }
}
const within = (seconds: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, seconds))
/** Where it is it is, for however little time, s. */
const LEAST_S = 1

const OVERDUE_EVERY_MS = 8000

/** @param wait when it may go in beside others of its dinner */
export function useForecast(cook: Ref<CookRecord | null>, now: Ref<number>, wait: () => NotBefore = () => null) {
  const answer = shallowRef<({ readonly question: CookAt } & Forecast) | null>(null)
  const trouble = shallowRef<string | null>(null)

  // Every one is worth its end: the cook waits for it, and it is soon there.
  const queue = new Queue<CookAt, Forecast | Refused>(
    {
      ask: (remote, question) => remote.forecast(asked(question)) as Promise<Forecast | Refused>,
      answered: (question, given) => {
        trouble.value = 'refused' in given ? given.refused : null
        if ('plan' in given) answer.value = { question, ...given }
      },
      failed: () => (trouble.value = 'The forecast failed; go by the probe.')
    },
    Infinity
  )
  onScopeDispose(() => queue.stop())
  let lastAsked = 0
  const askNow = (): void => {
    lastAsked = Date.now()
    if (cook.value) queue.put({ cook: cook.value, now: now.value })
  }
  watch(() => cook.value?.events, askNow, { immediate: true })

  const mine = computed(() => (answer.value && answer.value.question.cook.id === cook.value?.id ? answer.value : null))
  const forecast = computed(() => mine.value?.plan ?? null)
  const heard = computed(() => mine.value?.heard ?? null)
  /** Whether what was last said is in the forecast yet. */
  const reckoning = computed(() => cook.value !== null && answer.value?.question.cook.events !== cook.value.events)
  const progress = computed(() => (cook.value ? progressOf(cook.value.events) : null))
  /** The last reading, once the forecast has heard it, unless it is doubted. */
  const believed = computed(() => {
    const last = progress.value?.readings.at(-1) ?? null
    return last && !reckoning.value && !heard.value?.rejected.some(r => r.time === last.time) ? last : null
  })
  const backS = computed(() => mine.value?.backS ?? null)
  const action = computed(() =>
    progress.value && forecast.value && cook.value
      ? nextAction(
          progress.value,
          forecast.value,
          preheatsOf(cook.value.request, forecast.value.marks),
          believed.value,
          wait(),
          lookAfter(cook.value.request)
        )
      : null
  )

  watch(now, at => {
    const { state } = progress.value ?? { state: 'ready' }
    const overdue = state === 'on the heat' && action.value?.due != null && at > action.value.due + 3000
    if ((overdue || state === 'lifted') && Date.now() - lastAsked > OVERDUE_EVERY_MS) askNow()
  })

  return { forecast, heard, backS, reckoning, progress, action, trouble }
}
