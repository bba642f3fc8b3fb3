/**
 * What readings tell of the unknowns: a Kalman update on the model made linear about the prior, then made
 * linear anew where that led. Draws of many would tell the same with noise, which is larger than what one
 * cook tells of its pan.
 */
import { each, NAMES, READING_SD, type Gauss, type Observation, type Unknowns } from './prior'
import type { Steps } from '#core/numerics/steps'

/** What is asked of the engine for some unknowns: what the core would read at each reading, and whatever else hangs on them. */
export type Outputs = (unknowns: Unknowns<number>) => number[]

export interface Posterior {
  /** Which of the readings are believed. */
  readonly accepted: readonly boolean[]
  /** What each output was expected to be before anything was read. */
  readonly expected: readonly number[]
  readonly unknowns: Unknowns<Gauss>
  /** Each output as it is expected now. */
  readonly outputs: readonly Gauss[]
  /** How many times as wide as it was the prior had to be taken, for readings that agree with each other and not with it. */
  readonly widened: number
  /** What the last of them is then still off what the model says, K: it has the last word. */
  readonly off: number
}

/** The innovation gate: standard deviations from what was expected beyond which one reading alone is not believed. */
const GATE = 3.2
/** Where two readings agree against the prior, it is taken this many times as wide, until they fit. */
const WIDER = [2, 4, 8]
/** No look is further from the middle of the prior than this many of its standard deviations. */
export const FURTHEST = 2.5
/** K: so near both should then be; and so much may one be further off than the other before they contradict each other. */
const AGREES = 1
const CONTRADICTS = 5
const LOOKS = { usual: 2, wider: 4 } as const

interface Linearised {
  readonly at: readonly number[]
  readonly expected: readonly number[]
  /** By output, by unknown. */
  readonly slopes: readonly (readonly number[])[]
}

/**
 * One reading that leaves the innovation gate is left out. Two that agree with each other are right, whatever
 * the prior said: it is then too narrow, and is widened until it has room for them.
 * @param outputs the readings' own first, in their order
 * @param mayWiden whether two that agree may do that; of a finished cook they teach nothing of its kit
 * @param possible whether meat could read so at all; what could not counts for nothing, however often it is read
 */
export function* kalmanUpdate(
  outputs: Outputs,
  readings: readonly Observation[],
  prior: Unknowns<Gauss>,
  possible: readonly boolean[] = readings.map(() => true),
  mayWiden = true
): Steps<Posterior> {
  const start = NAMES.map(name => prior[name].mean)
  const sds = NAMES.map(name => prior[name].sd)
  const first = yield* linearise(outputs, start, sds)
  const inGate = readings.map((r, i) => {
    const sd = Math.hypot(READING_SD, ...first.slopes[i].map((slope, k) => slope * sds[k]))
    return possible[i] && Math.abs(r.celsius - first.expected[i]) <= GATE * sd
  })
  const doubted = readings.flatMap((_, i) => (possible[i] && !inGate[i] ? [i] : []))
  const lastTwo = doubted.slice(-2)
  if (mayWiden && lastTwo.length === 2 && lastTwo[1] === possible.lastIndexOf(true)) {
    const believed = yield* widenedTo(outputs, readings, possible, lastTwo as [number, number], first, start, sds)
    if (believed) return { ...believed, expected: first.expected }
  }
  const looks = inGate.includes(true) ? LOOKS.usual : 1
  const found = yield* fitted(outputs, readings, inGate, first, start, sds, sds, looks)
  return { accepted: inGate, ...found, expected: first.expected, widened: 1, off: 0 }
}

/** For two readings that may agree: the prior wide enough for them; null where they contradict each other. */
function* widenedTo(
  outputs: Outputs,
  readings: readonly Observation[],
  possible: readonly boolean[],
  [before, last]: readonly [number, number],
  first: Linearised,
  start: readonly number[],
  sds: readonly number[]
): Steps<Omit<Posterior, 'expected'> | null> {
  let best: (Omit<Posterior, 'expected'> & { readonly misses: number }) | null = null
  for (const widened of WIDER) {
    const wide = sds.map(sd => widened * sd)
    const found = yield* fitted(outputs, readings, possible, first, start, wide, sds, LOOKS.wider)
    const mean = each(name => within(found.unknowns[name].mean, start[NAMES.indexOf(name)], wide[NAMES.indexOf(name)]))
    const really = outputs(mean)
    yield
    const off = readings.map((r, i) => r.celsius - really[i])
    const misses = Math.max(Math.abs(off[before]), Math.abs(off[last]))
    if (Math.abs(off[before] - off[last]) > CONTRADICTS || (best && misses >= best.misses)) continue
    const accepted = readings.map((_, i) => possible[i] && Math.abs(off[i] - off[last]) <= CONTRADICTS)
    const unknowns = each(name => ({ mean: mean[name], sd: found.unknowns[name].sd }))
    best = { accepted, unknowns, outputs: found.outputs, widened, off: off[last], misses }
    if (misses <= AGREES) break
  }
  return best
}

const within = (value: number, middle: number, sd: number): number =>
  middle + Math.min(FURTHEST * sd, Math.max(-FURTHEST * sd, value - middle))

/** @param sds of the prior; @param apart how far apart the model is looked at, so that it is made linear; @param looks how often it is */
function* fitted(
  outputs: Outputs,
  readings: readonly Observation[],
  accepted: readonly boolean[],
  first: Linearised,
  start: readonly number[],
  sds: readonly number[],
  apart: readonly number[],
  looks: number
): Steps<Pick<Posterior, 'unknowns' | 'outputs'>> {
  let line = first
  for (let look = 1; look < looks; look++) {
    // A straight line may lead further than the model is good for.
    const { means } = updated(readings, accepted, line, start, sds)
    const there = means.map((m, k) => within(m, start[k], sds[k]))
    line = yield* linearise(outputs, there, apart)
  }
  const { means, spread } = updated(readings, accepted, line, start, sds)
  const of = (k: number): Gauss => ({ mean: means[k], sd: Math.sqrt(spread[k][k]) })
  return {
    unknowns: each(name => of(NAMES.indexOf(name))),
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

function* linearise(outputs: Outputs, at: readonly number[], apart: readonly number[]): Steps<Linearised> {
  const asked = (values: readonly number[]): number[] => outputs(each(name => values[NAMES.indexOf(name)]))
  const expected = asked(at)
  yield
  const turned: number[][] = []
  for (const [k, sd] of apart.entries()) {
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
