/** An oven, a grill or a bath that is put to use before it is hot: the piece takes longer, its lamp, its coals or its display say so, and the cut tells why. */
import { describe, expect, it } from 'vitest'
import type { Spent } from '#core/estimate/underWay'
import { bathAfter } from '#core/kit/bath'
import { grillAfter } from '#core/kit/grill'
import { ovenAfter } from '#core/kit/oven'
import { FILLET_LOG } from '#core/method/setups.fixture'
import { secondsOf } from '#core/method/timeline'
import { finish } from '#core/numerics/steps'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, type PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'
import { progressOf } from '#core/session/progress'
import { asTheFireWarmed, fireOf, shortWhenMet, type TrueFire } from './coldFire'
import { cuttingOpen, type CutOpen } from './cutOpen'
import { playedByCalls, type Otherwise } from './played.fixture'
import { signsAt } from './signs'
import { ALONE, lived, truthOf, type Beside } from './truth'
import { pricedText } from './words'

const AS_SAID = { thickness: 0, start: 0, contact: 0, air: 0, heat: 0, model: 0 }
const SEED = 3
const SLOWLY = by(FIRST_REQUEST, 'oven then sear', { ovenC: 120 })
const HOTTER = by(FIRST_REQUEST, 'sear then oven', { ovenC: 200 })
/** An hour and its sear wash out some minutes of a mild heat; half an hour of a strong one does not. */
const FILLET = by({ ...FIRST_REQUEST, piece: FILLET_LOG }, 'roast', { ovenC: 190, searS: 0 })
const cut = (request: PlanRequest, otherwise: Otherwise, beside: Beside = ALONE): CutOpen =>
  finish(cuttingOpen(truthOf(request, SEED, AS_SAID), playedByCalls(request, otherwise), beside))

describe('an oven that was cold', () => {
  it('warms from the room to its dial, and no further; the hotter the dial the longer', () => {
    expect(ovenAfter(180, 22, 0)).toBeCloseTo(22, 6)
    expect(ovenAfter(180, 22, 3600)).toBe(180)
    const minutes = (dialC: number): number => Array.from({ length: 60 }, (_, i) => i).findIndex(m => ovenAfter(dialC, 22, 60 * m) >= dialC)
    // Small ovens are at 180 °C in 6 to 12 min; common practice, no source.
    expect(minutes(180)).toBeGreaterThanOrEqual(6)
    expect(minutes(180)).toBeLessThanOrEqual(12)
    expect([120, 180, 230].map(minutes)).toEqual([120, 180, 230].map(minutes).sort((a, b) => a - b))
  })

  it('is taken in steps until it is hot, no second of the piece’s lost, and what is not in it stays as it was', () => {
    const oven: TrueFire = { of: 'oven', fuel: undefined, set: { ovenC: 180 }, after: (set, s) => ovenAfter(set, 22, s), stages: [1] }
    const past: Spent[] = [
      { stage: 0, down: 'first', seconds: 100 },
      { stage: 1, down: 'first', seconds: 1500 },
      { stage: 'out', down: 'first', seconds: 30 }
    ]
    const warmed = asTheFireWarmed(past, oven, 60)
    expect(secondsOf(warmed)).toBeCloseTo(secondsOf(past), 6)
    const air = warmed.flatMap(s => (s.stage === 1 ? [s.set?.ovenC ?? 180] : []))
    expect(air.length).toBeGreaterThan(4)
    expect(air).toEqual([...air].sort((a, b) => a - b))
    expect(air[0]).toBeGreaterThan(ovenAfter(180, 22, 160))
    expect([warmed[0], warmed[warmed.length - 1]]).toEqual([past[0], past[2]])
    expect(asTheFireWarmed(past, oven, 3600)).toEqual(past)
    // Turned down meanwhile it is there the sooner.
    const down = asTheFireWarmed([{ ...past[1], set: { ovenC: 80 } }], oven, 0)
    expect(Math.max(...down.map(s => s.set?.ovenC ?? 80))).toBe(80)
    expect(shortWhenMet(past, oven, 60)).toBeCloseTo(180 - ovenAfter(180, 22, 160), 6)
    expect(shortWhenMet([past[0]], oven, 60)).toBeNull()
  })
})

