/**
 * The backward solve of any method: the free time for which the least cooked point
 * peaks at the goal. A coarse grid and coarse steps find the neighbourhood and how fast
 * the peak rises there; the default ones correct it.
 */
import {
  COARSE_STEPS,
  DEFAULT_STEPS,
  KEEP_ENDS,
  run,
  type Recording,
  type Run,
  type Stage,
  type StepLengths,
  type Subject
} from '#core/heat/program'
import { risingRoot, type Bracket } from './root'

/** What is solved. Times in s, temperatures in °C. */
export interface Problem {
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
  /** What a problem much like this one came to: saves trials, and changes nothing else. */
  readonly hint?: Hint | undefined
  /** Told the neighbourhood once it is known, so that a program that comes in whole numbers keeps to one. */
  readonly settle?: (near: number) => void
}

export interface Hint {
  readonly free: number
  /** How far the default grid's peak lay above the coarse one's, K. */
  readonly bias: number
}

export interface Solved {
  readonly free: number
  readonly run: Run
  /** Rise of the peak for each second longer, K/s; 0 where nothing is left to choose. */
  readonly peakRate: number
  /** Where no free time gives the goal: on which side the nearest lies. */
  readonly misses: 'none' | 'too hot at the least' | 'too cool at the most'
  /** For the next problem like this one. */
  readonly hint: Hint
}

/** The last stage runs no longer than until the core has fallen this far from its peak, K. */
export const PAST_PEAK = 0.5
const CLOSE_KELVIN = 0.1
/** A wrapped log is not told apart to less by its steps, and one more run of it would keep the cook waiting for nothing. */
const CLOSE_WRAPPED_KELVIN = 0.15
const NARROW_SECONDS = 0.25
const MOST_CORRECTIONS = 10
/** Beside a whole log its middle costs next to nothing: with short steps it tells the whole log's answer the better. */
export const MIDDLE_STEPS: StepLengths = { ...DEFAULT_STEPS, kelvin: 2.4 }
const SEARCHING: Recording = { ...KEEP_ENDS, untilPastPeakBy: PAST_PEAK }

export function solveFree(problem: Problem): Solved {
  const { low, high, goal, hint } = problem
  const bias = hint?.bias ?? 0
  const steps = problem.coarse.grid.cells < problem.fine.grid.cells / 8 ? MIDDLE_STEPS : COARSE_STEPS
  const known: Point[] = []
  const coarse = (free: number): number => {
    const over = run(problem.coarse, problem.stages(free), SEARCHING, steps).peak.core + bias - goal
    known.push({ free, over })
    return over
  }
  const told = hint ? around(coarse, problem, hint.free) : null
  let bracket = told
  if (bracket === null) {
    const atLow = coarse(low)
    if (atLow >= 0) return missed(problem, low, 'too hot at the least')
    bracket = bracketing(coarse, problem, atLow)
    if (bracket === null) return missed(problem, high, 'too cool at the most')
  }
  const near = risingRoot(coarse, bracket, 0.5, 1)
  if (problem.settle) {
    problem.settle(near)
    known.length = 0
    coarse(near)
    coarse(near * 1.04 + 1)
  }
  const { free, slope } = straightThrough(known)
  return corrected(problem, Math.min(high, Math.max(low, free)), slope, bias)
}

interface Point {
  readonly free: number
  /** K that the peak lies above the goal. */
  readonly over: number
}

/** Where the line through the two points nearest to the goal meets it, and its slope, K/s. */
function straightThrough(known: readonly Point[]): { free: number; slope: number } {
  const [a, b] = [...known].sort((p, q) => Math.abs(p.over) - Math.abs(q.over))
  const slope = (b.over - a.over) / (b.free - a.free)
  return { free: a.free - a.over / slope, slope }
}

const tried = (problem: Problem, free: number): Run => run(problem.fine, problem.stages(free), problem.recording(free))

const missed = (problem: Problem, free: number, misses: Solved['misses']): Solved => ({
  free,
  run: tried(problem, free),
  peakRate: 0,
  misses,
  hint: { free, bias: 0 }
})

/** Secant from a near answer and a slope; each new pair of trials mends the slope, and none goes back beyond one known to be off. */
function corrected(problem: Problem, near: number, slope: number, bias: number): Solved {
  const { goal } = problem
  let { low, high } = problem
  let free = near
  let rate = slope
  const close = problem.fine.grid.mirrored && problem.fine.materials.length > 1 ? CLOSE_WRAPPED_KELVIN : CLOSE_KELVIN
  let outcome = tried(problem, free)
  // The coarse grid took this to be the answer: what it is off by is how the two grids differ.
  const offBy = bias + outcome.peak.core - goal
  for (let i = 0; i < MOST_CORRECTIONS; i++) {
    const over = outcome.peak.core - goal
    if (Math.abs(over) < close) break
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
  return { free, run: outcome, peakRate: rate, misses: 'none', hint: { free, bias: offBy } }
}

/** A little to both sides of what it was last time, where the goal lies between those. */
function around(f: (free: number) => number, { low, high }: Problem, last: number): Bracket | null {
  const [near, far] = [Math.max(low, 0.87 * last), Math.min(high, 1.15 * last)]
  if (far - near < 2) return null
  const atLow = f(near)
  if (atLow >= 0) return null
  const atHigh = f(far)
  return atHigh >= 0 ? { low: near, atLow, high: far, atHigh } : null
}

/** Widens upward from the guess until the goal lies between. */
function bracketing(f: (free: number) => number, { low, high, guess }: Problem, atLow: number): Bracket | null {
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
