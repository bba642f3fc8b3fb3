/** What does not settle is told or an error; steps lengthen as they may; the method is of the order it is said to be. */
import { describe, expect, it } from 'vitest'
import { ConvergenceError } from '#core/numerics/convergence'
import { between, type Face } from './faces'
import { cylinderGrid, mirroredGrid, roundSection, slabGrid } from './grid'
import { LumpState } from './lump'
import { KEEP_ENDS, run } from './program'
import { drySolid } from './properties'
import { COARSE_STEPS, DEFAULT_STEPS, nextStep, stepControl } from './stepControl'
import { Surface } from './surface'

describe('steps that do not settle', () => {
  it('because something in them is no number are an error, not an answer', () => {
    const nothing: Face = { kind: 'fixed', at: NaN, conductance: 100 }
    const subject = { grid: slabGrid(0.02), materials: [drySolid(0.5, 1000, 3000)], start: { temperature: 5, film: 0, boiling: 100 } }
    const stage = { name: 'nowhere', end: { after: 60 }, faces: between(nothing, nothing) }
    expect(() => run(subject, [stage], KEEP_ENDS)).toThrow(ConvergenceError)
    const pan = new LumpState({ heatCapacity: NaN, loss: 1, openWater: 0, room: 22, start: 80 })
    expect(() => pan.begin(5, null)).toThrow(ConvergenceError)
  })

  it('a face says whether its balance closed', () => {
    const cell = { temperature: 60, conductance: 500, wet: true, share: 0.6, sharePerDrawn: 50, mostDrawn: 1e-3, juice: 0 }
    const surface = new Surface(60, 0, 100)
    surface.meet({ kind: 'air', air: 200, walls: 220, convection: 20, emissivity: 0.9, vapour: 0.02 }, cell, 10, 0)
    expect(surface.settled).toBe(true)
    surface.meet({ kind: 'air', air: NaN, walls: 220, convection: 20, emissivity: 0.9, vapour: 0.02 }, cell, 10, 0)
    expect(surface.settled).toBe(false)
  })
})

describe('the step control', () => {
  const control = stepControl(slabGrid(0.04), DEFAULT_STEPS)

  it('lengthens by the root of what the error leaves room for, threefold at most, and never below its first', () => {
    const { kelvin, longest, shareOfAge } = control
    expect(nextStep(control, 2, kelvin / 4, 0)).toBeCloseTo(4, 6)
    expect(nextStep(control, 2, 1e-9, 0)).toBeCloseTo(6, 6)
    expect(nextStep(control, 2, 4 * kelvin, 0)).toBeCloseTo(1, 6)
    expect(nextStep(control, 0.7, 1e9, 0)).toBe(control.first)
    expect(nextStep(control, 10, 1e-9, 60)).toBe(longest)
    expect(nextStep(control, 50, 1e-9, 3600)).toBeCloseTo(3600 * shareOfAge, 6)
  })

  it('goes shorter in a thin piece, for a coarse search longer', () => {
    expect(stepControl(slabGrid(0.01), DEFAULT_STEPS).first).toBeLessThan(0.3 * control.first)
    expect(stepControl(slabGrid(0.04), COARSE_STEPS).longest).toBeGreaterThan(2 * control.longest)
  })

  it('knows a log and its half for as thick as they are, and goes shorter where a thin layer lies round it', () => {
    const section = roundSection(0.04)
    const long = stepControl(cylinderGrid(section), DEFAULT_STEPS)
    expect(stepControl(mirroredGrid(section, 0.2), DEFAULT_STEPS).longest).toBeCloseTo(long.longest, 6)
    expect(long.longest).toBeGreaterThan(control.longest)
    const wrapped = [
      { on: 'side', thickness: 0.003, material: 1 },
      { on: 'side', thickness: 0.006, material: 2 }
    ] as const
    expect(stepControl(cylinderGrid(section, undefined, wrapped), DEFAULT_STEPS).longest).toBeLessThan(0.2 * long.longest)
    expect(stepControl(cylinderGrid(section, undefined, wrapped), DEFAULT_STEPS).shareOfAge).toBeLessThan(0.1 * control.shareOfAge)
  })
})

describe('the order of the method', () => {
  it('below boiling and dry the method is of second order: half the step, a quarter of the error', () => {
    const face: Face = { kind: 'fixed', at: 60, conductance: 200 }
    const subject = { grid: slabGrid(0.03), materials: [drySolid(0.5, 1000, 3500)], start: { temperature: 5, film: 0, boiling: 100 } }
    const core = (steps: number): number => {
      const dt = 1200 / steps
      const stage = { name: 'bath', end: { after: 1200 }, faces: between(face, face) }
      return run(subject, [stage], KEEP_ENDS, { first: dt, longest: dt, kelvin: 1e9, rim: 24 }).body.centre.core
    }
    const exact = core(1600)
    const errors = [10, 20, 40].map(n => Math.abs(core(n) - exact))
    expect(errors[0] / errors[1]).toBeGreaterThan(3)
    expect(errors[1] / errors[2]).toBeGreaterThan(3)
  })
})
