/**
 * The backward solve of any method: the free time for which the least cooked point
 * peaks at the goal. A coarse grid and coarse steps find the neighbourhood and how fast
 * the peak rises there; the default ones correct it.
 */
import { KEEP_ENDS, run, type Recording, type Run, type Stage, type Subject } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import { risingRoot, type Bracket } from '#core/numerics/root'

/** What is solved. Times in s, temperatures in °C. */
export interface SearchProblem {
  readonly fine: Subject
  readonly coarse: Subject
  /** The whole program, rest and all, for a free time. */
  readonly stages: (free: number) => readonly Stage[]
  readonly goal: number
  readonly low: number
  readonly high: number
  readonly guess: number
  /** What the run at the answer keeps. */
  readonly recording: (free: number) => Recording
  /** What a problem much like this one came to: saves trials, and moves the answer within what is close enough. */
  readonly warmStart?: WarmStart | undefined
  /**
   * Given the neighbourhood once it is known, null where it is not, so that a program that comes in whole numbers
   * keeps to one; says whether that is another than before.
   */
  readonly hold?: (near: number | null) => boolean
}

export interface WarmStart {
  readonly free: number
  /** How far the default grid's peak lay above the coarse one's, K. */
  readonly bias: number
  /** Rise of the peak for each second longer, K/s; 0 where it is not known. */
  readonly slope: number
}

export interface Solved {
  readonly free: number
  readonly run: Run
  /** Rise of the peak for each second longer, K/s; 0 where nothing is left to choose. */
  readonly peakRate: number
  /** Where no free time gives the goal: on which side the nearest lies. */
  readonly misses: 'none' | 'too hot at the least' | 'too cool at the most'
  /** For the next problem like this one. */
  readonly warmStart: WarmStart
}

/** The last stage runs no longer than until the core has fallen this far from its peak, K. */
export const PAST_PEAK = 0.5
const CLOSE_KELVIN = 0.1
/** And so near in the free time, as a share of it, down to this. */
const CLOSE_SHARE = 0.004
const LEAST_KELVIN = 0.006
const NARROW_SECONDS = 0.25
const MOST_CORRECTIONS = 10
const SEARCHING: Recording = { ...KEEP_ENDS, untilPastPeakBy: PAST_PEAK }

export function solveFree(problem: SearchProblem): Solved {
  const { low, high, goal, warmStart } = problem
  const above =
    (bias: number): Coarse =>
    free => ({ free, over: run(problem.coarse, problem.stages(free), SEARCHING, COARSE_STEPS).peak.core + bias - goal })
  const within = (free: number): number => Math.min(high, Math.max(low, free))
  const led = warmStart ? followed(above(warmStart.bias), problem, warmStart) : null
  if (warmStart && led) return corrected(problem, within(led.free), led.slope, warmStart.bias)
  const near = sought(above(0), problem)
  if (near === 'too hot at the least') return missed(problem, low, near)
  if (near === 'too cool at the most') return missed(problem, high, near)
  return corrected(problem, within(near.free), near.slope, 0)
}

type Coarse = (free: number) => Point

/** The neighbourhood, and K/s there. */
interface Near {
  readonly free: number
  readonly slope: number
}

/** Beginning from nothing. */
function sought(coarse: Coarse, problem: SearchProblem): Near | Exclude<Solved['misses'], 'none'> {
  const known: Point[] = []
  const over = (free: number): number => {
    const point = coarse(free)
    known.push(point)
    return point.over
  }
  const atLow = over(problem.low)
  if (atLow >= 0) return 'too hot at the least'
  const bracket = bracketing(over, problem, atLow)
  if (bracket === null) return 'too cool at the most'
  const near = risingRoot(over, bracket, 0.5, 1)
  if (problem.hold?.(near) === true) {
    known.length = 0
    over(near)
    over(near * 1.04 + 1)
  }
  return straightThrough(known)
}

/** K within which the slope of last time tells the rest. */
const NEAR_KELVIN = 0.5
const MOST_FOLLOWED = 4

/** From where it was last time, by the slope there; null where that leads nowhere. */
function followed(coarse: Coarse, problem: SearchProblem, warmStart: WarmStart): Near | null {
  let slope = warmStart.slope
  if (slope <= 0) return null
  problem.hold?.(warmStart.free)
  let at = coarse(warmStart.free)
  for (let i = 0; i < MOST_FOLLOWED; i++) {
    const next = Math.min(problem.high, Math.max(problem.low, at.free - at.over / slope))
    if (Math.abs(at.over) < NEAR_KELVIN && problem.hold?.(next) !== true) return { free: next, slope }
    const then = coarse(next)
    if (Math.abs(then.over) > Math.max(NEAR_KELVIN, Math.abs(at.over) / 2)) break
    if (Math.abs(at.over) >= NEAR_KELVIN) slope = Math.max(slope / 2, (then.over - at.over) / (next - at.free))
    at = then
  }
  problem.hold?.(null)
  return null
}

interface Point {
  readonly free: number
  /** K that the peak lies above the goal. */
  readonly over: number
}

/** Where the line through the two points nearest to the goal meets it. */
function straightThrough(known: readonly Point[]): Near {
  const [a, b] = [...known].sort((p, q) => Math.abs(p.over) - Math.abs(q.over))
  const slope = (b.over - a.over) / (b.free - a.free)
  return { free: a.free - a.over / slope, slope }
}

const tried = (problem: SearchProblem, free: number): Run => run(problem.fine, problem.stages(free), problem.recording(free))

const missed = (problem: SearchProblem, free: number, misses: Solved['misses']): Solved => ({
  free,
  run: tried(problem, free),
  peakRate: 0,
  misses,
  warmStart: { free, bias: 0, slope: 0 }
})

/** Secant from a near answer and a slope; each new pair of trials mends the slope, and none goes back beyond one known to be off. */
function corrected(problem: SearchProblem, near: number, slope: number, bias: number): Solved {
  const { goal } = problem
  let { low, high } = problem
  let free = near
  let rate = slope
  let outcome = tried(problem, free)
  // The coarse grid took this to be the answer: what it is off by is how the two grids differ.
  const offBy = bias + outcome.peak.core - goal
  for (let i = 0; i < MOST_CORRECTIONS; i++) {
    const over = outcome.peak.core - goal
    // Near the heat of its bath a tenth of a degree is minutes.
    if (Math.abs(over) < Math.min(CLOSE_KELVIN, Math.max(LEAST_KELVIN, rate * CLOSE_SHARE * free))) break
    if (over > 0) high = free
    else low = free
    const aimed = free - over / rate
    const next = aimed > low && aimed < high ? aimed : (low + high) / 2
    const step = next - free
    if (Math.abs(step) < NARROW_SECONDS) break
    const tryNext = tried(problem, next)
    const mended = (tryNext.peak.core - outcome.peak.core) / step
    if (mended > 0) rate = mended
    free = next
    outcome = tryNext
  }
  return { free, run: outcome, peakRate: rate, misses: 'none', warmStart: { free, bias: offBy, slope: rate } }
}

/** Widens upward from the guess until the goal lies between. */
function bracketing(f: (free: number) => number, { low, high, guess }: SearchProblem, atLow: number): Bracket | null {
  let bracket = { low, atLow, high: low, atHigh: atLow }
  let next = Math.min(high, Math.max(low + 20, guess))
  for (;;) {
    const at = f(next)
    bracket = { low: bracket.high, atLow: bracket.atHigh, high: next, atHigh: at }
    if (at >= 0) return bracket
    if (next >= high) return null
    next = Math.min(high, next * 1.6)
  }
}
