/** The engine off the main thread: the use cases, and what follows from a plan, piece by piece. */
import { expose } from 'comlink'
import { lessons, type Lesson } from '#core/book/lessons'
import type { CookRecord } from '#core/book/record'
import { spreading, type Spread } from '#core/estimate/spread'
import { KEEP_ENDS, run } from '#core/heat/program'
import { CUTS, cutById } from '#core/meat/cuts'
import { timelineOf } from '#core/method/timeline'
import type { Steps } from '#core/numerics/steps'
import { chilled, type Kept } from '#core/plan/keeping'
import { misjudging, type Misjudged } from '#core/plan/misjudged'
import type { Plan } from '#core/plan/plan'
import { comparePreparations, warmedUp, type Compared, type Preparation } from '#core/plan/preparation'
import type { WarmStart } from '#core/plan/search'
import { secondServing, type SecondServing } from '#core/plan/secondServing'
import { thicknessesAllow, thinEndPeak, type Allows } from '#core/plan/thickness'
import { consequences, type Consequence } from '#core/plan/whatIf'
import { feltInPans } from '#core/rehearsal/felt'
import type { Felt } from '#core/rehearsal/hand'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'
import type { Dish, Kitchen } from '#core/service/dish'
import type { Service } from '#core/service/schedule'
import { thawSeconds, type ThawingHow } from '#core/shop/larder'
import { turnedOven, forecast, type TurnedOven, type Forecast, type ForecastQuestion } from '#core/usecase/forecast'
import { orRefused, plan, type PlanAnswer, type Refused } from '#core/usecase/plan'
import { serve } from '#core/usecase/serve'
import { packPlans } from './packed'

/** Each question carries its whole request; what follows from a plan also the plan, and a token that cancels it. */
export interface Engine {
  plan(request: PlanRequest): PlanAnswer
  /** Of a cook under way. */
  forecast(question: ForecastQuestion): Forecast | Refused
  /** Null where it is in no oven, or cannot be made to wait so. */
  turnedOven(questions: readonly ForecastQuestion[], laterS: number, within?: readonly [number, number]): TurnedOven | null
  /** What a few millimetres would do to a plan. */
  misjudged(request: PlanRequest, plan: Plan, token?: number): Promise<Misjudged>
  /** How sure a plan is. */
  spread(request: PlanRequest, plan: Plan, token: number): Promise<Spread>
  /** What comes of it if one thing is not as said. */
  whatIf(request: PlanRequest, plan: Plan, token: number): Promise<readonly Consequence[]>
  /** What is cut off it put back to the heat, for whoever wants it further done. */
  second(request: PlanRequest, plan: Plan, targetC: number): SecondServing | Refused
  /** How long until what is kept is cold. */
  chilled(request: PlanRequest, plan: Plan): Kept
  /** Where the thin end of a wedge peaks, °C. */
  thinEnd(request: PlanRequest, plan: Plan): number | null
  /** Every school of drying and of taking off the chill, for this piece. */
  preparations(request: PlanRequest, preparation: Preparation): Compared
  /** Mean temperature after it has stood out, °C. */
  warmedUp(request: PlanRequest, preparation: Preparation): number
  /** What three thicknesses of a cut allow in the pan. */
  thicknesses(cutId: string): readonly Allows[]
  /** Until thawed from a freezer, s. */
  thaw(cutId: string, thicknessMm: number, how: ThawingHow): number
  /** What finished cooks with readings teach of the kit. */
  lessons(records: readonly CookRecord[], token: number): Promise<readonly Lesson[]>
  /** How pieces of several thicknesses feel, each cooked to several donenesses. */
  feels(): readonly Felt[]
  /** Everything on a ticket laid out for one moment. */
  serve(dishes: readonly Dish[], kitchen: Kitchen): Service
  /** Nobody waits for it any more: it is dropped between two pieces of work. */
  cancel(token: number): void
  /** For a worker that stays, after its first plan. */
  warmUp(request: PlanRequest): void
}

