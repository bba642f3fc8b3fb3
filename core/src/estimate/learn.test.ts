/** What finished cooks teach of a pan, against kitchens whose truth is known because it was drawn. */
import { describe, expect, it } from 'vitest'
import { asked, planned } from '#core/plan/planned.fixture'
import { drawMembers } from './ensemble'
import { EIGHTY, PRIOR, READING_SD, withUnknowns } from './prior'
import { learning, type FinishedCook, type Learned } from './learn'
import { Randomness } from '#core/numerics/random'
import { finish } from '#core/numerics/steps'
import { trialOf } from './trial'

const { method, setup, plan } = planned(
  asked('pan sear', { turning: 'once' }, { thicknessMm: 25, weightG: 288, lengthMm: 160, widthMm: 85 })
)
const trial = trialOf(method, setup, plan)
const NONE = { mean: 0, sd: 0 }
const NOTHING = { thickness: NONE, start: NONE, contact: NONE, air: NONE, heat: NONE, model: NONE }

/** Cooks on one pan: the pieces as uncertain as they are taken to be, read as badly as a hand reads. */
function cooks(count: number, contact: number, noise: Randomness, thing = 'pan'): FinishedCook[] {
  return Array.from({ length: count }, () => {
    const of = (name: 'thickness' | 'start' | 'air' | 'model'): number => PRIOR[name].sd * noise.normal()
    const truth = withUnknowns(setup, {
      thickness: of('thickness'),
      start: of('start'),
      contact: Math.log(contact),
      air: of('air'),
      heat: 0,
      model: of('model')
    })
    const [seen] = drawMembers({ ...trial, setup: truth }, 1, 1, NOTHING)
    const readings = [0.5, 0.8].map(share => {
      const time = share * plan.pull.time
      return { time, celsius: seen.reads(time) + READING_SD * noise.normal() }
    })
    return { trial: trial as FinishedCook['trial'], readings, contact: thing, heat: null }
  })
}
const learn = (of: readonly FinishedCook[]): Learned => finish(learning(of))[0]
/** Standard deviation of what is known of it. */
const sdOf = ({ low, high }: Learned): number => (high - low) / (2 * EIGHTY)

describe('what finished cooks teach of the kit', () => {
  it('its range of 80 % holds the truth in about eight kitchens of ten', () => {
    const noise = new Randomness(4)
    const kitchens = 40
    let held = 0
    for (let i = 0; i < kitchens; i++) {
      const truth = PRIOR.contact.sd * noise.normal()
      const { low, high } = learn(cooks(3, Math.exp(truth), noise))
      if (low <= truth && truth <= high) held++
    }
    // Two standard deviations of forty tosses to either side.
    expect(held / kitchens).toBeGreaterThan(0.67)
    expect(held / kitchens).toBeLessThan(0.93)
  })

  it('every cook makes it surer, none makes it certain: the piece’s own thickness hides most of it', () => {
    const all = cooks(12, 1, new Randomness(9))
    const sds = [1, 4, 12].map(count => sdOf(learn(all.slice(0, count))))
    expect(sds[0]).toBeLessThan(PRIOR.contact.sd)
    expect(sds[1]).toBeLessThan(sds[0])
    expect(sds[2]).toBeLessThan(sds[1])
    expect(sds[0]).toBeGreaterThan(0.5 * PRIOR.contact.sd)
    expect(learn(all.slice(0, 1)).enough).toBe(false)
    expect(learn(all)).toMatchObject({ thing: 'pan', of: 'contact', cooks: 12 })
  })

  it('a strong pan and a weak one are told apart, and neither is made out to be more than it is', () => {
    const noise = new Randomness(2)
    const [strong, weak] = finish(learning([...cooks(30, 1.4, noise), ...cooks(30, 0.7, noise, 'other')]))
    expect(Math.exp(strong.value)).toBeGreaterThan(1.07)
    expect(Math.exp(strong.value)).toBeLessThan(1.45)
    expect(Math.exp(weak.value)).toBeLessThan(0.93)
    expect(Math.exp(weak.value)).toBeGreaterThan(0.66)
  })

  it('a reading that cannot be teaches nothing, nor a cook without any', () => {
    const good = cooks(2, 1.2, new Randomness(5))
    const absurd = { ...good[1], readings: [{ time: 0.5 * plan.pull.time, celsius: 95 }] }
    expect(learn([good[0], absurd])).toEqual(learn([good[0]]))
    expect(finish(learning([absurd, { ...good[0], readings: [] }]))).toEqual([])
  })
})
