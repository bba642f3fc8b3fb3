/** The engine off the main thread. */
import { expose } from 'comlink'
import { followRest, planPanSear, type PanPlan } from '#core/plan/panPlan'
import type { Reading } from '#core/estimate/belief'
import { heed, type Heeded } from '#core/estimate/heed'
import { chilled, type Kept } from '#core/plan/keeping'
import { methodSpreading } from '#core/plan/methodSpread'
import { methodConsequences } from '#core/plan/methodWhatIf'
import { InfeasibleError, type Plan } from '#core/plan/plan'
import { heedUnderWay, planUnderWay, type Happened, type UnderWay } from '#core/estimate/underWay'
import type { Way } from '#core/session/way'
import { secondServing, type SecondServing } from '#core/plan/secondServing'
import { RequestError, setupOf, type PlanRequest } from '#core/request/request'
import type { Hint } from '#core/plan/search'
import { planSpreading, type Spread } from '#core/plan/spread'
import type { Steps } from '#core/numerics/steps'
import { KEEP_ENDS, run } from '#core/heat/program'
import type { Setup } from '#core/method/setup'
import { CUTS, cutById } from '#core/meat/cuts'
import { thawSeconds, type ThawingHow } from '#core/shop/larder'
import type { Spell } from '#core/method/panSear'
import type { Dialled } from '#core/method/dials'
import type { Method } from '#core/method/method'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import { misjudging, type Misjudged, type Planned as PlannedMethod, type Unsuited } from '#core/plan/compare'
import { planFor, setupFor } from '#core/plan/everyMethod'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { comparePreparations, warmedUp, type Compared, type Preparation } from '#core/plan/preparation'
import { consequences, type Consequence } from '#core/plan/whatIf'
import { lessons, type Lesson } from '#core/book/lessons'
import type { CookRecord } from '#core/book/record'
import type { Dish, Kitchen } from '#core/service/dish'
import { schedule, type Service } from '#core/service/schedule'
import { packPlans } from './packed'
import { thicknessesAllow, thinEndPeak, type Allows } from '#core/plan/thickness'

/** Errors do not survive the way out of a worker; refusals travel as values. */
export type Planned = { readonly plan: PanPlan } | { readonly refused: string; readonly field: string | null }

/** What the probe said, and what had happened on the heat by the last of it. */
export interface Probed {
  readonly readings: readonly Reading[]
  readonly past: readonly Spell[]
  /** Expected in all on the metal, s. */
  readonly totalS: number
}
export type Heard = Omit<Heeded, 'setup'>
export type Forecast = Planned & { readonly heard?: Heard }
/** The same by another method: up to now, and up to the last reading. */
export interface ProbedUnderWay {
  readonly readings: readonly Reading[]
  readonly happened: Happened
}
export type ForecastUnderWay = ({ readonly plan: UnderWay } | { readonly refused: string }) & { readonly heard?: Heard }

export interface PlannerWorker {
  plan(request: PlanRequest): Planned
  /** For a cook under way: `past` is what has happened; `pulled` once it is off the heat. */
  forecast(request: PlanRequest, past: readonly Spell[], pulled: boolean, probed: Probed): Forecast
  /** By any other method. */
  underWay(request: PlanRequest, way: Way, happened: Happened, probed: ProbedUnderWay): ForecastUnderWay
  /** @param ticket what lets it go, as of all that follows from a plan */
  spread(request: PlanRequest, plan: PanPlan, ticket: number): Promise<Spread>
  /** One method on the piece; a refusal where the piece cannot be cooked so. */
  method(request: PlanRequest, kind: MethodKind, turned: Dialled): PlannedMethod | Unsuited
  /** What a few millimetres would do to that plan. @param free its free time, s */
  misjudged(request: PlanRequest, kind: MethodKind, turned: Dialled, free: number, ticket?: number): Promise<Misjudged>
  /** How sure that plan is. */
  methodSpread(request: PlanRequest, kind: MethodKind, turned: Dialled, plan: Plan, ticket: number): Promise<Spread>
  /** What comes of it by that method if one thing is not as said. */
  methodWhatIf(request: PlanRequest, kind: MethodKind, turned: Dialled, plan: Plan, ticket: number): Promise<readonly Consequence[]>
  /** What is cut off it put back to the heat, for whoever wants it further done. */
  second(request: PlanRequest, kind: MethodKind, turned: Dialled, plan: Plan, targetC: number): SecondServing | { readonly refused: string }
  /** How long until what is kept is cold. */
  chilled(request: PlanRequest, kind: MethodKind, turned: Dialled, plan: Plan): Kept
  /** What three thicknesses of a cut allow. */
  thicknesses(cutId: string): readonly Allows[]
  /** Every school of drying and of taking off the chill, for this piece. */
  preparations(request: PlanRequest, preparation: Preparation): Compared
  /** Mean temperature after it has stood out, °C. */
  warmedUp(request: PlanRequest, preparation: Preparation): number
  /** Where the thin end of a wedge peaks, °C. */
  thinEnd(request: PlanRequest, plan: PanPlan): number | null
  /** What comes of it if one thing is not as said. */
  whatIf(request: PlanRequest, plan: PanPlan, ticket: number): Promise<readonly Consequence[]>
  /** What finished cooks with readings teach of the kit. */
  lessons(records: readonly CookRecord[], ticket: number): Promise<readonly Lesson[]>
  /** Everything on a ticket laid out for one moment. */
  service(dishes: readonly Dish[], kitchen: Kitchen): Service
  /** Nobody waits for it any more: it is dropped between two pieces of work. */
  letGo(ticket: number): void
  /** For a hand that stays, after its first plan: see `practise`. @param kind null for the pan's own page */
  practise(request: PlanRequest, kind: MethodKind | null, turned: Dialled): void
  /** Until thawed from a freezer, s. */
  thaw(cutId: string, thicknessMm: number, how: ThawingHow): number
}

