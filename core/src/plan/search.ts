/**
 * The backward solve of any method: the free time for which the least cooked point
 * peaks at the goal. A coarse grid and coarse steps find the neighbourhood and how fast
 * the peak rises there; the default ones correct it.
 */
import { KEEP_ENDS, run, type Recording, type Run, type Stage, type Subject } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import { risingRoot, type Point } from '#core/numerics/root'

/** What is solved. Times in s, temperatures in °C. */
export interface SearchProblem {
  readonly fine: Subject
  readonly coarse: Subject
  /** The whole program, rest and all, for a free time, in so many spells where their number is held. */
  readonly stages: (free: number, spells: number | null) => readonly Stage[]
  /**
   * In how many spells a program comes that has a whole number of them: once the neighbourhood is known their number
   * is held, so that the peak is smooth in the free time.
   */
  readonly spells?: (free: number) => number | null
  readonly goal: number
  readonly low: number
  readonly high: number
  readonly guess: number
  /** What the run at the answer keeps. */
  readonly recording: (free: number, spells: number | null) => Recording
  /** What a problem much like this one came to: saves trials, and moves the answer within what is close enough. */
  readonly warmStart?: WarmStart | undefined
}

export interface WarmStart {
  readonly free: number
  /** How far the default grid's peak lay above the coarse one's, K. */
  readonly bias: number
  /** Rise of the peak for each second longer, K/s; 0 where it is not known. */
  readonly slope: number
  /** The peak that the coarse grid makes of the answer, °C; null where that is not known. */
  readonly coarseC: number | null
}

