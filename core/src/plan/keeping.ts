/**
 * What is kept for another day, straight from its bag: how long until its middle is cold in
 * ice water and in the fridge. Seconds.
 */
import { allOver, type Face } from '#core/heat/faces'
import { KEEP_ENDS, run, type Stage } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import { inFridge, inIce } from '#core/kit/bath'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { timelineOf } from '#core/method/timeline'
import type { Plan } from './plan'

/** Cold enough to be kept, °C. */
export const COLD_C = 5

export interface Kept {
  readonly inIceS: number
  readonly inFridgeS: number
}

const LONGEST = 12 * 3600

/** From the heat until the middle of a piece that rests in the fridge is cold, s; null where it is carved before. */
export function coldAfter({ history, pull, carve }: Pick<Plan, 'history' | 'pull' | 'carve'>): number | null {
  const at = history.time.findIndex((t, i) => t > pull.time && t <= carve.time && history.core[i] <= COLD_C)
  return at < 0 ? null : history.time[at] - pull.time
}

export function chilled<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Kept {
  const { heating } = timelineOf(method, setup, plan.free)
  const wet = heating.reduce((last, s, i) => (s.phase === 'bath' || s.phase === 'pot' ? i : last), -1)
  const cooked: readonly Stage[] = heating.slice(0, wet + 1)
  const until = (face: Face): number => {
    // Nothing of this engine ends a stage on the way down: the whole cooling is run and looked up.
    const { history, stageEnds } = run(
      method.subject(setup, 'coarse'),
      [...cooked, { name: 'cooling', end: { after: LONGEST }, faces: allOver(face) }],
      { ...KEEP_ENDS, every: 60 },
      COARSE_STEPS
    )
    const from = stageEnds[cooked.length - 1] ?? 0
    const at = history.time.findIndex((t, i) => t > from && history.core[i] <= COLD_C)
    return (at < 0 ? history.time[history.time.length - 1] : history.time[at]) - from
  }
  return { inIceS: until(inIce(setup.constants)), inFridgeS: until(inFridge(setup.constants)) }
}
