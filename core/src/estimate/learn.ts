/**
 * What finished cooks with readings say of the cook's own kit: how much more or less heat this pan
 * gives to meat than is usual, how much hotter or cooler this oven is than its dial. Each cook in turn pulls the
 * belief that the cooks before it left of the same things; thickness and start are each cook's
 * own and are not carried over.
 */
import type { Trial } from './ensemble'
import { EIGHTY, PRIOR, withUnknowns, type Gauss, type Observation, type Unknowns } from './prior'
import { valueAt } from '#core/heat/history'
import { KEEP_ENDS, run } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import type { Steps } from '#core/numerics/steps'
import { kalmanUpdate } from './kalman'

export interface FinishedCook<S = unknown> {
  /** The cook as it happened, with things that give as much as is usual. */
  readonly trial: Trial<S>
  readonly readings: readonly Observation[]
  /** Its pan and its oven; null where it met none. */
  readonly contact: string | null
  readonly heat: string | null
}

export interface Learned {
  /** The thing, by the name the cooks have for it. */
  readonly thing: string
  /** What was learned: the logarithm of a factor of the contact, or K of heat; the range holds 80 %. */
  readonly of: 'contact' | 'heat'
  readonly value: number
  readonly low: number
  readonly high: number
  /** Cooks that had a reading that could be. */
  readonly cooks: number
  /** Whether it is known better than beforehand, by enough to plan with. */
  readonly enough: boolean
}

const LEAST_COOKS = 3
/** The range has to have shrunk to this share of what it was: five cooks or so of a pan. */
const SHRUNK_TO = 0.85

/** @param cooks the oldest first */
export function* learning(cooks: readonly FinishedCook[]): Steps<Learned[]> {
  const known = new Map<string, { readonly of: Learned['of']; readonly belief: Gauss; readonly cooks: number }>()
  const before = (thing: string | null, of: Learned['of']) =>
    (thing === null ? undefined : known.get(thing)) ?? { of, belief: PRIOR[of], cooks: 0 }
  for (const { trial, readings, contact, heat } of cooks) {
    if (readings.length === 0) continue
    const [pan, oven] = [before(contact, 'contact'), before(heat, 'heat')]
    const prior = { ...PRIOR, contact: pan.belief, heat: oven.belief }
    const unknowns = yield* weighed(trial, readings, prior)
    if (unknowns === null) continue
    if (contact !== null) known.set(contact, { ...pan, belief: unknowns.contact, cooks: pan.cooks + 1 })
    if (heat !== null) known.set(heat, { ...oven, belief: unknowns.heat, cooks: oven.cooks + 1 })
  }
  return [...known].map(([thing, { of, belief, cooks: counted }]) => ({
    thing,
    of,
    value: belief.mean,
    low: belief.mean - EIGHTY * belief.sd,
    high: belief.mean + EIGHTY * belief.sd,
    cooks: counted,
    enough: counted >= LEAST_COOKS && belief.sd < SHRUNK_TO * PRIOR[of].sd
  }))
}

/** @returns null where no reading could be */
function* weighed(trial: Trial<unknown>, readings: readonly Observation[], prior: Unknowns<Gauss>): Steps<Unknowns<Gauss> | null> {
  const { accepted, unknowns } = yield* kalmanUpdate(u => coresAt(trial, readings, u), readings, prior, undefined, false)
  return accepted.includes(true) ? unknowns : null
}

function coresAt(trial: Trial<unknown>, readings: readonly Observation[], unknowns: Unknowns<number>): number[] {
  const setup = withUnknowns(trial.setup, unknowns)
  const { history } = run(trial.subject(setup, 'coarse'), trial.stages(setup, trial.free), { ...KEEP_ENDS, every: 8 }, COARSE_STEPS)
  return readings.map(r => valueAt(history.time, history.probe, r.time))
}
