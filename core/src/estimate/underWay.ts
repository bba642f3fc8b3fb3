/**
 * A cook under way, by any method: what has happened stays as it was, what is to come is the
 * method's program, and what of its free time is left is solved anew.
 */
import type { Method, PlannedStage, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { layOut, otherDown, rested, restAfter, secondsOf, spellOf, type Down, type Spell, type Timeline } from '#core/method/timeline'
import { spellLengths, spellsToCome, type Turned } from '#core/method/turning'
import { follow, readPlan, solveOpen, type Open, type Plan } from '#core/plan/plan'
import { assimilate, type Assimilated } from './assimilate'
import type { Trial } from './ensemble'
import type { Observation } from './prior'

/** To what its heat was set, °C. */
export type HeatSet = Partial<Record<'ovenC' | 'bathC' | 'grateC' | 'lidC', number>>

/** Where the piece was, in a stage of the program by its number and with which face down, or out of the heat; s. */
export interface Spent {
  readonly stage: number | 'out'
  readonly down: Down
  readonly seconds: number
  /** What its heat was set to by then; left out, as it was planned. */
  readonly set?: HeatSet
}

export interface Happened {
  readonly past: readonly Spent[]
  /** Off the heat, and resting. */
  readonly off: boolean
  /** Put back to the heat after it had been taken off for good. */
  readonly again: boolean
}

export interface UnderWay extends Plan {
  /** s by which the spell it stands in has lasted longer than the program has for it. */
  readonly overdue: number
  /** Set where the target is already out of reach: it will peak above it whatever is done. */
  readonly overshoot: boolean
}

/** K: nearer than this it is there, and nothing has gone wrong. */
const WORTH_SAYING = 0.5
/** Put back, it may take as long as it likes, s. */
const AGAIN_AT_MOST = 3 * 3600
const USUALLY_AGAIN = 60
/** s after the last reading. */
const READ_ON = 30
/** s: what is over in less is nothing. */
const LEAST = 0.1

/** The program from where the cook stands, for any value of what is left free. */
interface Remaining extends Omit<Open, 'guess'> {
  /** The method's own free time, how long it is put back for, or nothing any more. */
  readonly open: 'free' | 'again' | 'nothing'
  readonly overdue: (free: number) => number
}

/** What was set to what it stood at is no change: nothing begins anew by it. */
function otherThan(settings: object, set: HeatSet | undefined): HeatSet | undefined {
  const planned = settings as Readonly<Record<string, unknown>>
  const other = Object.entries(set ?? {}).filter(([key, celsius]) => planned[key] !== celsius)
  return other.length === 0 ? undefined : Object.fromEntries(other)
}

function remaining<S extends Resting>(method: Method<S>, setup: Setup<S>, { past: happened, off, again }: Happened): Remaining {
  const [least, most] = method.bounds(setup)
  const { heating: longest, rest } = method.program(setup, most)
  /** With its heat as it was set. */
  const setTo = (set: HeatSet | undefined): Setup<S> => (set === undefined ? setup : { ...setup, settings: { ...setup.settings, ...set } })
  const setNow = otherThan(setup.settings, happened.at(-1)?.set)
  const now = setTo(setNow)
  // Said to have gone on once more than there is anything to go on to, it stays in the last.
  const past = happened.map(({ set, ...s }) => {
    const other = otherThan(setup.settings, set)
    return { ...s, ...(other ? { set: other } : {}), stage: s.stage === 'out' ? s.stage : Math.min(s.stage, longest.length - 1) }
  })
  const here = standingIn(past)

  const behind: Spell[] = []
  let laidAt = ''
  const lay = (spells: Spell[], stage: number | 'out', down: Down, seconds: number, set: HeatSet | undefined): void => {
    const last = spells.at(-1)
    if (seconds <= 0) return
    const at = JSON.stringify(set ?? {})
    const goesOn = last && last.stage === stage && last.down === down && laidAt === at
    laidAt = at
    if (goesOn) {
      const longer = last.seconds + seconds
      spells[spells.length - 1] = { ...last, seconds: longer, end: { after: longer } }
    } else if (stage === 'out') spells.push(spellOf(rest(seconds), 'out', last?.down ?? 'first', seconds))
    else
      spells.push(
        spellOf(
          set === undefined ? longest[stage] : method.program(setTo(set), most).heating[stage],
          stage,
          down,
          seconds,
          spells.every(s => s.stage !== stage)
        )
      )
  }
  for (const { stage, down, seconds, set } of past) lay(behind, stage, down, Math.max(LEAST, seconds), set)

  /** Of the stage it stands in. */
  const lengths = (stage: PlannedStage | undefined, count: number | null): number[] => {
    if (stage === undefined) return [0]
    if (!stage.turned) return [Math.max(0, stage.seconds - here.spent)]
    const { turning } = stage.turned
    if (stage.open === true) {
      const left = Math.max(0, stage.seconds - here.spent)
      return spellLengths(left, count ?? spellsToCome(turning, left, here), here.since)
    }
    const each = stage.seconds / spellsToCome(turning, stage.seconds)
    const toCome = Math.max(1, spellsToCome(turning, stage.seconds) - here.turns)
    return spellLengths(Math.max(0, each - here.since) + (toCome - 1) * each, toCome, here.since)
  }
  /** @param more s where it stands, whatever the program has for it */
  const spells = (free: number, more: number | null, count: number | null): Spell[] => {
    const laid = [...behind]
    if (off) return laid
    const { heating } = method.program(now, free)
    const stage = heating.at(here.stage)
    laidAt = JSON.stringify(setNow ?? {})
    let { down } = here
    for (const [i, seconds] of (more === null ? lengths(stage, count) : [more]).entries()) {
      if (i > 0) down = otherDown(down)
      lay(laid, here.stage, down, seconds, setNow)
    }
    const ahead = layOut({ heating: heating.slice(here.stage + 1), rest, rewarm: [] }, here.stage + 1).heating
    laid.push(...ahead)
    return laid
  }
  const total = (free: number): number => secondsOf(spells(free, null, null))
  const open = !off && total(most) > total(least) + LEAST ? 'free' : again && !off ? 'again' : 'nothing'
  const at = (x: number, count: number | null): Spell[] => (open === 'again' ? spells(least, x, null) : spells(x, null, count))
  const openStage = (free: number): PlannedStage | undefined => method.program(setup, free).heating.at(here.stage)
  return {
    open,
    timeline: (x, count) => {
      const program = method.program(setup, open === 'again' ? least : x)
      const heating = at(x, count)
      return { heating, rest: restAfter(heating, program.rest), rewarm: layOut(program).rewarm }
    },
    spells: x => {
      const stage = openStage(x)
      return open === 'free' && stage?.open === true && stage.turned
        ? spellsToCome(stage.turned.turning, Math.max(0, stage.seconds - here.spent), here)
        : null
    },
    overdue: x => {
      const stage = openStage(x)
      if (open === 'again' || stage === undefined) return 0
      if (!stage.turned) return Math.max(0, here.spent - stage.seconds)
      const { turning } = stage.turned
      const left = Math.max(0, stage.seconds - here.spent)
      const each =
        stage.open === true ? (here.since + left) / spellsToCome(turning, left, here) : stage.seconds / spellsToCome(turning, stage.seconds)
      return Math.max(0, here.since - each)
    },
    bounds: open === 'free' ? [usedUp(total, least, most), most] : [0, AGAIN_AT_MOST]
  }
}

interface Standing extends Turned {
  readonly stage: number
  readonly down: Down
  /** In this stage, s. */
  readonly spent: number
}

function standingIn(past: readonly Spent[]): Standing {
  let found: Standing = { stage: 0, down: 'first', spent: 0, turns: 0, since: 0 }
  for (const { stage, down, seconds } of past) {
    if (stage === 'out') continue
    if (stage !== found.stage) found = { stage, down, spent: 0, turns: 0, since: 0 }
    else if (down !== found.down) found = { ...found, down, turns: found.turns + 1, since: 0 }
    found = { ...found, spent: found.spent + seconds, since: found.since + seconds }
  }
  return found
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
  const left = remaining(method, setup, happened)
  const [low] = left.bounds
  const solved =
    left.open === 'nothing' || (left.open === 'free' && byClock)
      ? followed(method, setup, left, byClock ? near : method.bounds(setup)[0])
      : solveOpen(method, setup, target, { ...left, guess: Math.max(low + 10, left.open === 'again' ? USUALLY_AGAIN : near) })
  const plan = readPlan(method, setup, target, solved)
  return {
    ...plan,
    overdue: happened.off ? 0 : left.overdue(solved.free),
    overshoot: solved.misses === 'too hot at the least' && plan.peak.core > target + WORTH_SAYING
  }
}

const followed = <S extends Resting>(method: Method<S>, setup: Setup<S>, left: Remaining, free: number): ReturnType<typeof follow> =>
  follow(method, setup, left.timeline(free, null), free)

/**
 * The piece and its air as they most likely are, by what was read.
 * @param happened everything up to the last reading
 */
export function assimilateUnderWay<S extends Resting>(
  method: Method<S>,
  setup: Setup<S>,
  target: number,
  happened: Happened,
  readings: readonly Observation[],
  near: number
): Assimilated<S> {
  const { open, bounds } = remaining(method, setup, happened)
  const trial: Trial<S> = {
    setup,
    subject: method.subject,
    stages: (varied, free) => rested(remaining(method, varied, happened).timeline(free, null), varied),
    free: Math.max(near, bounds[0] + 1),
    goal: method.goal(setup, target),
    ...(happened.off ? { restS: Math.max(0, ...readings.map(r => r.time)) - secondsOf(happened.past) + READ_ON } : {})
  }
  const found = assimilate(trial, readings)
  // Where no time is left to choose, none of it is uncertain.
  return open === 'free' ? found : { ...found, sooner: 1, later: 1 }
}

/** All of it behind: what happened, and the rest. */
export function trialOfPast<S extends Resting>(method: Method<S>, setup: Setup<S>, target: number, past: readonly Spent[]): Trial<S> {
  const laid = (varied: Setup<S>): Timeline => remaining(method, varied, { past, off: true, again: false }).timeline(0, null)
  return {
    setup,
    subject: method.subject,
    stages: varied => rested(laid(varied), varied),
    free: Math.max(1, secondsOf(past)),
    goal: method.goal(setup, target)
  }
}
