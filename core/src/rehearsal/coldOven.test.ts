/** An oven that is put to use before it is hot: the piece takes longer, the lamp says so, and the cut tells why. */
import { describe, expect, it } from 'vitest'
import type { Spent } from '#core/estimate/underWay'
import { ovenAfter } from '#core/kit/oven'
import { FILLET_LOG } from '#core/method/setups.fixture'
import { secondsOf } from '#core/method/timeline'
import { finish } from '#core/numerics/steps'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, type PlanRequest } from '#core/request/request'
import { progressOf } from '#core/session/progress'
import { asTheOvenWarmed, ovenMetAt } from './coldOven'
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
    const oven = { dialC: 180, roomC: 22, stages: [1] }
    const past: Spent[] = [
      { stage: 0, down: 'first', seconds: 100 },
      { stage: 1, down: 'first', seconds: 1500 },
      { stage: 'out', down: 'first', seconds: 30 }
    ]
    const warmed = asTheOvenWarmed(past, oven, 60)
    expect(secondsOf(warmed)).toBeCloseTo(secondsOf(past), 6)
    const air = warmed.flatMap(s => (s.stage === 1 ? [s.ovenC ?? oven.dialC] : []))
    expect(air.length).toBeGreaterThan(4)
    expect(air).toEqual([...air].sort((a, b) => a - b))
    expect(air[0]).toBeGreaterThan(ovenAfter(180, 22, 160))
    expect([warmed[0], warmed[warmed.length - 1]]).toEqual([past[0], past[2]])
    expect(asTheOvenWarmed(past, oven, 3600)).toEqual(past)
    // Turned down meanwhile it is there the sooner.
    const down = asTheOvenWarmed([{ ...past[1], ovenC: 80 }], oven, 0)
    expect(Math.max(...down.map(s => s.ovenC ?? 80))).toBe(80)
    expect(ovenMetAt(past, oven, 60)).toBeCloseTo(ovenAfter(180, 22, 160), 6)
    expect(ovenMetAt([past[0]], oven, 60)).toBeNull()
  })
})

describe('a piece that is put into it', () => {
  it('as it is called finds it hot, and nothing is said of it', () => {
    for (const request of [SLOWLY, HOTTER]) expect(cut(request, {}).prices.map(p => p.what)).not.toContain('oven')
  })

  it('at once comes off colder than it would have, and is told so', () => {
    const early = cut(FILLET, { laid: -890 })
    const price = early.prices.find(p => p.what === 'oven')!
    expect(price.by).toBeLessThan(-140)
    expect(price.instead.peakC).toBeGreaterThan(early.served.peakC + 1)
    expect(pricedText(price, early.served, 'metric')).toMatch(/^Put into an oven that was still \d+\s°C too cold: .*colder in the middle/)
  })

  it('finds it hot where another has lit it', () => {
    const { laidAt } = progressOf(playedByCalls(FILLET, { laid: -890 }).events)
    const lit = { ...ALONE, ovenLitAt: laidAt! - 1_800_000 }
    expect(cut(FILLET, { laid: -890 }, lit).prices.map(p => p.what)).not.toContain('oven')
  })

  it('can see by its lamp whether it is', () => {
    const { events } = playedByCalls(SLOWLY)
    const truth = truthOf(SLOWLY, SEED, AS_SAID)
    const { litAt, laidAt } = progressOf(events)
    const lamp = (now: number): string | null => {
      const said = events.filter(e => e.at <= now)
      return signsAt(truth, said, lived(truth, said, now + 1000, ALONE), now, ALONE).oven
    }
    expect(lamp(litAt! - 1000)).toBeNull()
    expect(lamp(litAt! + 30_000)).toMatch(/lamp is lit/)
    expect(lamp(laidAt! - 1000)).toMatch(/gone out/)
    expect(lamp(laidAt! + 60_000)).toBeNull()
    expect(signsAt(truthOf(by(FIRST_REQUEST, 'pan sear'), SEED, AS_SAID), events.slice(0, 1), null, litAt! + 1000, ALONE).oven).toBeNull()
  })
})
