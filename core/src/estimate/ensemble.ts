/**
 * The unknowns drawn many times from their ranges, the same program run on every draw; readings then
 * pull the whole cloud of draws toward what was seen (a serial ensemble Kalman update).
 * Seeded: the same question always gives the same answer.
 *
 * G. Evensen, "The ensemble Kalman filter", Ocean Dynamics 53 (2003): the form with
 * perturbed observations, one at a time (from memory).
 */
import { valueAt } from '#core/heat/history'
import { run, type Recording, type Run, type Stage, type Subject } from '#core/heat/program'
import { COARSE_STEPS, type StepLengths } from '#core/heat/stepControl'
import type { Fineness, Setup } from '#core/method/setup'
import { Randomness } from '#core/numerics/random'
import { covariance, mean, percentiles, variance, type Percentiles } from '#core/numerics/statistics'
import { finish, type Steps } from '#core/numerics/steps'
import { drawUnknowns, each, NAMES, PRIOR, READING_SD, withUnknowns, type Gauss, type Observation, type Unknowns } from './prior'

/** What has to be known of a cook to believe something of it. */
export interface Trial<S> {
  readonly setup: Setup<S>
  readonly subject: (setup: Setup<S>, fineness: Fineness) => Subject
  /** The whole program, rest and all, if the free quantity comes to `free` seconds; what has happened stays as it was. */
  readonly stages: (setup: Setup<S>, free: number) => readonly Stage[]
  /** The plan's own free time, s, and what the core must reach, °C. */
  readonly free: number
  readonly goal: number
  /** How long the rest is followed at least, s: what is read in it late still counts. */
  readonly restS?: number
}

export interface Member {
  readonly unknowns: Unknowns<number>
  /** Free time that this draw would need, s. */
  readonly needed: number
  /** Where the core of this draw peaks if the plan is followed by the clock. */
  readonly peakByClock: number
  readonly core: (time: number) => number
  /** What a probe would show. */
  readonly reads: (time: number) => number
}

const RECORDING: Recording = { every: 8, fieldEvery: null, untilPastPeakBy: 0.3 }
/** Shares of the plan's free time at which its own peak is tried. */
const TRIED = [0.55, 0.7, 0.85, 1, 1.2, 1.45]
const MOST_APART = 1.2

const outcomeOf = <S>(trial: Trial<S>, setup: Setup<S>, free: number): Run =>
  run(trial.subject(setup, 'coarse'), trial.stages(setup, free), { ...RECORDING, atLeast: trial.restS ?? 0 }, MEMBER_STEPS)
/** Differences between draws are what counts: coarser yet than a search. */
const MEMBER_STEPS: StepLengths = { ...COARSE_STEPS, first: 3, longest: 50, kelvin: 9 }

/** @param count 200 give percentiles to a few hundredths */
export const drawMembers = <S>(trial: Trial<S>, count: number, seed: number, prior: Unknowns<Gauss> = PRIOR): Member[] =>
  finish(drawing(trial, count, seed, prior))

/** The same, a draw at a time. */
export function* drawing<S>(trial: Trial<S>, count: number, seed: number, prior: Unknowns<Gauss> = PRIOR): Steps<Member[]> {
  const random = new Randomness(seed)
  const curve = yield* peakCurve(trial)
  const members: Member[] = []
  for (let i = 0; i < count; i++) {
    members.push(memberOf(trial, drawUnknowns(random, prior), curve))
    yield
  }
  return members
}

/** Logarithm of the free time, as a share of the plan's, at which the piece as said would peak at a temperature. */
type PeakCurve = (peak: number) => number

function* peakCurve<S>(trial: Trial<S>): Steps<PeakCurve> {
  const logs = TRIED.map(Math.log)
  const peaks: number[] = []
  for (const share of TRIED) {
    peaks.push(outcomeOf(trial, trial.setup, share * trial.free).peak.core)
    yield
  }
  const last = TRIED.length - 1
  return peak => {
    const above = peaks.findIndex(p => p > peak)
    const i = above < 0 ? last : Math.max(1, above)
    const rise = Math.max(1e-3, peaks[i] - peaks[i - 1])
    return logs[i - 1] + ((peak - peaks[i - 1]) / rise) * (logs[i] - logs[i - 1])
  }
}

/**
 * A piece that heats slower runs along the same curve, only later: the time it needs is
 * the plan's, longer by as much as its own peak falls short on that curve.
 */
function memberOf<S>(trial: Trial<S>, unknowns: Unknowns<number>, curve: PeakCurve): Member {
  const outcome = outcomeOf(trial, withUnknowns(trial.setup, unknowns), trial.free)
  const { time, core, probe } = outcome.history
  const behind = curve(trial.goal) - curve(outcome.peak.core)
  return {
    unknowns,
    needed: trial.free * Math.exp(Math.min(MOST_APART, Math.max(-MOST_APART, behind))),
    peakByClock: outcome.peak.core,
    core: t => valueAt(time, core, t),
    reads: t => valueAt(time, probe, t)
  }
}

/** For any unknowns: what a probe would show, and the logarithm of the time needed. */
export function neededBy<S>(
  trial: Trial<S>
): (unknowns: Unknowns<number>) => { readonly reads: Member['reads']; readonly logNeeded: number } {
  const curve = finish(peakCurve(trial))
  return unknowns => {
    const { reads, needed } = memberOf(trial, unknowns, curve)
    return { reads, logNeeded: Math.log(needed) }
  }
}

export interface Belief {
  /** Free time needed, s: 10th, 50th, 90th percentile. */
  readonly needed: Percentiles
  readonly unknowns: Unknowns<Gauss>
}

const UPDATE_SEED = 717

/** What is believed after some readings; none gives the prior's own ranges. */
export function believe(members: readonly Member[], readings: readonly Observation[]): Belief {
  const random = new Randomness(UPDATE_SEED)
  const seen = readings.map(r => members.map(m => m.reads(r.time)))
  const needed = members.map(m => Math.log(m.needed))
  const unknowns = each(name => members.map(m => m.unknowns[name]))
  readings.forEach((reading, j) => {
    const predicted = seen[j]
    const spread = variance(predicted) + READING_SD ** 2
    const innovation = predicted.map(y => reading.celsius + READING_SD * random.normal() - y)
    const pull = (values: number[]): void => {
      const gain = covariance(values, predicted) / spread
      for (let m = 0; m < values.length; m++) values[m] += gain * innovation[m]
    }
    pull(needed)
    for (const name of NAMES) pull(unknowns[name])
    // The readings still to come, and last this one, so that its own column is used unpulled above.
    for (let k = j + 1; k < seen.length; k++) pull(seen[k])
  })
  const times = needed.map(Math.exp)
  return {
    needed: percentiles(times),
    unknowns: each(name => ({ mean: mean(unknowns[name]), sd: Math.sqrt(variance(unknowns[name])) }))
  }
}
