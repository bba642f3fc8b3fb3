/** Of every kind of piece: few steps do not settle, those are taken in two, and the answer hangs little on their length. */
import { describe, expect, it } from 'vitest'
import { KEEP_ENDS, run, type Run } from '#core/heat/program'
import { splitGrid } from '#core/heat/split.fixture'
import { DEFAULT_STEPS, type StepLengths } from '#core/heat/stepControl'
import { shorterSteps } from '#core/heat/steps.fixture'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { rested, timelineOf } from '#core/method/timeline'
import { asked, planned } from './planned.fixture'

const cooked = (kind: MethodKind, steps: StepLengths = DEFAULT_STEPS, settings: Settings = {}): Run => {
  const { method, setup, plan } = planned(asked(kind, settings))
  return run(
    method.subject(setup, 'fine'),
    rested(timelineOf(method, setup, plan.free), setup),
    { ...KEEP_ENDS, untilPastPeakBy: 0.5 },
    steps
  )
}

describe('steps that do not settle', () => {
  it('are few in a pan, and the run says how many', () => {
    const { halvings, steps } = cooked('pan sear')
    expect(steps).toBeGreaterThan(50)
    expect(halvings).toBeLessThan(0.25 * steps)
  })

  it('over coals, where bars and wet air meet, are halved again and again, and it is cooked as with short ones', () => {
    const usual = cooked('grill')
    expect(usual.halvings).toBeGreaterThan(0)
    expect(Math.abs(usual.peak.core - cooked('grill', shorterSteps(8)).peak.core)).toBeLessThan(0.1)
  })
})

describe('in time', () => {
  it.each([
    ['sear then oven', 0.15],
    ['two-zone grill', 0.2],
    ['bath then sear', 0.1],
    ['roast', 0.4],
    ['in pastry', 0.25]
  ] as const)('%s: steps an eighth as long move the peak by less than %d °C', (kind, most) => {
    const [usual, fine] = [cooked(kind), cooked(kind, shorterSteps(8))]
    expect(fine.steps).toBeGreaterThan(1.5 * usual.steps)
    expect(Math.abs(fine.peak.core - usual.peak.core)).toBeLessThan(most)
    expect(Math.abs(fine.loss - usual.loss)).toBeLessThan(0.006)
  })

  it('in a pan, where a turn may fall just before or just after a face runs dry, by less than 0.25 °C over pans of all heats, and by 0.35 at none', () => {
    const off = [190, 195, 200, 205, 210, 215, 220].map(panC => {
      const [usual, fine] = [cooked('pan sear', DEFAULT_STEPS, { panC }), cooked('pan sear', shorterSteps(8), { panC })]
      expect(Math.abs(fine.loss - usual.loss)).toBeLessThan(0.006)
      return Math.abs(fine.peak.core - usual.peak.core)
    })
    expect(Math.max(...off)).toBeLessThan(0.35)
    expect(off.reduce((sum, k) => sum + k, 0) / off.length).toBeLessThan(0.25)
  })
})

describe('in space', () => {
  const onCells = (kind: MethodKind, settings: Settings, split: boolean): Run => {
    const { method, setup, plan } = planned(asked(kind, settings))
    const subject = method.subject(setup, 'fine')
    const grid = split ? splitGrid(subject.grid) : subject.grid
    return run(
      { ...subject, grid },
      rested(timelineOf(method, setup, plan.free), setup),
      { ...KEEP_ENDS, untilPastPeakBy: 0.5 },
      shorterSteps(3)
    )
  }

  it.each([
    ['pan sear', {}, 0.3],
    ['sear then oven', {}, 0.25],
    ['grill', {}, 0.1],
    ['bath then sear', {}, 0.1],
    ['roast', { ovenC: 110 }, 0.05],
    ['roast', { ovenC: 230 }, 0.2],
    ['in pastry', {}, 0.7]
  ] as const)('%s %o: each cell cut in two moves the peak by less than %d °C, and closes the same balance', (kind, settings, most) => {
    const [usual, split] = [onCells(kind, settings, false), onCells(kind, settings, true)]
    const { axial, radial } = usual.body.grid
    expect(split.body.grid.cells).toBe((axial.cells > 1 ? 2 : 1) * (radial.cells > 1 ? 2 : 1) * usual.body.grid.cells)
    expect(Math.abs(split.peak.core - usual.peak.core)).toBeLessThan(most)
    expect(Math.abs(split.loss - usual.loss)).toBeLessThan(0.005)
  })
})
