/** The update from readings against its closed form, where that is known: one unknown and a straight line. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { finish } from '#core/numerics/steps'
import { kalmanUpdate, type Posterior } from './kalman'
import { EIGHTY, PRIOR, READING_SD, type Gauss, type Observation, type Unknowns } from './prior'

const sure: Gauss = { mean: 0, sd: 1e-9 }
const only = (thickness: Gauss): Unknowns<Gauss> => ({ thickness, start: sure, contact: sure, air: sure, heat: sure, model: sure })
/** A core that reads so much less for each millimetre more, the same at any time. */
const line =
  (at: number, slope: number, count: number) =>
  ({ thickness }: Unknowns<number>): number[] =>
    Array.from({ length: count }, () => at + slope * thickness)
const told = (outputs: (u: Unknowns<number>) => number[], readings: readonly Observation[], prior: Unknowns<Gauss>): Posterior =>
  finish(kalmanUpdate(outputs, readings, prior))
const reading = (celsius: number, time = 300): Observation => ({ time, celsius })

describe('readings of one unknown on a straight line', () => {
  it('pull it by the precision of each: mean and spread are the textbook’s', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.double({ min: -4, max: -0.5, noNaN: true }),
        fc.array(fc.double({ min: -1.2, max: 1.2, noNaN: true }), { minLength: 1, maxLength: 4 }),
        (sd, slope, offs) => {
          const readings = offs.map(off => reading(40 + off))
          const { unknowns, accepted } = told(line(40, slope, offs.length), readings, only({ mean: 0, sd }))
          expect(accepted.every(Boolean)).toBe(true)
          const precision = 1 / sd ** 2 + (offs.length * slope ** 2) / READING_SD ** 2
          const mean = (slope * offs.reduce((sum, off) => sum + off, 0)) / READING_SD ** 2 / precision
          expect(unknowns.thickness.mean).toBeCloseTo(mean, 5)
          expect(unknowns.thickness.sd).toBeCloseTo(Math.sqrt(1 / precision), 5)
        }
      ),
      { numRuns: 60 }
    )
  })

  it('in any order come to the same, and what hangs on the unknown moves along', () => {
    const outputs = (u: Unknowns<number>): number[] => [...line(40, -2, 2)(u), 6 + 0.1 * u.thickness]
    const prior = only({ mean: 0, sd: 1.5 })
    const [forth, back] = [
      [reading(38), reading(39, 400)],
      [reading(39, 400), reading(38)]
    ].map(r => told(outputs, r, prior))
    expect(forth.unknowns.thickness.mean).toBeCloseTo(back.unknowns.thickness.mean, 9)
    const { mean, sd } = forth.unknowns.thickness
    expect(forth.outputs[2].mean).toBeCloseTo(6 + 0.1 * mean, 6)
    expect(forth.outputs[2].sd).toBeCloseTo(0.1 * sd, 6)
  })

  it('that leave the gate are left out: beyond 3.2 of what is expected, and not before', () => {
    const spread = Math.hypot(READING_SD, 2 * 1.5)
    const gate = (sds: number): boolean => told(line(40, -2, 1), [reading(40 + sds * spread)], only({ mean: 0, sd: 1.5 })).accepted[0]
    expect(gate(3.1)).toBe(true)
    expect(gate(3.3)).toBe(false)
    expect(gate(-3.3)).toBe(false)
  })

  it('that are none leave the prior, whose range holds eight in ten', () => {
    const { unknowns } = told(line(40, -2, 0), [], PRIOR)
    expect(unknowns.thickness.mean).toBe(0)
    expect(unknowns.thickness.sd * EIGHTY).toBeCloseTo(2, 9)
    expect(unknowns.heat.sd * EIGHTY).toBeCloseTo(10, 9)
  })
})

describe('on a bent line', () => {
  it('the model is made linear anew where the first look led: nearer to the truth than one look', () => {
    const bent = (t: number): number => 40 - 2 * t + 0.15 * t * t
    const truth = 2
    const { unknowns } = told(u => [bent(u.thickness)], [reading(bent(truth))], only({ mean: 0, sd: 1.5 }))
    const once = (-2 * (bent(truth) - 40) * 1.5 ** 2) / (READING_SD ** 2 + 4 * 1.5 ** 2)
    expect(Math.abs(unknowns.thickness.mean - truth)).toBeLessThan(Math.abs(once - truth))
  })
})
