/** The thermometer that is none: it shows what a probe in a piece would, of a piece that is nearly as was said. */
import { describe, expect, it } from 'vitest'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, type PlanRequest } from '#core/request/request'
import type { CookEvent } from '#core/session/events'
import { standInProbe } from './standIn'

const LAID = 1.75e12
const { plan } = planned(FIRST_REQUEST)
const event = (kind: 'laid' | 'turned' | 'pulled', s: number): CookEvent => ({
  id: `${kind}-${s}`,
  kind,
  at: LAID + s * 1000,
  entered: LAID + s * 1000
})
const events = [event('laid', 0), ...plan.marks.slice(1).map(m => event('turned', m.from)), event('pulled', plan.pull.time)]
const until = (s: number): CookEvent[] => events.filter(e => e.at <= LAID + s * 1000)
const cook = { id: 'cook-true', request: FIRST_REQUEST }

describe('a stand-in’s probe', () => {
  it('begins where the piece does, rises all the while, climbs in the rest and falls again', () => {
    const probe = standInProbe(cook, 1)
    const at = (s: number): number => probe(until(s), LAID + s * 1000)
    expect(Math.abs(at(-60) - FIRST_REQUEST.piece.startC)).toBeLessThan(8)
    const shown = [0.2, 0.4, 0.6, 0.8, 1].map(share => at(share * plan.pull.time))
    for (let i = 1; i < shown.length; i++) expect(shown[i]).toBeGreaterThan(shown[i - 1])
    const resting = [60, 120, 240].map(s => at(plan.pull.time + s))
    expect(Math.max(...resting)).toBeGreaterThan(shown[4] + 2)
    expect(at(plan.pull.time + 3000)).toBeLessThan(Math.max(...resting))
  })

  it('is true to one piece: the same seed is the same piece, another seed or cook another', () => {
    const now = LAID + 600_000
    const shown = (seed: number, id = 'cook-true'): number => standInProbe({ ...cook, id }, seed)(until(600), now)
    expect(shown(1)).toBe(shown(1))
    expect(new Set([1, 2, 3, 4].map(seed => shown(seed))).size).toBeGreaterThan(2)
    expect(shown(1, 'cook-other')).not.toBe(shown(1))
  })
})

describe('a stand-in’s tip in the air', () => {
  const lit = (s: number): CookEvent => ({ id: `lit${s}`, kind: 'lit', at: LAID + s * 1000, entered: LAID + s * 1000 })
  const shownOf = (request: PlanRequest, events: readonly CookEvent[]) => {
    const probe = standInProbe({ id: 'cook-air', request }, 4)
    return (s: number): number =>
      probe(
        events.filter(e => e.at <= LAID + s * 1000),
        LAID + s * 1000,
        'air'
      )
  }

  it.each([
    ['roast', { ovenC: 160 }, 160, 20],
    ['bath then sear', { bathC: 56 }, 56, 6],
    ['two-zone grill', { lidC: 140 }, 140, 45]
  ] as const)('of a %s is at the room’s before it is lit, climbs, and comes near to what it was set to', (kind, settings, setC, near) => {
    const at = shownOf(by(FIRST_REQUEST, kind, settings), [lit(-2400), event('laid', 0)])
    expect(Math.abs(at(-2500) - FIRST_REQUEST.room.temperatureC)).toBeLessThan(6)
    const climbing = [-2300, -2100, -1900].map(at)
    expect(Math.max(...climbing)).toBeLessThan(setC + near)
    expect(climbing[2]).toBeGreaterThan(climbing[0])
    expect(Math.abs(at(600) - setC)).toBeLessThan(near)
  })

  it('on a pan climbs while it is empty, and falls when the meat is laid in', () => {
    const at = shownOf(FIRST_REQUEST, [lit(-240), event('laid', 0)])
    expect(at(-10)).toBeGreaterThan(at(-120) + 20)
    expect(Math.min(at(20), at(40), at(60))).toBeLessThan(at(-1) - 10)
  })
})
