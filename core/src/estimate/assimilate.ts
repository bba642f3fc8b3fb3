/**
 * A cook under way and its probe: from what has happened on the heat and what was read meanwhile, the piece,
 * the pan and the oven as they most likely are. The forecast is then made for those. A reading that no likely
 * piece could have given is left out and told, until a second agrees with it: then both are believed.
 */
import { boilingPoint } from '#core/heat/vapour'
import type { Setup } from '#core/method/setup'
import { finish } from '#core/numerics/steps'
import { neededBy, type Trial } from './ensemble'
import { FURTHEST, kalmanUpdate } from './kalman'
import { each, EIGHTY, PRIOR, withUnknowns, type Gauss, type Observation, type Unknowns } from './prior'

export interface Assimilated<S> {
  /** As it most likely is. */
  readonly setup: Setup<S>
  /** What is read over what that piece would read, K: what no likely piece explains stays as it is. */
  readonly offK: number
  /** The readings that are not believed: far from what was likely, with no second that agrees. */
  readonly rejected: readonly Observation[]
  /** Those of them that no meat could give: colder than it went in, or boiling. */
  readonly impossible: readonly Observation[]
  /** What the last accepted reading was expected to be, °C; null where none was. */
  readonly expectedC: number | null
  /** Thicker than said, mm, and contact with the pan over the book's, by what the probe says. */
  readonly thickerMm: number
  readonly contact: number
  /** What its oven or fire is over what it is set to, K, by what the probe says. */
  readonly hotterK: number
  /** How much sooner or later than the most likely the pull may come, as factors of the free time: 10th and 90th percentile. */
  readonly sooner: number
  readonly later: number
}

/** K under what it went in at and K under boiling: colder and hotter no middle of a piece ever is. */
const COLDER = 4
const NEAR_BOILING = 6

/** @param trial what happened up to the last reading, and any time to come */
export function assimilate<S>(trial: Trial<S>, readings: readonly Observation[]): Assimilated<S> {
  const { setup } = trial
  const needed = neededBy(trial)
  const outputs = (u: Unknowns<number>): number[] => {
    const { reads, logNeeded } = needed(u)
    return [...readings.map(r => reads(r.time)), logNeeded]
  }
  const { startC } = setup.piece
  const hottest = boilingPoint(setup.room.altitudeM) - NEAR_BOILING
  const possible = readings.map(r => r.celsius >= startC - COLDER && r.celsius <= hottest)
  const posterior = finish(kalmanUpdate(outputs, readings, PRIOR, possible))
  const last = posterior.accepted.lastIndexOf(true)
  const mean = limited(posterior.unknowns, posterior.widened)
  const range = EIGHTY * posterior.outputs[readings.length].sd
  return {
    setup: last < 0 ? setup : withUnknowns(setup, mean),
    offK: posterior.off,
    rejected: readings.filter((_, i) => !posterior.accepted[i]),
    impossible: readings.filter((_, i) => !possible[i]),
    expectedC: last < 0 ? null : posterior.expected[last],
    thickerMm: last < 0 ? 0 : mean.thickness,
    contact: last < 0 ? 1 : Math.exp(mean.contact),
    hotterK: last < 0 ? 0 : mean.heat,
    sooner: Math.exp(-range),
    later: Math.exp(range)
  }
}

/** No reading moves a figure further than that, of its own standard deviations or of what two readings widened them to. */
const limited = (unknowns: Unknowns<Gauss>, widened: number): Unknowns<number> =>
  each(name => {
    const most = FURTHEST * widened * PRIOR[name].sd
    return Math.min(most, Math.max(-most, unknowns[name].mean))
  })
