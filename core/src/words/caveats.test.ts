/** A cook is told where a plan is less sure than it looks. */
import { describe, expect, it } from 'vitest'
import type { Piece } from '#core/meat/piece'
import type { Dialled } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { planDoubts } from './doubts'
import { planFor } from './everyMethod'
import { FIRST_REQUEST } from '#core/request/firstRequest'

const { piece: strip } = FIRST_REQUEST
const joint = (across: number, more: Partial<Piece> = {}): Piece => ({
  ...strip,
  cutId: 'fillet',
  form: 'roast',
  thicknessMm: across,
  widthMm: across,
  lengthMm: 2 * across,
  weightG: 1.06e-3 * (Math.PI / 4) * across ** 2 * 2 * across,
  ...more
})
function doubts(kind: MethodKind, piece: Piece, turned: Dialled = {}): string {
  const found = planFor({ ...FIRST_REQUEST, piece }, kind, turned)
  if (!('plan' in found)) throw new Error(found.unsuited)
  return planDoubts(found.plan, 'metric').join(' ')
}

describe('what is less sure', () => {
  it('a big joint out of a hot oven climbs further than cooks report, and that is said; from a gentle one it is not', () => {
    expect(doubts('roast', joint(130), { ovenC: 190 })).toMatch(/least sure figure: \d\d\s°C here.*Leave the probe in/)
    expect(doubts('roast', joint(130), { ovenC: 110, searS: 0 })).toBe('')
  })

  it('a steak’s climb is as sure as the rest of it', () => {
    expect(doubts('pan sear', strip)).toBe('')
  })

  it('pastry always says so, and whether it is baked by then', () => {
    expect(doubts('in pastry', joint(60))).toMatch(/climb is less sure/)
    expect(doubts('in pastry', joint(95))).toMatch(/the pastry is dark/)
  })

  it('by the clock: what it comes to instead, above or below', () => {
    expect(doubts('sear then oven', strip, { byClockS: 300 })).toMatch(/peaks at \d+\s°C, \d+\s°C below what is wanted/)
    expect(doubts('sear then oven', strip, { byClockS: 2400 })).toMatch(/above what is wanted/)
  })
})