function guarded(work: () => PanPlan): Planned {
  try {
    return { plan: work() }
  } catch (error) {
    if (error instanceof RequestError) return { refused: error.message, field: error.field }
    if (error instanceof InfeasibleError) return { refused: error.message, field: null }
    throw error
  }
}

function forecastUnderWay<K extends MethodKind>(
  kind: K,
  request: PlanRequest,
  { dials, free }: Way,
  happened: Happened,
  probed: ProbedUnderWay
): ForecastUnderWay {
  const method = methodOf(kind)
  const asked = setupFor(request, kind, dials)
  const { targetC } = request
  const heeded =
    probed.readings.length === 0
      ? null
      : remembered([request, kind, dials, probed.readings], () =>
          heedUnderWay(method, asked, targetC, probed.happened, probed.readings, free)
        )
  const plan = planUnderWay(method, heeded?.setup ?? asked, targetC, happened, free, (dials.byClockS ?? 0) > 0)
  if (heeded === null) return { plan }
  const { setup: _, ...heard } = heeded
  return { plan, heard }
}

const methodOf = <K extends MethodKind>(kind: K): Method<SettingsOf[K]> => METHODS[kind] as Method<SettingsOf[K]>

/** The probe is asked once for each reading, not for every second that passes after it. */
let last: { readonly key: string; readonly answer: unknown } | null = null
function remembered<T>(question: unknown, work: () => T): T {
  const key = JSON.stringify(question)
  if (last?.key !== key) last = { key, answer: work() }
  return last.answer as T
}
const heededBy = (request: PlanRequest, { readings, past, totalS }: Probed): Heeded =>
  remembered([request, readings], () => heed(setupOf(request), request.targetC, past, readings, totalS))

/** What the last plan of a kind came to: the next one is found sooner. */
const hints = new Map<string, Hint>()
function hinted<P extends Plan>(like: string, work: (hint: Hint | undefined) => P): P {
  const plan = work(hints.get(like))
  hints.set(like, plan.hint)
  return plan
}

const pause = (): Promise<void> =>
  new Promise(go => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => go()
    port2.postMessage(null)
  })
/** What nobody waits for any more; numbers, a few bytes each. */
const goneTickets = new Set<number>()
/**
 * A worker ends, and hears what it is told, between two tasks, not within one: a long piece of work would
 * go on for seconds and slow the next plan.
 */
async function inPieces<T>(steps: Steps<T>, ticket: number | null = null): Promise<T> {
  for (;;) {
    if (ticket !== null && goneTickets.has(ticket)) throw new Error('Let go.')
    const step = steps.next()
    if (step.done === true) return step.value
    await pause()
  }
}

const PRACTICE_PLANS = 10
/**
 * The engine's loops are compiled as they run. A few more plans like the first while nobody asks, each a task
 * of its own so that a question comes between, and a first turn of a dial is answered as soon as a tenth.
 * A joint's plan would keep a question waiting: its first minutes do, over and over.
 */
