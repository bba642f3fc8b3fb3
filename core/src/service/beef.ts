/** A plan from the fire as a dish on the ticket: its stages are its steps, and between them nothing waits. */
import type { Phase } from '#core/method/method'
import type { MethodKind } from '#core/method/methods'
import type { PhaseSpan, Plan } from '#core/plan/plan'
import { capital } from '#core/quantity/format'
import type { PlanRequest } from '#core/request/request'
import { batchesOf, betweenBatches, crustGoesOn, meltsCheese, servedCold, settingsOf, traysOf } from '#core/request/setup'
import { panHotAfter } from '#core/session/warmUp'
import { phaseName } from '#core/words/phases'
import type { Task } from '#core/words/preparation'
import { SHELVES } from '#core/kit/oven'
import { PLATE_S, WHAT_LENGTH, type Dish, type Step, type Tool } from './dish'

const TOOL_OF: Record<Phase, Tool | null> = {
  sear: 'ring',
  'fat edge': 'ring',
  rewarm: 'ring',
  oven: 'oven',
  coals: 'grill',
  'under the lid': 'grill',
  bath: 'bath',
  pot: null,
  cool: null,
  rest: null,
  hold: 'oven',
  chill: null
}
const SLICE_COLD = 'Slice it cold and thin, across the grain'
const CRUST_ON = 'Out of the pan, and its crust spread over all but the underside'
/** At the heat all the while; elsewhere it is laid in and taken out. */
const HANDS_ON: ReadonlySet<Phase> = new Set<Phase>(['sear', 'fat edge', 'rewarm', 'coals'])
const LAY_IN = 60
/** Cheese laid on and watched, s. */
const MELT_S = 60
/** Rested, it waits a little under its foil, a joint longer than a steak; common practice, no source. */
const RESTED: Step['holds'] = [2 * 60, 10 * 60]
const JOINT_RESTED: Step['holds'] = [10 * 60, 25 * 60]
/** At its own temperature, in the water, it waits long; common practice, no source. */
const IN_THE_BATH: Step['holds'] = [45 * 60, 90 * 60]
/** Cold and wrapped it may wait another day, and sliced longer than hot meat; common practice, no source. */
const COLD: Step['holds'] = [24 * 3600, 48 * 3600]
const SLICED_COLD: Step['holds'] = [30 * 60, 2 * 3600]
const NOW: Step['holds'] = [0, 0]
const CARVE_S = 60
const CARVE_EACH_S = 20

/** Further ahead is no evening's work: that is called by its day, s. */
const SAME_EVENING_S = 2 * 3600
/** The last hand's turns before the fire are one, s. */
const LAST_S = 10 * 60
const EACH_TASK_S = 60
/** At the board with knife and string, each; common practice, no source, s. */
const KNIFE_S = 4 * 60

const inOne = (tasks: readonly Task[]): string =>
  tasks.map(({ text }, i) => (i === 0 ? text : text.charAt(0).toLowerCase() + text.slice(1))).join('; ')
/** As many as a line of the ticket takes. */
function inLines(tasks: readonly Task[]): Task[][] {
  const lines: Task[][] = []
  for (const task of tasks) {
    const line = lines.at(-1)
    if (line && inOne([...line, task]).length <= WHAT_LENGTH) line.push(task)
    else lines.push([task])
  }
  return lines
}
/** Work of the knife keeps for hours; all else is timed by the fire. */
const anyTime = ({ id }: Task): boolean => id.startsWith('knife') || id === 'tie'

/** What is done to the piece before it goes in, this evening, one after the other up to the fire. */
export function gettingReady(tasks: readonly Task[]): Step[] {
  const near = tasks.filter(t => t.before > 0 && t.before <= SAME_EVENING_S).sort((a, b) => b.before - a.before)
  const [knife, timed] = [near.filter(anyTime), near.filter(t => !anyTime(t))]
  const last = timed.filter(t => t.before <= LAST_S)
  const earlier = timed.filter(t => t.before > LAST_S)
  const lastS = last.at(0)?.before ?? 0
  const step = (what: string, seconds: number, handsS: number, holds: Step['holds']): Step => ({
    what,
    tool: null,
    seconds,
    hands: [Math.min(handsS, seconds), 0],
    holds
  })
  const AT_THE_FIRE = [5 * 60, 20 * 60] as const
  return [
    ...inLines(knife).map(some => step(inOne(some), some.length * KNIFE_S, Infinity, [2 * 3600, 6 * 3600])),
    ...earlier.map((task, i) =>
      step(
        task.text,
        task.before - (earlier.at(i + 1)?.before ?? lastS),
        EACH_TASK_S,
        i === earlier.length - 1 && last.length === 0 ? AT_THE_FIRE : [0, 0]
      )
    ),
    ...inLines(last).map((some, i, all) => {
      const next = all.at(i + 1)?.at(0)?.before
      return step(inOne(some), some[0].before - (next ?? 0), Infinity, next === undefined ? AT_THE_FIRE : [0, 0])
    })
  ]
}

