/**
 * What finished cooks with readings say of the cook's own kit: how much more or less
 * heat this pan gives to meat, or this oven's air, than is usual. Each cook in turn pulls the
 * belief that the cooks before it left of the same things; thickness and start are each cook's
 * own and are not carried over.
 */
import { believe, drawing, EIGHTY, PRIOR, type Gauss, type Reading, type Trial } from './belief'
import { likely } from './heed'
import type { Steps } from './steps'

export interface FinishedCook<S = unknown> {
  /** The cook as it happened, with things that give as much as is usual. */
  readonly trial: Trial<S>
  readonly readings: readonly Reading[]
  /** What its metal was, and what its air or water; null where it met none, or one that tells nothing. */
  readonly contact: string | null
  readonly air: string | null
}

export interface Learned {
  /** The thing, by the name the cooks have for it. */
  readonly thing: string
  /** Of what is usual; the range holds 80 %. */
  readonly factor: number
  readonly low: number
  readonly high: number
  /** Cooks that had a reading that could be. */
  readonly cooks: number
  /** Whether it is known better than beforehand, by enough to plan with. */
  readonly enough: boolean
}

/** A reading says little of a pan beside what it says of the piece's thickness: with fewer draws that little is lost in their noise. */
const MEMBERS = { flat: 300, round: 60 }
const LEAST_COOKS = 3
/** The range has to have shrunk to this share of what it was. */
const SHRUNK_TO = 0.8

/** @param cooks the oldest first */
export function* learning(cooks: readonly FinishedCook[]): Steps<Learned[]> {
  const known = new Map<string, { readonly belief: Gauss; readonly prior: Gauss; readonly cooks: number }>()
  const before = (thing: string | null, prior: Gauss) =>
    (thing === null ? undefined : known.get(thing)) ?? { belief: prior, prior, cooks: 0 }
  for (const [i, { trial, readings, contact, air }] of cooks.entries()) {
    if (readings.length === 0) continue
    const [metal, around] = [before(contact, PRIOR.contact), before(air, PRIOR.air)]
    const prior = { ...PRIOR, contact: metal.belief, air: around.belief }
    const members = yield* drawing(trial, trial.setup.flat ? MEMBERS.flat : MEMBERS.round, i + 1, prior)
    const heard = likely(members, readings)
    if (heard.length === 0) continue
    const { unknowns } = believe(members, heard)
    if (contact !== null) known.set(contact, { ...metal, belief: unknowns.contact, cooks: metal.cooks + 1 })
    if (air !== null) known.set(air, { ...around, belief: unknowns.air, cooks: around.cooks + 1 })
  }
  return [...known].map(([thing, { belief, prior, cooks: counted }]) => ({
    thing,
    factor: Math.exp(belief.mean),
    low: Math.exp(belief.mean - EIGHTY * belief.sd),
    high: Math.exp(belief.mean + EIGHTY * belief.sd),
    cooks: counted,
    enough: counted >= LEAST_COOKS && belief.sd < SHRUNK_TO * prior.sd
  }))
}
