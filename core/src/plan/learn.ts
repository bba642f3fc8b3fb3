/**
 * What finished cooks with readings say of the cook's own kit: how much more or less heat this pan
 * gives to meat than is usual, how much hotter or cooler this oven is than its dial. Each cook in turn pulls the
 * belief that the cooks before it left of the same things; thickness and start are each cook's
 * own and are not carried over.
 */
import { EIGHTY, NAMES, PRIOR, READING_SD, withUnknowns, type Gauss, type Reading, type Trial, type Unknowns } from './belief'
import { valueAt } from '#core/heat/history'
import { COARSE_STEPS, DEFAULT_STEPS, KEEP_ENDS, run } from '#core/heat/program'
import type { Steps } from './steps'

export interface FinishedCook<S = unknown> {
  /** The cook as it happened, with things that give as much as is usual. */
  readonly trial: Trial<S>
  readonly readings: readonly Reading[]
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
/** The range has to have shrunk to this share of what it was. */
const SHRUNK_TO = 0.8

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

/** Standard deviations from what was expected beyond which a probe is in the wrong place. */
const UNLIKELY = 3.2
/** What is expected where the unknowns stand so, and how that turns with each of them. */
interface Around {
  readonly at: readonly number[]
  readonly expected: readonly number[]
  /** By reading, by unknown. */
  readonly slopes: readonly (readonly number[])[]
}

/**
 * The unknowns by what was read: a Kalman update on the straight line through what is expected, laid anew where
 * it led to. A draw of many would do the same, with noise that is larger than what one cook tells of its pan.
 * @returns null where no reading could be
 */
function* weighed(trial: Trial<unknown>, readings: readonly Reading[], prior: Unknowns<Gauss>): Steps<Unknowns<Gauss> | null> {
  const start = NAMES.map(name => prior[name].mean)
  const sds = NAMES.map(name => prior[name].sd)
  const first = yield* around(trial, readings, start, sds)
  const heard = readings.map((r, i) => {
    const sd = Math.hypot(READING_SD, ...first.slopes[i].map((slope, k) => slope * sds[k]))
    return Math.abs(r.celsius - first.expected[i]) <= UNLIKELY * sd
  })
  if (!heard.includes(true)) return null
  const once = updated(readings, heard, first, start, sds)
  const again = yield* around(trial, readings, once.means, sds)
  const { means, variances } = updated(readings, heard, again, start, sds)
  const found = (k: number): Gauss => ({ mean: means[k], sd: Math.sqrt(variances[k]) })
  return { thickness: found(0), start: found(1), contact: found(2), air: found(3), heat: found(4) }
}

function* around(trial: Trial<unknown>, readings: readonly Reading[], at: readonly number[], sds: readonly number[]): Steps<Around> {
  const expected = coresAt(trial, readings, at)
  yield
  const turned: number[][] = []
  for (const [k, sd] of sds.entries()) {
    const moved = coresAt(
      trial,
      readings,
      at.map((u, j) => (j === k ? u + sd : u))
    )
    turned.push(moved.map((core, i) => (core - expected[i]) / sd))
    yield
  }
  return { at, expected, slopes: readings.map((_, i) => turned.map(column => column[i])) }
}

function coresAt(trial: Trial<unknown>, readings: readonly Reading[], [thickness, start, contact, air, heat]: readonly number[]): number[] {
  const setup = withUnknowns(trial.setup, { thickness, start, contact, air, heat })
  const [fineness, steps] = setup.flat ? (['fine', DEFAULT_STEPS] as const) : (['coarse', COARSE_STEPS] as const)
  const { history } = run(trial.subject(setup, fineness), trial.stages(setup, trial.free), { ...KEEP_ENDS, every: 8 }, steps)
  return readings.map(r => valueAt(history.time, history.core, r.time))
}

/** One reading after the other: on a straight line that is the same as all at once. */
function updated(
  readings: readonly Reading[],
  heard: readonly boolean[],
  { at, expected, slopes }: Around,
  start: readonly number[],
  sds: readonly number[]
): { readonly means: number[]; readonly variances: number[] } {
  const means = [...start]
  const spread = sds.map((sd, j) => sds.map((_, k) => (j === k ? sd * sd : 0)))
  readings.forEach((reading, i) => {
    if (!heard[i]) return
    const slope = slopes[i]
    const toward = spread.map(row => row.reduce((sum, v, k) => sum + v * slope[k], 0))
    const total = READING_SD ** 2 + toward.reduce((sum, v, k) => sum + v * slope[k], 0)
    const foreseen = expected[i] + slope.reduce((sum, s, k) => sum + s * (means[k] - at[k]), 0)
    toward.forEach((v, j) => {
      means[j] += (v * (reading.celsius - foreseen)) / total
      toward.forEach((w, k) => (spread[j][k] -= (v * w) / total))
    })
  })
  return { means, variances: spread.map((row, k) => row[k]) }
}
