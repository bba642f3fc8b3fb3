/**
 * What readings tell of the unknowns: a Kalman update on the model made linear about the prior, then made
 * linear anew where that led. Draws of many would tell the same with noise, which is larger than what one
 * cook tells of its pan.
 */
import { NAMES, READING_SD, type Gauss, type Observation, type Unknowns } from './prior'
import type { Steps } from '#core/numerics/steps'

/** What is asked of the engine for some unknowns: what the core would read at each reading, and whatever else hangs on them. */
export type Outputs = (unknowns: Unknowns<number>) => number[]

export interface Posterior {
  /** Which of the readings passed the innovation gate: could be. */
  readonly accepted: readonly boolean[]
  /** What each output was expected to be before anything was read. */
  readonly expected: readonly number[]
  readonly unknowns: Unknowns<Gauss>
  /** Each output as it is expected now. */
  readonly outputs: readonly Gauss[]
}

/** The innovation gate: standard deviations from what was expected beyond which a probe is in the wrong place. */
const GATE = 3.2

interface Linearised {
  readonly at: readonly number[]
  readonly expected: readonly number[]
  /** By output, by unknown. */
  readonly slopes: readonly (readonly number[])[]
}

/** @param outputs the readings' own first, in their order */
export function* kalmanUpdate(outputs: Outputs, readings: readonly Observation[], prior: Unknowns<Gauss>): Steps<Posterior> {
  const start = NAMES.map(name => prior[name].mean)
  const sds = NAMES.map(name => prior[name].sd)
  const first = yield* linearise(outputs, start, sds)
  const accepted = readings.map((r, i) => {
    const sd = Math.hypot(READING_SD, ...first.slopes[i].map((slope, k) => slope * sds[k]))
    return Math.abs(r.celsius - first.expected[i]) <= GATE * sd
  })
  const once = updated(readings, accepted, first, start, sds)
  const line = accepted.includes(true) ? yield* linearise(outputs, once.means, sds) : first
  const { means, spread } = updated(readings, accepted, line, start, sds)
  const of = (k: number): Gauss => ({ mean: means[k], sd: Math.sqrt(spread[k][k]) })
  const [thickness, startC, contact, air, heat] = NAMES.map((_, k) => of(k))
  return {
    accepted,
    expected: first.expected,
    unknowns: { thickness, start: startC, contact, air, heat },
    outputs: line.expected.map((expected, i) => ({
      mean:
        expected +
        dot(
          line.slopes[i],
          means.map((m, k) => m - line.at[k])
        ),
      sd: Math.sqrt(dot(line.slopes[i], times(spread, line.slopes[i])))
    }))
  }
}

function* linearise(outputs: Outputs, at: readonly number[], sds: readonly number[]): Steps<Linearised> {
  const asked = ([thickness, start, contact, air, heat]: readonly number[]): number[] => outputs({ thickness, start, contact, air, heat })
  const expected = asked(at)
  yield
  const turned: number[][] = []
  for (const [k, sd] of sds.entries()) {
    const moved = asked(at.map((u, j) => (j === k ? u + sd : u)))
    turned.push(moved.map((value, i) => (value - expected[i]) / sd))
    yield
  }
  return { at, expected, slopes: expected.map((_, i) => turned.map(column => column[i])) }
}

/** One reading after the other: on a linear model that is the same as all at once. */
function updated(
  readings: readonly Observation[],
  accepted: readonly boolean[],
  { at, expected, slopes }: Linearised,
  start: readonly number[],
  sds: readonly number[]
): { readonly means: readonly number[]; readonly spread: readonly (readonly number[])[] } {
  const means = [...start]
  const spread = sds.map((sd, j) => sds.map((_, k) => (j === k ? sd * sd : 0)))
  readings.forEach((reading, i) => {
    if (!accepted[i]) return
    const slope = slopes[i]
    const toward = times(spread, slope)
    const total = READING_SD ** 2 + dot(slope, toward)
    const predicted =
      expected[i] +
      dot(
        slope,
        means.map((m, k) => m - at[k])
      )
    toward.forEach((v, j) => {
      means[j] += (v * (reading.celsius - predicted)) / total
      toward.forEach((w, k) => (spread[j][k] -= (v * w) / total))
    })
  })
  return { means, spread }
}

const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, v, k) => sum + v * b[k], 0)
const times = (matrix: readonly (readonly number[])[], vector: readonly number[]): number[] => matrix.map(row => dot(row, vector))
