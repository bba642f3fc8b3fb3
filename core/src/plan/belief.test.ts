/** The ranges the planner states are honest, and one reading already helps much. */
import { describe, expect, it } from 'vitest'
import { stripSetup } from '#core/method/setups.fixture'
import { believe, drawMembers, READING_SD, withUnknowns } from './belief'
import { learning, type FinishedCook, type Learned } from './learn'
import { finish } from './steps'
import { planPanSear } from './panPlan'
import { Randomness } from './random'
import { solveFree } from './search'
import { panTrialOf } from './trial'

const setup = stripSetup()
const plan = planPanSear(setup, 54)
const trial = panTrialOf(setup, plan)
// Enough of both that what is left to chance is a per cent or two.
const members = drawMembers(trial, 500, 5)
const prior = believe(members, [])
const MIDWAY = plan.pull.time / 2

describe('what is believed of the time needed', () => {
  const truths = drawMembers(trial, 600, 4711)
  const noise = new Randomness(12)
  const after = truths.map(truth => believe(members, [{ time: MIDWAY, celsius: truth.core(MIDWAY) + READING_SD * noise.normal() }]))
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
    const expected = members.reduce((sum, m) => sum + m.core(MIDWAY), 0) / members.length
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

describe('what finished cooks teach of the kit', () => {
  /** A pan that gives more than the book says, the pieces as said, read twice each. */
  function cooks(count: number, contact: number): FinishedCook[] {
    const noise = new Randomness(8)
    return Array.from({ length: count }, () => {
      const unknowns = { thickness: 0.6 * noise.normal(), start: 1 * noise.normal(), contact: Math.log(contact), air: 0 }
      const truth = withUnknowns(setup, unknowns)
      const [seen] = drawMembers({ ...trial, setup: truth }, 1, 1, NOTHING)
      const readings = [0.5, 0.8].map(share => {
        const time = share * plan.pull.time
        return { time, celsius: seen.core(time) + 0.5 * noise.normal() }
      })
      return { trial: trial as FinishedCook['trial'], readings, contact: 'pan', air: null }
    })
  }
  const learn = (of: readonly FinishedCook[]): Learned | undefined => finish(learning(of)).at(0)
  const none = { mean: 0, sd: 0 }
  const NOTHING = { thickness: none, start: none, contact: none, air: none }

  it('several cooks find the pan’s contact within a tenth or two, and say how sure they are', () => {
    const learned = learn(cooks(5, 1.35))!
    expect(learned).toMatchObject({ thing: 'pan', cooks: 5 })
    expect(learned.factor).toBeGreaterThan(1.1)
    expect(learned.low).toBeLessThan(1.35)
    expect(learned.high).toBeGreaterThan(1.25)
    expect(learned.high / learned.low).toBeLessThan(1.3 * 1.3)
    expect(learned.enough).toBe(true)
  })

  it('one cook, or cooks without a reading, are too little to go on', () => {
    expect(learn(cooks(1, 1.35))!.enough).toBe(false)
    expect(learn(cooks(5, 1.35).map(c => ({ ...c, readings: [] })))).toBeUndefined()
  })

  it('two pans are told apart, and a reading that cannot be teaches nothing', () => {
    const all = [...cooks(5, 1.35), ...cooks(5, 0.7).map(c => ({ ...c, contact: 'other' }))]
    const [pan, other] = finish(learning(all))
    expect(pan.factor).toBeGreaterThan(1.1)
    expect(other.factor).toBeLessThan(0.97)
    const absurd = cooks(3, 1).map(c => ({ ...c, readings: [{ time: 0.5 * plan.pull.time, celsius: 95 }] }))
    expect(finish(learning(absurd))).toEqual([])
  })
})
