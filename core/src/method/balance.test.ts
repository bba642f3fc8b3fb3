/** Nothing is lost on the way: energy and water, and no answer that hangs on grid or step. */
import { describe, expect, it } from 'vitest'
import type { Resting } from './method'
import { panSear } from './panSear'
import { roast } from './roast'
import { searThenOven } from './searThenOven'
import { logSetup, stripSetup } from './setups.fixture'
import { rested, restAfter, spellOf, timelineOf, type Down, type Spell } from './timeline'
import { USUAL_KIT, usualSettings } from './usual'
import {
  DEFAULT_RESOLUTION,
  END_RESOLUTION,
  mirroredGrid,
  roundSection,
  ROUND_RESOLUTION,
  slabGrid,
  type Resolution
} from '#core/heat/grid'
import { KEEP_ENDS, run } from '#core/heat/program'
import { shorterSteps } from '#core/heat/steps.fixture'
import type { Piece } from '#core/meat/piece'

type Lain = readonly [where: Down | 'out', seconds: number]
const LAIN: readonly Lain[] = [
  ['first', 300],
  ['second', 240],
  ['out', 40],
  ['first', 60]
]
/** In the pan by hand, and then rested. */
function byHand(setup: ReturnType<typeof stripSetup>, lain: readonly Lain[], restS: number): Spell[] {
  const { heating, rest } = panSear.program(setup, 600)
  const spells = lain.map(([where, seconds], i) =>
    where === 'out' ? spellOf(rest(seconds), 'out', 'second', seconds) : spellOf(heating[0], 0, where, seconds, i === 0)
  )
  return [...spells, restAfter(spells, rest)(restS)]
}

describe.each([
  ['patted, on a cast-iron pan', stripSetup({ thicknessMm: 30 })],
  ['wet, in a thin pan', stripSetup({ thicknessMm: 30, surface: 'wet', startC: 12 })]
])('%s, seared, turned, lifted and rested', (_, setup) => {
  const subject = panSear.subject(setup, 'fine')
  const stages = byHand(setup, LAIN, 900)
  const { body } = run(subject, stages, KEEP_ENDS)
  const before = run(subject, [], KEEP_ENDS).body

  it('what came in is what is there and what left: energy within 0.1 % of the heat that came in', () => {
    const { heatIn, latentOut, carriedOut } = body.ledger
    const gained = body.enthalpy - before.enthalpy
    expect(Math.abs(gained - (heatIn - latentOut - carriedOut)) / heatIn).toBeLessThan(1e-3)
    expect(heatIn).toBeGreaterThan(2e6)
  })

  it('water closes within 0.1 % of what left', () => {
    const raw = before.waterHeld
    const left = body.waterHeld
    const gone = body.ledger.evaporated + body.ledger.dripped
    expect(Math.abs(raw - left - gone) / gone).toBeLessThan(1e-3)
  })

  it('no cell is wetter than the juice around it can make it, none has less than no water, none is above its pan', () => {
    for (const w of body.water) {
      expect(w).toBeGreaterThanOrEqual(0)
      expect(w).toBeLessThan(1.3 * subject.materials[0].rawWater)
    }
    expect(Math.max(...body.hottest)).toBeLessThan(setup.settings.panC)
  })
})

const halved = ({ skin, crustCell, crust, growth, coarsest }: Resolution): Resolution => ({
  skin: skin / 2,
  crustCell: crustCell / 2,
  crust,
  growth: Math.sqrt(growth),
  coarsest: coarsest / 2
})
const HALF_STEPS = shorterSteps(2)