function practise(plan: () => unknown, left = PRACTICE_PLANS): void {
  if (left === 0) return
  plan()
  setTimeout(practise, 0, plan, left - 1)
}

const FIRST_S = 4 * 60
function firstMinutes<K extends MethodKind>(method: Method<SettingsOf[K]>, setup: Setup<SettingsOf[K]>): void {
  const [begin] = method.program(setup, FIRST_S).heating
  run(method.subject(setup, 'fine'), [{ ...begin, end: { after: FIRST_S } }], KEEP_ENDS)
}

const worker: PlannerWorker = {
  plan: request =>
    request.piece.form === 'roast'
      ? { refused: 'A joint is not cooked in a pan alone.', field: null }
      : guarded(() => hinted(`pan ${request.piece.cutId}`, hint => planPanSear(setupOf(request), request.targetC, [], hint))),
  forecast: (request, past, pulled, probed) => {
    const heeded = probed.readings.length === 0 ? null : heededBy(request, probed)
    const planned = guarded(() => {
      const setup = heeded?.setup ?? setupOf(request)
      return pulled ? followRest(setup, request.targetC, past) : planPanSear(setup, request.targetC, past)
    })
    if (heeded === null) return planned
    const { setup: _, ...heard } = heeded
    return { ...planned, heard }
  },
  underWay: (request, way, happened, probed) => {
    try {
      return forecastUnderWay(way.kind, request, way, happened, probed)
    } catch (error) {
      if (error instanceof RequestError || error instanceof InfeasibleError) return { refused: error.message }
      throw error
    }
  },
  spread: (request, plan, ticket) => inPieces(planSpreading(setupOf(request), plan), ticket),
  method: (request, kind, turned) => {
    const like = `${kind} ${request.piece.cutId} ${request.piece.form ?? ''}`
    try {
      const found = planFor(request, kind, turned, hints.get(like))
      if ('plan' in found) hints.set(like, found.plan.hint)
      return found
    } catch (error) {
      if (error instanceof RequestError) return { kind, unsuited: error.message, nearestC: null }
      throw error
    }
  },
  misjudged: (request, kind, turned, free, ticket) => inPieces(misjudging(methodOf(kind), setupFor(request, kind, turned), free), ticket),
  methodSpread: (request, kind, turned, plan, ticket) =>
    inPieces(methodSpreading(methodOf(kind), setupFor(request, kind, turned), plan), ticket),
  methodWhatIf: (request, kind, turned, plan, ticket) =>
    inPieces(methodConsequences(methodOf(kind), setupFor(request, kind, turned), plan), ticket),
  second: (request, kind, turned, plan, targetC) => {
    try {
      return secondServing(methodOf(kind), setupFor(request, kind, turned), plan, targetC)
    } catch (error) {
      if (error instanceof InfeasibleError) return { refused: error.message }
      throw error
    }
  },
  chilled: (request, kind, turned, plan) => chilled(methodOf(kind), setupFor(request, kind, turned), plan),
  thicknesses: cutId => {
    const { piece } = FIRST_REQUEST
    return thicknessesAllow(setupOf({ ...FIRST_REQUEST, piece: { ...piece, cutId } }), FIRST_REQUEST.targetC)
  },
  preparations: (request, preparation) => comparePreparations(setupOf(request), request.targetC, preparation),
  warmedUp: (request, preparation) => warmedUp(setupOf(request), preparation.fridgeC, preparation.outMin),
  thinEnd: (request, plan) => thinEndPeak(setupOf(request), plan.spells, plan.carve.time - plan.pull.time),
  whatIf: (request, plan, ticket) => inPieces(consequences(setupOf(request), plan), ticket),
  lessons: (records, ticket) => inPieces(lessons(records), ticket),
  service: (dishes, kitchen) => schedule(dishes, kitchen),
  letGo: ticket => void goneTickets.add(ticket),
  practise: (request, kind, turned) => {
    const like =
      kind === null
        ? () => planPanSear(setupOf(request), request.targetC)
        : request.piece.form === 'roast'
          ? () => firstMinutes(methodOf(kind), setupFor(request, kind, turned))
          : () => planFor(request, kind, turned, undefined)
    setTimeout(practise, 0, like)
  },
  thaw: (cutId, thicknessMm, how) => thawSeconds(thicknessMm, cutById(cutId) ?? CUTS[0], how)
}

packPlans()
expose(worker)
