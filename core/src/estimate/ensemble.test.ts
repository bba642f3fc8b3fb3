/** The ranges the planner states are honest, and one reading already helps much. */
import { describe, expect, it } from 'vitest'
import { asked, planned } from '#core/plan/planned.fixture'
import { believe, drawMembers } from './ensemble'
import { READING_SD, withUnknowns } from './prior'
import { Randomness } from '#core/numerics/random'
import { solveFree } from '#core/plan/search'
import { trialOf } from './trial'

const { method, setup, plan } = planned(asked('pan sear', {}, { weightG: 437, lengthMm: 160, widthMm: 85 }))
const trial = trialOf(method, setup, plan)
// Enough of both that what is left to chance is a per cent or two.
const members = drawMembers(trial, 2000, 5)
const prior = believe(members, [])
const MIDWAY = plan.pull.time / 2

describe('what is believed of the time needed', () => {
  const truths = drawMembers(trial, 300, 4711)
  const noise = new Randomness(12)
  const after = truths.map(truth => believe(members, [{ time: MIDWAY, celsius: truth.reads(MIDWAY) + READING_SD * noise.normal() }]))
  const width = (b: typeof prior): number => b.needed[2] - b.needed[0]
  const holds = (b: typeof prior, needed: number): boolean => needed >= b.needed[0] && needed <= b.needed[2]

  it('an 80 % range holds 75 to 85 % of simulated truths, before a reading and after one', () => {
    for (const found of [truths.map(t => holds(prior, t.needed)), truths.map((t, i) => holds(after[i], t.needed))]) {
      const share = found.filter(Boolean).length / truths.length
      expect(share).toBeGreaterThanOrEqual(0.75)
      expect(share).toBeLessThanOrEqual(0.85)
    }
  })

  it('one reading half-way at least halves the range of the time remaining', () => {
    const mean = after.reduce((sum, b) => sum + width(b), 0) / after.length
    expect(mean).toBeLessThan(0.5 * width(prior))
  })

  it('a colder core than expected means longer, a warmer one shorter', () => {
    const expected = members.reduce((sum, m) => sum + m.reads(MIDWAY), 0) / members.length
    const middle = (celsius: number): number => believe(members, [{ time: MIDWAY, celsius }]).needed[1]
    expect(middle(expected - 5)).toBeGreaterThan(middle(expected) + 30)
    expect(middle(expected + 5)).toBeLessThan(middle(expected) - 30)
  })

  it('the time a draw is said to need is the time it needs when solved for itself, to a few per cent', () => {
    const base = solvedFor(setup)
    for (const member of truths.slice(0, 5)) {
      const solved = solvedFor(withUnknowns(setup, member.unknowns))
      expect(member.needed / plan.free / (solved / base)).toBeGreaterThan(0.94)
      expect(member.needed / plan.free / (solved / base)).toBeLessThan(1.06)
    }
  })

  function solvedFor(varied: typeof setup): number {
    const subject = trial.subject(varied, 'coarse')
    const recording = { every: Infinity, fieldEvery: null, untilPastPeakBy: 0.5 }
    const stages = (free: number): ReturnType<typeof trial.stages> => trial.stages(varied, free)
    return solveFree({
      fine: subject,
      coarse: subject,
      stages,
      goal: 54,
      low: 60,
      high: 4000,
      guess: plan.free,
      recording: () => recording
    }).free
  }
})