describe('the core does not hang on the resolution', () => {
  const pieces = [10, 15, 20, 30, 40, 60].flatMap(mm => [[mm, 'once'] as const, [mm, 'every 60 s'] as const])
  it.each(pieces)('%d mm turned %s: half the cells and half the step change it by less than 0.2 °C', (mm, turning) => {
    const setup = stripSetup({ thicknessMm: mm, weightG: 30 * mm }, { turning })
    const whole = 120 * Math.max(1, Math.round((660 * (mm / 30) ** 1.5) / 120))
    const each = turning === 'once' ? whole / 2 : 60
    const lain = Array.from({ length: whole / each }, (_, i): Lain => [i % 2 === 0 ? 'first' : 'second', each])
    const subject = panSear.subject(setup, 'fine')
    const stages = byHand(setup, lain, 900)
    const coarse = run(subject, stages, KEEP_ENDS)
    const grid = slabGrid(mm / 1000, halved(DEFAULT_RESOLUTION), [], subject.grid.rim!.edge.at(-1))
    const fine = run({ ...subject, grid }, stages, KEEP_ENDS, HALF_STEPS)
    expect(Math.abs(coarse.peak.core - fine.peak.core)).toBeLessThan(0.2)
    expect(Math.abs(coarse.loss - fine.loss)).toBeLessThan(0.002)
  })

  const logs = [
    [60, 4, 30],
    [110, 2, 80],
    [90, 1.2, 60]
  ] as const
  it.each(logs)('a log of %d mm, %d times as long, %d min in the oven: nor in radius and height', (mm, times, minutes) => {
    const setup = logSetup(mm, times)
    const { heating, rest } = timelineOf(roast, setup, minutes * 60)
    const stages = [...heating, rest(1200)]
    const subject = roast.subject(setup, 'fine')
    const { radial, axial } = subject.grid
    const [radius, height] = [radial.edge[radial.cells], 2 * axial.edge[axial.cells]]
    const grid = mirroredGrid(roundSection(radius), height, halved(ROUND_RESOLUTION), [], halved(END_RESOLUTION))
    const usual = run(subject, stages, KEEP_ENDS)
    const half = run({ ...subject, grid }, stages, KEEP_ENDS, HALF_STEPS)
    expect(half.body.grid.cells).toBeGreaterThan(2.5 * usual.body.grid.cells)
    expect(Math.abs(half.peak.core - usual.peak.core)).toBeLessThan(0.2)
    expect(Math.abs(half.loss - usual.loss)).toBeLessThan(0.003)
  })
})

describe('a log is carried in long steps', () => {
  const TENTH = shorterSteps(10)
  const programs = [
    [50, 3, 210, 20],
    [62, 3, 120, 50],
    [110, 2, 140, 110],
    [110, 2, 220, 60],
    [150, 1.2, 100, 230]
  ] as const
  it.each(programs)(
    'of %d mm, %d times as long, at %d °C for %d min: steps a tenth as long move its core by less than 0.3 °C',
    (mm, times, ovenC, minutes) => {
      const setup = logSetup(mm, times)
      const of = { ...setup, settings: { ...setup.settings, ovenC } }
      const { heating, rest } = timelineOf(roast, of, minutes * 60)
      const subject = roast.subject(of, 'coarse')
      const usual = run(subject, [...heating, rest(1200)], KEEP_ENDS)
      const fine = run(subject, [...heating, rest(1200)], KEEP_ENDS, TENTH)
      expect(fine.steps).toBeGreaterThan(2 * usual.steps)
      expect(Math.abs(fine.peak.core - usual.peak.core)).toBeLessThan(0.3)
      expect(Math.abs(fine.loss - usual.loss)).toBeLessThan(0.003)
    }
  )
})

describe('nothing hangs on the last degree of a dial', () => {
  const setup = stripSetup({ thicknessMm: 38 })
  const answers = Array.from({ length: 13 }, (_, i) => {
    const settings = { ...usualSettings(USUAL_KIT, 54)['sear then oven'], panC: 155 + 5 * i }
    const of = { ...setup, settings }
    const { heating, rest } = timelineOf(searThenOven, of, 900)
    return run(searThenOven.subject(of, 'coarse'), [...heating, rest(1200)], KEEP_ENDS).peak.core
  })

  it('a pan five degrees hotter leaves the core a little further done, never less and never by a jump', () => {
    answers.slice(1).forEach((core, i) => {
      expect(core - answers[i]).toBeGreaterThan(-0.02)
      expect(core - answers[i]).toBeLessThan(0.3)
    })
  })
})

describe('how much rest counts', () => {
  const last = (piece: Partial<Piece>, resting: Partial<Resting>): number => {
    const setup = logSetup(60, 3)
    const of = { ...setup, piece: { ...setup.piece, ...piece }, settings: { ...setup.settings, ...resting } }
    return rested(timelineOf(roast, of, 3600), of).at(-1)!.seconds
  }

  it('of a joint until it is carved, by the clock or after half an hour; of a steak, and in a fridge, all of it', () => {
    expect(last({}, {})).toBe(1800)
    expect(last({}, { rest: { kind: 'clock', seconds: 600 } })).toBe(600)
    expect(last({}, { rest: { kind: 'clock', seconds: 3000 } })).toBe(3000)
    expect(last({ form: 'steak' }, {})).toBeGreaterThan(3600)
    expect(last({}, { cover: 'fridge' })).toBeGreaterThan(3600)
  })
})