/** @param diners for the carving @param tasks of getting it ready */
export function beefDish(
  id: string,
  name: string,
  request: PlanRequest,
  plan: Pick<Plan, 'phases' | 'pull'>,
  diners: number,
  tasks: readonly Task[] = []
): Dish {
  const { kind } = request.method
  const { ovenC } = settingsOf(request) as { readonly ovenC?: number }
  const cheese = meltsCheese(request)
  const joint = request.piece.form === 'roast'
  const panS = Math.round(panHotAfter(request))
  const batches = batchesOf(request).length
  const attended = plan.phases.every(p => TOOL_OF[p.phase] === null || HANDS_ON.has(p.phase))
  const cold = servedCold(request)
  const last = plan.phases.at(-1)?.phase
  const rests = cold ? (last === 'rest' ? COLD : NOW) : joint ? JOINT_RESTED : RESTED
  const stages = plan.phases.map((span, i): Step => {
    const step = stageStep(span, kind, { ovenC, trays: Math.min(SHELVES, traysOf(request)) }, rests)
    const hot = i > 0 && TOOL_OF[plan.phases[i - 1].phase] === 'ring'
    const all = batches > 1 && i === 0 ? inBatches(step, batches, plan.pull.time + betweenBatches(request), attended) : step
    if (cheese && span.phase === 'rest')
      return { ...all, what: `Cheese on at once, a lid over it until it melts; then ${all.what.toLowerCase()}`, hands: [MELT_S, 0] }
    const crusted = span.phase === 'sear' && plan.phases.at(i + 1)?.phase === 'oven' && crustGoesOn(request) === 'after its sear'
    if (crusted) return { ...all, then: CRUST_ON, ...(hot ? {} : { setUp: panS }) }
    return all.tool === 'ring' && !hot ? { ...all, setUp: panS } : all
  })
  const carving = cold ? { what: SLICE_COLD, holds: SLICED_COLD } : { what: 'Carve', holds: [PLATE_S, 5 * 60] as const }
  const carve = CARVE_S + CARVE_EACH_S * diners
  const near = tasks.filter(t => t.before <= SAME_EVENING_S).reduce((most, t) => Math.max(most, t.before), 0)
  const ahead = tasks.filter(t => t.before > SAME_EVENING_S).map(({ text, before }) => ({ what: text, before: before - near }))
  return {
    id,
    name,
    kind: 'beef',
    ...(ahead.length > 0 ? { ahead } : {}),
    pullC: plan.pull.probe,
    steps: [...gettingReady(tasks), ...stages, { ...carving, tool: null, seconds: carve, hands: [carve, 0] }]
  }
}

/**
 * A dish whose fire takes another time than it did: what is done before it, and what is said of its steps, stay.
 * @param fresh of the same piece by the same method, not got ready
 */
export function refired(dish: Dish, fresh: Dish): Dish {
  const before = Math.max(0, dish.steps.length - fresh.steps.length)
  const fire = fresh.steps.map((step, i) => {
    const then = dish.steps.at(before + i)?.then
    return then === undefined ? step : { ...step, then }
  })
  return {
    ...dish,
    ...(dish.pullC !== undefined && fresh.pullC !== undefined ? { pullC: fresh.pullC } : {}),
    steps: [...dish.steps.slice(0, before), ...fire]
  }
}

/** To several donenesses: at the heat from when the longest goes in, and off it one by one. */
export function toSeveral(dish: Dish, donenesses: number): Dish {
  const { pullC: _, ...rest } = dish
  const last = dish.steps.reduce((found, s, i) => (s.tool === null ? found : i), -1)
  const steps = dish.steps.map((s, i) => (i === last ? { ...s, then: 'The last one off: each comes off at its own' } : s))
  return { ...rest, name: `${dish.name}, ${donenesses} donenesses`, steps }
}

/**
 * One after the other at the same fire: all but the last are done when that one begins.
 * @param step of the last one, its first @param nextS from one going in to the next @param attended whether a hand is at it throughout
 */
function inBatches(step: Step, batches: number, nextS: number, attended: boolean): Step {
  const seconds = (batches - 1) * Math.round(nextS) + step.seconds
  return { ...step, what: `${step.what}, ${batches} batches`, seconds, hands: [attended ? seconds : batches * step.hands[0], 0] }
}

interface InOven {
  readonly ovenC: number | undefined
  readonly trays: number
}
function stageStep(span: PhaseSpan, kind: MethodKind, { ovenC, trays }: InOven, rests: Step['holds']): Step {
  const { phase, from, to } = span
  const seconds = Math.round(to - from)
  const tool = TOOL_OF[phase]
  return {
    what: capital(phaseName(span)),
    tool,
    ...(tool === 'oven' && ovenC !== undefined ? { ovenC: [ovenC, ovenC] as const } : {}),
    ...(tool === 'oven' && trays > 1 ? { trays } : {}),
    seconds,
    hands: HANDS_ON.has(phase) ? [seconds, 0] : phase === 'rest' || phase === 'cool' || phase === 'chill' ? [0, 0] : [LAY_IN, LAY_IN],
    holds: phase === 'rest' ? rests : phase === 'chill' ? COLD : phase === 'bath' && kind === 'bath then sear' ? IN_THE_BATH : [0, 0]
  }
}