/** What the last plan of a kind came to: the next one is found sooner. */
const warmStarts = new Map<string, WarmStart>()
function planned(request: PlanRequest): PlanAnswer {
  const { piece, method } = request
  const like = `${method.kind} ${piece.cutId} ${piece.form ?? ''}`
  const answer = plan(request, warmStarts.get(like))
  if ('plan' in answer) warmStarts.set(like, answer.plan.warmStart)
  return answer
}

/** The probe is asked once for each reading, not for every second that passes after it. */
let last: { readonly key: string; readonly answer: unknown } | null = null
function remembered<T>(question: unknown, work: () => T): T {
  const key = JSON.stringify(question)
  if (last?.key !== key) last = { key, answer: work() }
  return last.answer as T
}

const pause = (): Promise<void> =>
  new Promise(go => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => go()
    port2.postMessage(null)
  })
/** What nobody waits for any more; numbers, a few bytes each. */
const cancelled = new Set<number>()
/**
 * A worker ends, and hears what it is told, between two tasks, not within one: a long piece of work would
 * go on for seconds and slow the next plan.
 */
async function inPieces<T>(steps: Steps<T>, token: number | null = null): Promise<T> {
  for (;;) {
    if (token !== null && cancelled.has(token)) throw new Error('Cancelled.')
    const step = steps.next()
    if (step.done === true) return step.value
    await pause()
  }
}

const WARM_UP_PLANS = 10
/**
 * The engine's loops are compiled as they run. A few more plans like the first while nobody asks, each a task
 * of its own so that a question comes between, and a first turn of a dial is answered as soon as a tenth.
 * A joint's plan would keep a question waiting: its first minutes do, over and over.
 */
function warmUp(like: () => unknown, left = WARM_UP_PLANS): void {
  if (left === 0) return
  like()
  setTimeout(warmUp, 0, like, left - 1)
}
const FIRST_S = 4 * 60
function firstMinutes(request: PlanRequest): void {
  const { method, setup } = setupOf(request)
  const [begin] = timelineOf(method, setup, FIRST_S).heating
  run(method.subject(setup, 'fine'), [{ ...begin, end: { after: FIRST_S } }], KEEP_ENDS)
}

const engine: Engine = {
  plan: planned,
  forecast: question => forecast(question, remembered),
  turnedOven: (questions, laterS, within) => turnedOven(questions, laterS, within, remembered),
  misjudged: (request, plan, token) => {
    const { method, setup } = setupOf(request)
    return inPieces(misjudging(method, setup, plan), token)
  },
  spread: (request, of, token) => {
    const { method, setup } = setupOf(request)
    return inPieces(spreading(method, setup, of), token)
  },
  whatIf: (request, of, token) => {
    const { method, setup } = setupOf(request)
    return inPieces(consequences(method, setup, of), token)
  },
  second: (request, of, targetC) =>
    orRefused(request.method.kind, () => {
      const { method, setup } = setupOf(request)
      return secondServing(method, setup, of, targetC)
    }),
  chilled: (request, of) => {
    const { method, setup } = setupOf(request)
    return chilled(method, setup, of)
  },
  thinEnd: (request, of) => {
    const { method, setup } = setupOf(request)
    return thinEndPeak(method, setup, of)
  },
  preparations: (request, preparation) => {
    const { method, setup, targetC } = setupOf(request)
    return comparePreparations(method, setup, targetC, preparation)
  },
  warmedUp: (request, preparation) => {
    const { method, setup } = setupOf(request)
    return warmedUp(method, setup, preparation.fridgeC, preparation.outMin)
  },
  thicknesses: cutId => {
    const { method, setup, targetC } = setupOf({ ...FIRST_REQUEST, piece: { ...FIRST_REQUEST.piece, cutId } })
    return thicknessesAllow(method, setup, targetC)
  },
  thaw: (cutId, thicknessMm, how) => thawSeconds(thicknessMm, cutById(cutId) ?? CUTS[0], how),
  lessons: (records, token) => inPieces(lessons(records), token),
  feels: feltInPans,
  serve,
  cancel: token => void cancelled.add(token),
  warmUp: request => {
    const like = request.piece.form === 'roast' ? () => firstMinutes(request) : () => plan(request)
    setTimeout(warmUp, 0, like)
  }
}

packPlans()
expose(engine)