export interface Solved {
  readonly free: number
  /** In how many spells, where their number was held. */
  readonly spells: number | null
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
const MOST_CORRECTIONS = 11
/** K within which a coarse trial is near enough for the slope to tell the rest. */
const NEAR_KELVIN = 0.8
const MOST_SOUGHT = 25
const MOST_FOLLOWED = 4
/** Share of the free time by which a second trial stands off the first. */
const APART = 0.04
const SEARCHING: Recording = { ...KEEP_ENDS, untilPastPeakBy: PAST_PEAK }

export function solveFree(problem: SearchProblem): Solved {
  const near = followed(problem) ?? sought(problem)
  if (near === 'too hot at the least') return missed(problem, problem.low, near)
  if (near === 'too cool at the most') return missed(problem, problem.high, near)
  return corrected(problem, near)
}

/** The neighbourhood, and K/s there. */
interface Near {
  readonly free: number
  readonly slope: number
  readonly spells: number | null
  /** What the coarse grid is taken to be off by, K. */
  readonly bias: number
}

const spellsAt = ({ spells }: SearchProblem, free: number): number | null => spells?.(free) ?? null
const within = ({ low, high }: SearchProblem, free: number): number => Math.min(high, Math.max(low, free))

/** K that the peak of a coarse run lies above the goal. */
const coarse =
  (problem: SearchProblem, spells: number | null, bias: number) =>
  (free: number): number =>
    run(problem.coarse, problem.stages(free, spells), SEARCHING, COARSE_STEPS).peak.core + bias - problem.goal

/** Beginning from nothing: as if the peak rose evenly from the start. */
function sought(problem: SearchProblem): Near | Exclude<Solved['misses'], 'none'> {
  const { low, high, goal, guess, coarse: subject } = problem
  const { points, slope, ends } = risingRoot(coarse(problem, null, 0), {
    from: within(problem, guess),
    slope: first => Math.max(1, first.y + goal - subject.start.temperature) / first.x,
    low,
    high,
    close: ({ x, y }, slope) => Math.abs(y) < NEAR_KELVIN && x - y / slope > low && x - y / slope <= high,
    narrow: 1,
    most: MOST_SOUGHT
  })
  if (ends === 'above') return 'too hot at the least'
  if (ends === 'below') return 'too cool at the most'
  const spells = spellsAt(problem, throughNearest(points, slope).free)
  return { ...throughNearest(sameSpells(problem, points, slope, spells), slope), spells, bias: 0 }
}

/** Of the points those in so many spells, and another where they are too few or none is near. */
function sameSpells(problem: SearchProblem, points: readonly Point[], slope: number, spells: number | null): readonly Point[] {
  const over = coarse(problem, spells, 0)
  const known = points.filter(p => spellsAt(problem, p.x) === spells)
  const ask = (x: number): void => void known.push({ x, y: over(x) })
  if (!known.some(p => Math.abs(p.y) < NEAR_KELVIN)) ask(within(problem, throughNearest(points, slope).free))
  if (known.length > 1) return known
  const [{ x, y }] = known
  const apart = 1 + APART * x
  ask(y > 0 && x - apart > problem.low ? x - apart : x + apart)
  return known
}

/** From where it was last time, by the slope there; null where that leads nowhere. */
function followed(problem: SearchProblem): Near | null {
  const { warmStart, low, high } = problem
  if (!warmStart || warmStart.slope <= 0) return null
  const { bias } = warmStart
  let { free, slope } = warmStart
  for (let spells = spellsAt(problem, free), round = 0; round < 2; round++) {
    const found = risingRoot(coarse(problem, spells, bias), {
      from: within(problem, free),
      slope,
      low,
      high,
      close: ({ y }) => Math.abs(y) < NEAR_KELVIN,
      narrow: NARROW_SECONDS,
      most: MOST_FOLLOWED
    })
    const last = found.points[found.points.length - 1]
    if (found.ends !== 'close') return null
    slope = found.slope
    free = within(problem, last.x - last.y / slope)
    const then = spellsAt(problem, free)
    if (then === spells) return { free, slope, spells, bias }
    spells = then
  }
  return null
}

/** Where the line through the two points nearest to the goal meets it; by the slope given where they are no line that rises. */
function throughNearest(points: readonly Point[], given: number): { readonly free: number; readonly slope: number } {
  const [a, b] = [...points].sort((p, q) => Math.abs(p.y) - Math.abs(q.y))
  const drawn = points.length > 1 ? (b.y - a.y) / (b.x - a.x) : 0
  const slope = drawn > 0 ? drawn : given
  return { free: a.x - a.y / slope, slope }
}

const tried = (problem: SearchProblem, free: number, spells: number | null): Run =>
  run(problem.fine, problem.stages(free, spells), problem.recording(free, spells))

const missed = (problem: SearchProblem, free: number, misses: Solved['misses']): Solved => ({
  free,
  spells: null,
  run: tried(problem, free, null),
  peakRate: 0,
  misses,
  warmStart: { free, bias: 0, slope: 0, coarseC: null }
})

/** On the default grid, from a near answer and a slope. */
function corrected(problem: SearchProblem, { free: near, slope, spells, bias }: Near): Solved {
  const { goal, low, high } = problem
  let outcome: Run | null = null
  const over = (free: number): number => {
    outcome = tried(problem, free, spells)
    return outcome.peak.core - goal
  }
  const { points, slope: rate } = risingRoot(over, {
    from: within(problem, near),
    slope,
    low,
    high,
    // Near the heat of its bath a tenth of a degree is minutes.
    close: ({ x, y }, rate) => Math.abs(y) < Math.min(CLOSE_KELVIN, Math.max(LEAST_KELVIN, rate * CLOSE_SHARE * x)),
    narrow: NARROW_SECONDS,
    most: MOST_CORRECTIONS
  })
  const { x: free, y } = points[points.length - 1]
  if (outcome === null) throw new Error('Nothing was run.')
  // The coarse grid took the first for the answer: what it is off by is how the two grids differ.
  const differ = bias + points[0].y
  const warmStart = { free, bias: differ, slope: rate, coarseC: goal + y - differ }
  return { free, spells, run: outcome, peakRate: rate, misses: 'none', warmStart }
}