describe('a piece that is put into it', () => {
  it('as it is called finds it hot, and nothing is said of it', () => {
    for (const request of [SLOWLY, HOTTER]) expect(cut(request, {}).prices.map(p => p.what)).not.toContain('fire')
  })

  it('at once comes off colder than it would have, and is told so', () => {
    const early = cut(FILLET, { laid: -890 })
    const price = early.prices.find(p => p.what === 'fire')!
    expect(price.by).toBeLessThan(-140)
    expect(price.instead.peakC).toBeGreaterThan(early.served.peakC + 1)
    expect(pricedText(price, early.served, 'metric')).toMatch(/^Put into an oven that was still \d+\s°C too cold: .*colder in the middle/)
  })

  it('finds it hot where another has lit it', () => {
    const { laidAt } = progressOf(playedByCalls(FILLET, { laid: -890 }).events)
    const lit = { ...ALONE, fireLitAt: laidAt! - 1_800_000 }
    expect(cut(FILLET, { laid: -890 }, lit).prices.map(p => p.what)).not.toContain('fire')
  })

  it('can see by its lamp whether it is', () => {
    const { events } = playedByCalls(SLOWLY)
    const truth = truthOf(SLOWLY, SEED, AS_SAID)
    const { litAt, laidAt } = progressOf(events)
    const lamp = (now: number): string | null => {
      const said = events.filter(e => e.at <= now)
      return signsAt(truth, said, lived(truth, said, now + 1000, ALONE), now, ALONE).fire?.word ?? null
    }
    expect(lamp(litAt! - 1000)).toBeNull()
    expect(lamp(litAt! + 30_000)).toMatch(/lamp is lit/)
    expect(lamp(laidAt! - 1000)).toMatch(/gone out/)
    expect(lamp(laidAt! + 60_000)).toBeNull()
    expect(signsAt(truthOf(by(FIRST_REQUEST, 'pan sear'), SEED, AS_SAID), events.slice(0, 1), null, litAt! + 1000, ALONE).fire).toBeNull()
  })
})

describe('a grill and a bath', () => {
  const BATH = by(FIRST_REQUEST, 'bath then sear', { bathC: 55, holdS: 3600 })
  const GRILL = by(FIRST_REQUEST, 'two-zone grill', {})

  it('twelve litres from the warm tap are at 55 °C in a quarter of an hour, forty in three of them; coals are ready within half an hour, gas within a quarter', () => {
    const until = (after: (s: number) => number, there: number): number =>
      Array.from({ length: 90 }, (_, i) => i).findIndex(m => after(60 * m) >= there)
    expect(until(s => bathAfter(55, 12, s), 55)).toBeGreaterThanOrEqual(8)
    expect(until(s => bathAfter(55, 12, s), 55)).toBeLessThanOrEqual(15)
    expect(until(s => bathAfter(55, 40, s), 55)).toBeGreaterThan(30)
    expect(bathAfter(55, 12, 1e5)).toBe(55)
    expect(until(s => grillAfter(300, 20, 'charcoal', s), 300)).toBe(27)
    expect(until(s => grillAfter(300, 20, 'gas', s), 300)).toBe(14)
  })

  it('are what the methods that use them wait for, and a pan is not', () => {
    const fire = (request: PlanRequest) => truthOf(request, SEED, AS_SAID).fire
    expect(fire(BATH)).toMatchObject({ of: 'bath', set: { bathC: 55 }, stages: [0] })
    expect(fire(GRILL)).toMatchObject({ of: 'grill', set: { grateC: expect.any(Number) as number, lidC: expect.any(Number) as number } })
    expect(fire(by(FIRST_REQUEST, 'pan sear', {}))).toBeNull()
    const { method, setup } = setupOf(by(FIRST_REQUEST, 'sear then bath', { bathC: 56 }))
    expect(fireOf(method, setup)?.of).toBe('bath')
  })

  it('met as they are called are hot; met at once the meat is colder for it, and is told so', () => {
    for (const [request, laid, word] of [
      [GRILL, -1700, /^Laid over a fire that was still \d+\s°C too cold: .*colder in the middle/],
      [BATH, -1750, /^Hung into a bath that was still \d+\s°C too cold: /]
    ] as const) {
      expect(cut(request, {}).prices.map(p => p.what)).not.toContain('fire')
      const early = cut(request, { laid })
      const price = early.prices.find(p => p.what === 'fire')!
      expect(price.by).toBeLessThan(-2)
      expect(price.instead.peakC).toBeGreaterThanOrEqual(early.served.peakC - 0.05)
      expect(pricedText(price, early.served, 'metric')).toMatch(word)
    }
  })

  it('look as they are', () => {
    for (const [request, warming, hot] of [
      [GRILL, /black coals/, /grey all over/],
      [BATH, /climbing/, /stands where it was set/]
    ] as const) {
      const { events } = playedByCalls(request)
      const truth = truthOf(request, SEED, AS_SAID)
      const { lits, laidAt } = progressOf(events)
      const looks = (now: number): string | null => {
        const said = events.filter(e => e.at <= now)
        return signsAt(truth, said, lived(truth, said, now + 1000, ALONE), now, ALONE).fire?.word ?? null
      }
      expect(looks(lits[0] - 1000)).toBeNull()
      expect(looks(lits[0] + 60_000)).toMatch(warming)
      expect(looks(laidAt! - 1000)).toMatch(hot)
      expect(looks(laidAt! + 1000)).toBeNull()
    }
  })
})
