/** An oven that was not hot yet when the piece came into it: what that is in while it warms. */
import type { Spent } from '#core/estimate/underWay'
import { ovenAfter } from '#core/kit/oven'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import type { CookEvent } from '#core/session/events'
import { progressOf } from '#core/session/progress'

/** The oven of a method that uses one. */
export interface TrueOven {
  /** What it is set to. */
  readonly dialC: number
  readonly roomC: number
  /** In which stages of its program the piece is in it. */
  readonly stages: readonly number[]
}

/** Null where it comes into none. */
export function ovenOf(method: Method<Resting>, setup: Setup<Resting>): TrueOven | null {
  const { ovenC } = setup.settings as { readonly ovenC?: number }
  if (ovenC === undefined) return null
  const { heating } = method.program(setup, method.guess(setup))
  const stages = heating.flatMap(({ phase }, i) => (phase === 'oven' ? [i] : []))
  return stages.length > 0 ? { dialC: ovenC, roomC: setup.room.temperatureC, stages } : null
}

/** What is slow is lit first. @returns epoch ms; null while nothing is lit */
export const ovenLitAt = (events: readonly CookEvent[]): number | null => progressOf(events).lits.at(0) ?? null

/** s: in a step of that it is taken to be as it is half-way. */
const STEP = 60

/**
 * The same with the oven as warm as it was.
 * @param litBefore s that it had been lit when the piece was laid in
 */
export function asTheOvenWarmed(past: readonly Spent[], { dialC, roomC, stages }: TrueOven, litBefore: number): Spent[] {
  let at = Math.max(0, litBefore)
  return past.flatMap(spent => {
    const { stage, seconds } = spent
    const from = at
    at += seconds
    const set = spent.ovenC ?? dialC
    if (stage === 'out' || !stages.includes(stage)) return [spent]
    const steps: Spent[] = []
    for (let gone = 0; gone < seconds;) {
      const long = Math.min(STEP, seconds - gone)
      const air = ovenAfter(set, roomC, from + gone + long / 2)
      if (air >= set) return [...steps, { ...spent, seconds: seconds - gone }]
      steps.push({ ...spent, seconds: long, ovenC: air })
      gone += long
    }
    return steps
  })
}

/** What it was at when the piece came into it, °C; null where it has not yet. */
export function ovenMetAt(past: readonly Spent[], oven: TrueOven, litBefore: number): number | null {
  let at = Math.max(0, litBefore)
  for (const { stage, seconds } of past) {
    if (stage !== 'out' && oven.stages.includes(stage)) return ovenAfter(oven.dialC, oven.roomC, at)
    at += seconds
  }
  return null
}
