/** The backward solve on problems whose answer is known beforehand. */
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from '#core/heat/constants'
import { between } from '#core/heat/faces'
import { slabGrid } from '#core/heat/grid'
import type { Stage, Subject } from '#core/heat/program'
import { KEEP_ENDS } from '#core/heat/program'
import { drySolid } from '#core/heat/properties'
import { METHODS } from '#core/method/methods'
import { stripSetup } from '#core/method/setups.fixture'
import { USUAL_KIT, usualSettings } from '#core/method/usual'
import { planMethod } from './plan'
import { solveFree, type SearchProblem } from './search'

/** A thin dry slab in a bath: one lump of heat, θ = exp(−t·2h/(ρcL)). */
const [H, RHO_C, L] = [20, 2e6, 0.004]
const SUBJECT: Subject = {
  grid: slabGrid(L),
  materials: [drySolid(50, 1000, RHO_C / 1000)],
  start: { temperature: 10, film: 0, boiling: 100 },
  constants: CONSTANTS
}
const bath = { kind: 'fixed', at: 60, conductance: H } as const
const stages = (free: number): Stage[] => [{ name: 'bath', end: { after: free }, faces: between(bath, bath) }]
const secondsTo = (celsius: number): number => -((RHO_C * L) / (2 * H)) * Math.log((60 - celsius) / 50)

const problem = (goal: number, more: Partial<SearchProblem> = {}): SearchProblem => ({
  fine: SUBJECT,
  coarse: SUBJECT,
  stages,
  goal,
  low: 1,
  high: 3600,
  guess: 60,
  recording: () => KEEP_ENDS,
  ...more
})

describe('the free time', () => {
  it.each([20, 40, 55, 59])('to %d °C is the one the lump’s exponential gives, whatever the guess', goal => {
    for (const guess of [2, 100, 3000]) {
      const { free, misses, run } = solveFree(problem(goal, { guess }))
      expect(misses).toBe('none')
      expect(Math.abs(run.peak.core - goal)).toBeLessThan(0.11)
      expect(Math.abs(free - secondsTo(goal))).toBeLessThan(0.15 / (((60 - goal) * 2 * H) / (RHO_C * L)) + 1)
    }
  })

  it('knows how fast the peak rises there', () => {
    const { peakRate } = solveFree(problem(40))
    expect(peakRate).toBeGreaterThan((0.7 * (20 * 2 * H)) / (RHO_C * L))
    expect(peakRate).toBeLessThan((1.4 * (20 * 2 * H)) / (RHO_C * L))
  })

  it('where the longest is not enough, or the shortest too much, the nearest is the answer', () => {
    const never = solveFree(problem(65))
    expect(never.misses).toBe('too cool at the most')
    expect(never.free).toBe(3600)
    expect(never.run.peak.core).toBeCloseTo(60, 1)
    const already = solveFree(problem(20, { low: 600 }))
    expect(already.misses).toBe('too hot at the least')
    expect(already.free).toBe(600)
  })

  it('of a program in whole spells: their number is held once the neighbourhood is known, and it is the one there', () => {
    const asked: (number | null)[] = []
    const spells = (free: number): number => Math.max(1, Math.round(free / 60))
    const solved = solveFree(
      problem(40, {
        spells,
        stages: (free, count) => {
          asked.push(count)
          return stages(free)
        }
      })
    )
    expect(asked.at(-1)).toBe(solved.spells)
    expect(Math.abs(solved.spells! - spells(solved.free))).toBeLessThanOrEqual(1)
    // First without a number, then never without one again.
    expect(asked.lastIndexOf(null)).toBeLessThan(asked.findIndex(count => count !== null))
  })

  it('is found where the program jumps with each spell more', () => {
    // Each whole minute costs ten seconds of heat: the peak falls back there.
    const jumping = (free: number, count: number | null): Stage[] => stages(Math.max(1, free - 10 * (count ?? Math.round(free / 60))))
    const solved = solveFree(problem(40, { stages: jumping, spells: free => Math.round(free / 60) }))
    expect(Math.abs(solved.run.peak.core - 40)).toBeLessThan(0.11)
    expect(Math.abs(solved.free - 10 * solved.spells! - secondsTo(40))).toBeLessThan(4)
  })
})

describe('a warm start from a plan much like it', () => {
  it('changes the answer by no more than the answer is good to, and a wrong one does no harm', () => {
    const setup = { ...stripSetup({ thicknessMm: 42 }), settings: { ...usualSettings(USUAL_KIT, 54)['sear then oven'] } }
    const method = METHODS['sear then oven']
    const plain = planMethod(method, setup, 54)
    const near = planMethod(method, setup, 56).warmStart
    const wrong = [
      { ...near, slope: 0 },
      { ...near, slope: 20 * near.slope },
      { free: 20, bias: 0, slope: 0.02, coarseC: null },
      { free: 9000, bias: -1.5, slope: 0.001, coarseC: null },
      { free: plain.free, bias: 2, slope: 0.5, coarseC: null }
    ]
    for (const warmStart of [near, ...wrong]) {
      const warm = planMethod(method, setup, 54, null, warmStart)
      expect(Math.abs(warm.peak.core - 54)).toBeLessThan(0.1)
      expect(Math.abs(warm.free - plain.free) * plain.peakRate).toBeLessThan(0.2)
    }
  })

  it('saves trials: of a problem moved a little, two coarse ones and one fine are enough', () => {
    const runs: number[] = []
    const counted = (free: number): Stage[] => {
      runs.push(free)
      return stages(free)
    }
    const { warmStart } = solveFree(problem(44))
    const plain = solveFree(problem(46, { stages: counted }))
    const from = runs.splice(0).length
    const warm = solveFree(problem(46, { stages: counted, warmStart }))
    expect(Math.abs(warm.run.peak.core - 46)).toBeLessThan(0.11)
    expect(Math.abs(warm.free - plain.free)).toBeLessThan(0.02 * plain.free)
    expect(runs.length).toBeLessThanOrEqual(4)
    expect(runs.length).toBeLessThan(from)
  })

  it('where the goal is beyond what can be had, the warm start leads nowhere and the nearest is the answer all the same', () => {
    const { warmStart } = solveFree(problem(44))
    const { misses, free } = solveFree(problem(65, { warmStart }))
    expect(misses).toBe('too cool at the most')
    expect(free).toBe(3600)
  })

  it('keeps a program of whole numbers to the number that fits where it ends, not to the one it began with', () => {
    // In spells of a minute: a whole number of them nearest to the time asked for.
    const spellsOf = (free: number): number => Math.max(1, Math.round(free / 60))
    const { warmStart } = solveFree(problem(25))
    const { free, spells } = solveFree(problem(52, { spells: spellsOf, warmStart }))
    expect(spells).toBe(spellsOf(free))
  })
})
