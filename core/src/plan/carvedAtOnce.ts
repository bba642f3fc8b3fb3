/** Several pieces for several donenesses, so that all are carved at once: which goes in when, and comes out when. */
import type { Plan } from './plan'

export interface Slot {
  readonly targetC: number
  /** s after the first piece went in. */
  readonly inAt: number
  readonly outAt: number
  readonly outC: number
}

/** @param plans one for each doneness; the one that takes longest goes in first */
export function carvedAtOnce(plans: readonly Plan[]): Slot[] {
  const longest = Math.max(...plans.map(p => p.carve.time))
  return plans
    .map(p => {
      const inAt = longest - p.carve.time
      return { targetC: p.target, inAt, outAt: inAt + p.pull.time, outC: p.pull.probe }
    })
    .sort((a, b) => a.inAt - b.inAt)
}
