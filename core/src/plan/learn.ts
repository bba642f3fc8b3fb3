/**
 * What finished cooks with readings say of the cook's own kit: how much more or less
 * heat this pan gives to meat on this ring, or this oven's air, than the book says. Each
 * cook in turn pulls the belief that the cooks before it left; thickness and start are
 * each cook's own and are not carried over.
 */
import { believe, drawMembers, EIGHTY, PRIOR, type Gauss, type Reading, type Trial } from './belief'

export interface FinishedCook<S> {
  /** The cook as it happened, on the constants of the book. */
  readonly trial: Trial<S>
  readonly readings: readonly Reading[]
}

export interface Learned {
  /** Of the book's value; the range holds 80 %. */
  readonly factor: number
  readonly low: number
  readonly high: number
}

export interface KitLearned {
  /** Meat on the hot metal. */
  readonly contact: Learned
  /** Air, oven and water. */
  readonly air: Learned
  /** Cooks that had a reading. */
  readonly cooks: number
  /** Whether it is known better than by the book, by enough to plan with. */
  readonly enough: boolean
}

const MEMBERS = 120
const LEAST_COOKS = 3
/** The range has to have shrunk to this share of the book's. */
const SHRUNK_TO = 0.8

export function learnKit<S>(cooks: readonly FinishedCook<S>[]): KitLearned {
  let prior = PRIOR
  let counted = 0
  for (const [i, { trial, readings }] of cooks.entries()) {
    if (readings.length === 0) continue
    counted++
    const { unknowns } = believe(drawMembers(trial, MEMBERS, i + 1, prior), readings)
    prior = { ...PRIOR, contact: unknowns.contact, air: unknowns.air }
  }
  const shrunk = prior.contact.sd < SHRUNK_TO * PRIOR.contact.sd || prior.air.sd < SHRUNK_TO * PRIOR.air.sd
  return { contact: learned(prior.contact), air: learned(prior.air), cooks: counted, enough: counted >= LEAST_COOKS && shrunk }
}

const learned = ({ mean, sd }: Gauss): Learned => ({
  factor: Math.exp(mean),
  low: Math.exp(mean - EIGHTY * sd),
  high: Math.exp(mean + EIGHTY * sd)
})
