/** Several pieces for several donenesses, so that all are carved at once: which goes in when, and comes out when. */
import type { Plan } from './plan'

export interface Slot {
  readonly targetC: number
  /** s after the first piece went in. */
  readonly inAt: number
  readonly outAt: number
  readonly outC: number
}

/**
 * So many pieces for each, in the measure in which they are wanted, and one for each at least.
 * @param wanted how many guests want each
 */
export function sharedOut(pieces: number, wanted: readonly number[]): number[] {
  const guests = wanted.reduce((sum, n) => sum + n, 0)
  const shares = wanted.map(() => 1)
  // The next piece to whoever is shortest of his share.
  for (let left = pieces - wanted.length; left > 0; left--) {
    const short = wanted.map((n, i) => (n / guests) * pieces - shares[i])
    shares[short.indexOf(Math.max(...short))] += 1
  }
  return shares
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
