/**
 * What readings tell of the unknowns, by the straight line through what is expected: a Kalman update
 * on it, the line then laid anew where it led to. Draws of many would tell the same with noise, which is larger
 * than what one cook tells of its pan.
 */
import { NAMES, READING_SD, type Gauss, type Reading, type Unknowns } from './belief'
import type { Steps } from '#core/numerics/steps'

/** What is asked of the engine for some unknowns: what the core would read at each reading, and whatever else hangs on them. */
export type Outputs = (unknowns: Unknowns<number>) => number[]

export interface Told {
  /** Which of the readings could be. */
  readonly heard: readonly boolean[]
  /** What each output was expected to be before anything was read. */
  readonly expected: readonly number[]
  readonly unknowns: Unknowns<Gauss>
  /** Each output as it is expected now. */
  readonly outputs: readonly Gauss[]
}

/** Standard deviations from what was expected beyond which a probe is in the wrong place. */
const UNLIKELY = 3.2

interface Line {
  readonly at: readonly number[]
  readonly expected: readonly number[]
  /** By output, by unknown. */
  readonly slopes: readonly (readonly number[])[]
}

/** @param outputs the readings' own first, in their order */
export function* toldBy(outputs: Outputs, readings: readonly Reading[], prior: Unknowns<Gauss>): Steps<Told> {
  const start = NAMES.map(name => prior[name].mean)
  const sds = NAMES.map(name => prior[name].sd)
  const first = yield* lineThrough(outputs, start, sds)
  const heard = readings.map((r, i) => {
    const sd = Math.hypot(READING_SD, ...first.slopes[i].map((slope, k) => slope * sds[k]))
    return Math.abs(r.celsius - first.expected[i]) <= UNLIKELY * sd
  })
  const once = updated(readings, heard, first, start, sds)
  const line = heard.includes(true) ? yield* lineThrough(outputs, once.means, sds) : first
  const { means, spread } = updated(readings, heard, line, start, sds)
  const of = (k: number): Gauss => ({ mean: means[k], sd: Math.sqrt(spread[k][k]) })
  const [thickness, startC, contact, air, heat] = NAMES.map((_, k) => of(k))
  return {
    heard,
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

function* lineThrough(outputs: Outputs, at: readonly number[], sds: readonly number[]): Steps<Line> {
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

/** One reading after the other: on a straight line that is the same as all at once. */
function updated(
  readings: readonly Reading[],
  heard: readonly boolean[],
  { at, expected, slopes }: Line,
  start: readonly number[],
  sds: readonly number[]
): { readonly means: readonly number[]; readonly spread: readonly (readonly number[])[] } {
  const means = [...start]
  const spread = sds.map((sd, j) => sds.map((_, k) => (j === k ? sd * sd : 0)))
  readings.forEach((reading, i) => {
    if (!heard[i]) return
    const slope = slopes[i]
    const toward = times(spread, slope)
    const total = READING_SD ** 2 + dot(slope, toward)
    const foreseen =
      expected[i] +
      dot(
        slope,
        means.map((m, k) => m - at[k])
      )
    toward.forEach((v, j) => {
      means[j] += (v * (reading.celsius - foreseen)) / total
      toward.forEach((w, k) => (spread[j][k] -= (v * w) / total))
    })
  })
  return { means, spread }
}

const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, v, k) => sum + v * b[k], 0)
const times = (matrix: readonly (readonly number[])[], vector: readonly number[]): number[] => matrix.map(row => dot(row, vector))
