/**
 * A cook under way by any method: what has happened stays as it was, what is to come is the
 * method's program, and what of its free time is left is solved anew.
 */
import { rested, secondsOf, type Method, type Phase, type PlannedStage, type Program, type Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { run } from '#core/heat/program'
import type { Reading, Trial } from './belief'
import { heedBy, type Heeded } from './heed'
import { readPlan, recordingFor, type Plan } from '#core/plan/plan'
import { solveFree, type Hint, type Solved } from '#core/plan/search'

/** Where the piece was: in a stage of the program, by its number, or out of the heat; s. */
export interface Spent {
  readonly stage: number | 'out'
  readonly seconds: number
}

export interface Happened {
  readonly past: readonly Spent[]
  /** Off the heat, and resting. */
  readonly off: boolean
  /** Put back to the heat after it had been taken off for good. */
  readonly again: boolean
}

/** A stage of the heating, and when it began or will begin, s since the piece first met the heat. */
export interface Mark {
  readonly phase: Phase
  readonly name: string
  readonly from: number
}

export interface UnderWay extends Plan {
  readonly marks: readonly Mark[]
  /** When it is turned or goes on to the next stage, s. */
  readonly turns: readonly number[]
  /** s by which the stage it stands in has lasted longer than the program has for it. */
  readonly overdue: number
  /** Set where the target is already out of reach: it will peak above it whatever is done. */
  readonly overshoot: boolean
}

/** K: nearer than this it is there, and nothing has gone wrong. */
const WORTH_SAYING = 0.5
/** Put back, it may take as long as it likes, s. */
const AGAIN_AT_MOST = 3 * 3600
const USUALLY_AGAIN = 60
/** s: what is over in less is nothing. */
const LEAST = 0.1

/** The program from where the cook stands, for any rest of its free time. */
interface Carried {
  /** What is solved for: the method's own free time, how long it is put back for, or nothing any more. */
  readonly open: 'free' | 'again' | 'nothing'
  readonly at: (free: number) => Program
  readonly marks: (free: number) => Mark[]
  readonly overdue: (free: number) => number
  /** Below the first the past has used up all of it already. */
  readonly bounds: readonly [low: number, high: number]
}

const lengthOf = (stage: PlannedStage): number => secondsOf([stage])
const lasting = (stage: PlannedStage, seconds: number): PlannedStage => ({ ...stage, end: { after: seconds } })
/** What is done to a pan or pot at the beginning of a stage is done once. */
function goneOn({ changes: _, ...stage }: PlannedStage): PlannedStage {
  return stage
}

interface Piece {
  readonly stage: number | 'out'
  readonly planned: PlannedStage
}

function carriedOn<S extends Resting>(method: Method<S>, setup: Setup<S>, { past: happened, off, again }: Happened): Carried {
  const [least, most] = method.bounds(setup)
  const { heating: longest, rest } = method.program(setup, most)
  // Said to have gone on once more than there is anything to go on to, it stays in the last.
  const past = happened.map(s => (s.stage === 'out' ? s : { ...s, stage: Math.min(s.stage, longest.length - 1) }))
  const stands = past.reduce((at, s) => (s.stage === 'out' ? at : s.stage), 0)
  const spent = past.reduce((sum, s) => sum + (s.stage === stands ? s.seconds : 0), 0)

  /** @param more s where it stands, whatever the program has for it */
  const pieces = (free: number, more: number | null): Piece[] => {
    const { heating } = method.program(setup, free)
    const found: Piece[] = []
    const add = (stage: number | 'out', seconds: number): void => {
      const last = found.at(-1)
      if (last?.stage === stage) found[found.length - 1] = { stage, planned: lasting(last.planned, lengthOf(last.planned) + seconds) }
      else if (stage === 'out') found.push({ stage, planned: rest(seconds) })
      else {
        const whole = lasting(longest[stage], seconds)
        found.push({ stage, planned: found.some(p => p.stage === stage) ? goneOn(whole) : whole })
      }
    }
    for (const { stage, seconds } of past) add(stage, Math.max(LEAST, seconds))
    if (off) return found
    const left = more ?? (stands < heating.length ? Math.max(0, lengthOf(heating[stands]) - spent) : 0)
    if (left > 0) add(stands, left)
    heating.slice(stands + 1).forEach((stage, i) => add(stands + 1 + i, lengthOf(stage)))
    return found
  }
  const total = (free: number): number => pieces(free, null).reduce((sum, p) => sum + lengthOf(p.planned), 0)
  const free = !off && total(most) > total(least) + LEAST
  const open = free ? 'free' : again && !off ? 'again' : 'nothing'
  const at = (x: number): Piece[] => (open === 'again' ? pieces(least, x) : pieces(x, null))
  return {
    open,
    at: x => ({ ...method.program(setup, open === 'again' ? least : x), heating: at(x).map(p => p.planned) }),
    marks: x => {
      let from = 0
      const found: Mark[] = []
      for (const { stage, planned } of at(x)) {
        if (stage !== 'out') found[stage] ??= { phase: planned.phase, name: planned.name, from }
        from += lengthOf(planned)
      }
      return found
    },
    overdue: x => {
      const here = method.program(setup, x).heating.at(stands)
      return open === 'again' || here === undefined ? 0 : Math.max(0, spent - lengthOf(here))
    },
    bounds: open === 'free' ? [usedUp(total, least, most), most] : [0, AGAIN_AT_MOST]
  }
}

/** The longest free time that leaves no more to come than the shortest does. */
function usedUp(total: (free: number) => number, low: number, high: number): number {
  const none = total(low) + LEAST
  let [a, b] = [low, high]
  if (total(low + LEAST) > none) return low
  for (let i = 0; i < 40 && b - a > LEAST; i++) {
    const middle = (a + b) / 2
    if (total(middle) > none) b = middle
    else a = middle
  }
  return a
}

/**
 * @param near the free time it was planned with, s
 * @param byClock whether the cook wants exactly that: then it is not solved for
 */
export function planUnderWay<S extends Resting>(
  method: Method<S>,
  setup: Setup<S>,
  target: number,
  happened: Happened,
  near: number,
  byClock = false
): UnderWay {
  const carried = carriedOn(method, setup, happened)
  const [low, high] = carried.bounds
  const solved =
    carried.open === 'nothing' || (carried.open === 'free' && byClock)
      ? followed(method, setup, carried, byClock ? near : method.bounds(setup)[0])
      : solveFree({
          fine: method.subject(setup, 'fine'),
          coarse: method.subject(setup, 'coarse'),
          stages: x => rested(carried.at(x), setup),
          goal: method.goal(setup, target),
          low,
          high,
          guess: Math.min(high, Math.max(low + 10, carried.open === 'again' ? USUALLY_AGAIN : near)),
          recording: x => recordingFor(carried.at(x), setup.settings)
        })
  const plan = readPlan({ ...method, program: (_, x) => carried.at(x) }, setup, target, solved)
  const marks = carried.marks(solved.free)
  return {
    ...plan,
    marks,
    turns: marks.slice(1).map(m => m.from),
    overdue: happened.off ? 0 : carried.overdue(solved.free),
    overshoot: solved.misses === 'too hot at the least' && plan.peak.core > target + WORTH_SAYING
  }
}

/** Nothing left to solve for: what comes of it. */
function followed<S extends Resting>(method: Method<S>, setup: Setup<S>, carried: Carried, free: number): Solved {
  const program = carried.at(free)
  const outcome = run(method.subject(setup, 'fine'), rested(program, setup), recordingFor(program, setup.settings))
  const hint: Hint = { free, bias: 0, slope: 0 }
  return { free, run: outcome, peakRate: 0, misses: 'none', hint }
}

/**
 * The piece and its air as they most likely are, by what was read.
 * @param happened everything up to the last reading
 */
export function heedUnderWay<S extends Resting>(
  method: Method<S>,
  setup: Setup<S>,
  target: number,
  happened: Happened,
  readings: readonly Reading[],
  near: number
): Heeded<S> {
  const { open, bounds } = carriedOn(method, setup, happened)
  const trial: Trial<S> = {
    setup,
    subject: method.subject,
    stages: (varied, free) => rested(carriedOn(method, varied, happened).at(free), varied),
    free: Math.max(near, bounds[0] + 1),
    goal: method.goal(setup, target)
  }
  const heeded = heedBy(trial, readings)
  // Where no time is left to choose, none of it is uncertain.
  return open === 'free' ? heeded : { ...heeded, sooner: 1, later: 1 }
}

/** The stages of a program that nothing has happened of yet. */
export const marksOf = <S extends Resting>(method: Method<S>, setup: Setup<S>, free: number): Mark[] =>
  carriedOn(method, setup, { past: [], off: false, again: false }).marks(free)

/** All of it behind: what happened, and the rest. */
export const trialOfPast = <S extends Resting>(method: Method<S>, setup: Setup<S>, target: number, past: readonly Spent[]): Trial<S> => ({
  setup,
  subject: method.subject,
  stages: varied => rested(carriedOn(method, varied, { past, off: true, again: false }).at(0), varied),
  free: Math.max(
    1,
    past.reduce((sum, s) => sum + s.seconds, 0)
  ),
  goal: method.goal(setup, target)
})
