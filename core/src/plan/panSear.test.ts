/** The pan alone, solved backward: against what must hold of any answer, and what every cook knows. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { KEEP_ENDS, run } from '#core/heat/program'
import type { Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import { rested, timelineOf } from '#core/method/timeline'
import type { Turning } from '#core/method/turning'
import { coldestMetal, InfeasibleError, planMethod, type Plan } from './plan'
import { asked, planned } from './planned.fixture'

const strip = (piece: Partial<Piece>, settings: Settings = {}, coreC = 54): Parameters<typeof planned>[0] => {
  const thicknessMm = piece.thicknessMm ?? 38
  return asked('pan sear', settings, { thicknessMm, weightG: 11.5 * thicknessMm, lengthMm: 160, widthMm: 85, ...piece }, coreC)
}
const planOf = (...args: Parameters<typeof strip>): Plan => planned(strip(...args)).plan
const pull = (...args: Parameters<typeof strip>): number => planOf(...args).pull.time

describe('the pull is early enough that the least cooked point peaks at the target', () => {
  it.each(['once', 'twice a side', 'every 60 s', 'every 30 s', '6 spells'] as const)('turned %s', (turning: Turning) => {
    const { method, setup, plan } = planned(strip({ thicknessMm: 32 }, { turning }))
    const timeline = timelineOf(method, setup, plan.free, plan.phases[0].spells)
    const again = run(method.subject(setup, 'fine'), rested(timeline, setup), KEEP_ENDS)
    expect(Math.abs(again.peak.core - 54)).toBeLessThan(0.1)
    expect(plan.pull.core).toBeLessThan(53)
  })

  it('for any sensible piece and target', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 15, max: 55 }),
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 46, max: 68 }),
        fc.integer({ min: 160, max: 240 }),
        (thicknessMm, startC, target, panC) => {
          const plan = planOf({ thicknessMm, startC }, { panC, turning: 'every 60 s' }, target)
          expect(Math.abs(plan.peak.core - target)).toBeLessThan(0.15)
          expect(plan.pull.core).toBeLessThan(target + 0.15)
        }
      ),
      { numRuns: 15, seed: 7 }
    )
  })
})

describe('what every cook knows', () => {
  it('thicker is slower, by more than in proportion', () => {
    const times = [20, 30, 40, 50].map(thicknessMm => pull({ thicknessMm }))
    for (let i = 1; i < times.length; i++) expect(times[i] / times[i - 1]).toBeGreaterThan([30 / 20, 40 / 30, 50 / 40][i - 1])
  })

  it('colder is slower, but not by much', () => {
    const cold = pull({ thicknessMm: 32, startC: 3 })
    const out = pull({ thicknessMm: 32, startC: 13 })
    expect(cold).toBeGreaterThan(out)
    expect(cold - out).toBeLessThan(180)
  })

  it('a hotter pan barely moves the centre and thickens the crust', () => {
    const plans = [190, 240].map(panC => planOf({ thicknessMm: 32 }, { panC }))
    expect(plans[1].pull.time).toBeLessThan(plans[0].pull.time)
    expect(plans[1].pull.time).toBeGreaterThan(0.75 * plans[0].pull.time)
    expect(plans[1].section.crustMm[0]).toBeGreaterThan(plans[0].section.crustMm[0])
  })

  it('turned often the centre arrives sooner, rises more in the rest and the grey edge is thinner', () => {
    const [once, often] = (['once', 'every 60 s'] as const).map(turning => planOf({}, { turning }))
    expect(often.pull.time).toBeLessThan(once.pull.time)
    expect(often.peak.core - often.pull.core).toBeGreaterThan(once.peak.core - once.pull.core)
    expect(often.section.greyMm[0] + often.section.greyMm[1]).toBeLessThan(once.section.greyMm[0] + once.section.greyMm[1])
  })

  it('a wet face must boil dry before it browns: it passes 120 °C many seconds after a dry one', () => {
    const browns = (surface: 'aired' | 'wet'): number => {
      const { method, setup } = planned(strip({ thicknessMm: 25, surface }, { byClockS: 360, turning: 'once' }))
      const [first] = timelineOf(method, setup, 360).heating
      const { history } = run(method.subject(setup, 'fine'), [first], { ...KEEP_ENDS, every: 1 })
      return history.time[history.first.findIndex(T => (T ?? 0) > 120)]
    }
    expect(browns('wet') - browns('aired')).toBeGreaterThan(8)
    expect(browns('aired')).toBeLessThan(60)
  })

  it('a crowded thin pan sags far below the pan that holds its heat', () => {
    const piece = { thicknessMm: 25, weightG: 380 }
    const [alone, crowded] = [1, 3].map(count => planOf({ ...piece, count }))
    expect(coldestMetal(crowded)!).toBeLessThan(coldestMetal(alone)! - 15)
    expect(crowded.pull.time).toBeGreaterThan(alone.pull.time)
  })

  it('stood on its fat edge at the end, the pull comes so much after the last turn', () => {
    const plan = planOf({}, { fatEdgeS: 60 })
    const last = plan.marks.at(-1)!
    expect(last.phase).toBe('fat edge')
    expect(plan.pull.time - last.from).toBeCloseTo(60, 6)
    expect(Math.abs(plan.peak.core - 54)).toBeLessThan(0.15)
  })
})

describe('a 38 mm and a 25 mm strip from the fridge to 54 °C', () => {
  it('38 mm: 12–16 min, off at 40–46 °C, up by itself ten degrees or so in 4–9 min', () => {
    const plan = planOf({})
    expect(plan.pull.time / 60).toBeGreaterThan(12)
    expect(plan.pull.time / 60).toBeLessThan(16)
    expect(plan.peak.core - plan.pull.core).toBeGreaterThan(7)
    expect(plan.peak.core - plan.pull.core).toBeLessThan(13)
    expect((plan.peak.time - plan.pull.time) / 60).toBeGreaterThan(4)
    expect((plan.peak.time - plan.pull.time) / 60).toBeLessThan(9)
  })

  it('25 mm: 5½–8 min', () => {
    const plan = planOf({ thicknessMm: 25 })
    expect(plan.pull.time / 60).toBeGreaterThan(5.5)
    expect(plan.pull.time / 60).toBeLessThan(8)
  })
})

describe('what cannot be had is refused with what can', () => {
  it('too thick: how far a pan gets, or that it is not for a pan', () => {
    expect(() => planOf({ thicknessMm: 100, weightG: 1100 }, { turning: 'once' }, 70)).toThrow(InfeasibleError)
    expect(() => planOf({ thicknessMm: 64, weightG: 740 }, { turning: 'once', panC: 120 }, 75)).toThrow(
      /min as the time in the pan|comes only to/
    )
  })

  it('too thin and warm: where the shortest sear ends', () => {
    expect(() => planOf({ thicknessMm: 5, weightG: 60, startC: 25 }, {}, 45)).toThrow(/as short as it goes the centre still comes to \d+/)
  })
})

describe('what two roads once disagreed on', () => {
  it('turns of a minute: the number of spells is held while the answer is found, so the peak is smooth in it', () => {
    for (const thicknessMm of [30, 34, 38, 42]) {
      const plan = planOf({ thicknessMm }, { turning: 'every 60 s' })
      const [sear] = plan.phases
      expect(sear.spells % 2).toBe(0)
      // Two faces alike ask for an even number: the nearest is at most one spell off.
      expect(Math.abs((sear.to - sear.from) / sear.spells - 60)).toBeLessThan(60 / sear.spells + 1)
      expect(Math.abs(plan.peak.core - 54)).toBeLessThan(0.1)
    }
  })

  it('the face that was down last lies on the board, whatever it was seared on', () => {
    for (const kind of ['pan sear', 'grill'] as const) {
      const { method, setup } = planned(asked(kind, { turning: 'once', byClockS: 600 }))
      const { heating, rest } = timelineOf(method, setup, 600)
      expect(heating.map(s => s.down)).toEqual(['first', 'second'])
      const { first, second } = rest(60).faces
      const [onBoard, up] = [second, first]
      expect(onBoard.kind).not.toBe(up.kind)
      expect(timelineOf(method, { ...setup, settings: { ...setup.settings, turning: 'not at all' } as never }, 600).rest(60).faces).toEqual(
        {
          first: onBoard,
          second: up,
          side: rest(60).faces.side
        }
      )
    }
  })

  it('a warm start and none find the same answer', () => {
    const first = planned(strip({ thicknessMm: 33 }))
    const near = planned(strip({ thicknessMm: 34 }))
    const warm = planMethod(near.method, near.setup, 54, null, first.plan.warmStart)
    expect(warm.pull.time / near.plan.pull.time).toBeCloseTo(1, 1.7)
    expect(Math.abs(warm.peak.core - 54)).toBeLessThan(0.1)
  })
})
