/**
 * The backward solve of any method: the free time for which the least cooked point
 * peaks at the goal. A coarse grid and coarse steps find the neighbourhood and how fast
 * the peak rises there; the default ones correct it.
 */
import { COARSE_STEPS, KEEP_ENDS, run, type Recording, type Run, type Stage, type Subject } from '#core/heat/program'
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
  /** Told the neighbourhood once it is known, so that a program that comes in whole numbers keeps to one. */
  readonly settle?: (near: number) => void
}

export interface Solved {
  readonly free: number
  readonly run: Run
  /** Rise of the peak for each second longer, K/s; 0 where nothing is left to choose. */
  readonly peakRate: number
  /** Where no free time gives the goal: on which side the nearest lies. */
  readonly misses: 'none' | 'too hot at the least' | 'too cool at the most'
}

/** The last stage runs no longer than until the core has fallen this far from its peak, K. */
export const PAST_PEAK = 0.5
const CLOSE_KELVIN = 0.1
const NARROW_SECONDS = 0.25
const MOST_CORRECTIONS = 6
const SEARCHING: Recording = { ...KEEP_ENDS, untilPastPeakBy: PAST_PEAK }

export function solveFree(problem: Problem): Solved {
  const { low, high, goal } = problem
  const coarse = (free: number): number => run(problem.coarse, problem.stages(free), SEARCHING, COARSE_STEPS).peak.core - goal
  const atLow = coarse(low)
  if (atLow >= 0) return missed(problem, low, 'too hot at the least')
  const bracket = bracketing(coarse, problem, atLow)
  if (bracket === null) return missed(problem, high, 'too cool at the most')
  const near = risingRoot(coarse, bracket, 0.7, 1)
  problem.settle?.(near)
  const atNear = coarse(near)
  const further = near * 1.04 + 1
  const slope = (coarse(further) - atNear) / (further - near)
  return corrected(problem, near - atNear / slope, slope)
}

const tried = (problem: Problem, free: number): Run => run(problem.fine, problem.stages(free), problem.recording(free))

const missed = (problem: Problem, free: number, misses: Solved['misses']): Solved => ({
  free,
  run: tried(problem, free),
  peakRate: 0,
  misses
})

/** Secant from a near answer and a slope; each new pair of trials mends the slope. */
function corrected(problem: Problem, near: number, slope: number): Solved {
  const { low, high, goal } = problem
  const within = (free: number): number => Math.min(high, Math.max(low, free))
  let free = within(near)
  let rate = slope
  let outcome = tried(problem, free)
  for (let i = 0; i < MOST_CORRECTIONS; i++) {
    const over = outcome.peak.core - goal
    if (Math.abs(over) < CLOSE_KELVIN) break
    const next = within(free - over / rate)
    const step = next - free
    if (Math.abs(step) < NARROW_SECONDS) break
    const tryNext = tried(problem, next)
    const mended = (tryNext.peak.core - outcome.peak.core) / step
    // A change of grid or of a whole turn can hide the rise over a small step.
    if (mended > 0.2 * rate && mended < 5 * rate) rate = mended
    free = next
    outcome = tryNext
  }
  return { free, run: outcome, peakRate: rate, misses: 'none' }
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
