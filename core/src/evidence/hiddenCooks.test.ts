/** Cooks whose true piece nobody knows: the probe has the last word. A few of those that `npm run cooks` plays. */
import { describe, expect, it } from 'vitest'
import type { MethodKind } from '#core/method/methods'
import { hiddenCook } from './hiddenCooks'

const COOKS: readonly (readonly [MethodKind, number])[] = [
  ['sear then oven', 1],
  ['grill', 4],
  ['pan sear', 8],
  ['sear then oven', 9],
  ['two-zone grill', 11],
  ['grill', 12]
]

describe('a piece that is not as was said, cooked as the calls say', () => {
  const served = COOKS.map(([kind, seed]) => hiddenCook(kind, seed)!)
  const off = (celsius: number, { targetC }: { readonly targetC: number }): number => Math.abs(celsius - targetC)

  it('by the clock alone is often off by more than a diner would let pass: these are no easy ones', () => {
    expect(served.filter(c => off(c.byClockC, c) > 1.5).length).toBeGreaterThan(served.length / 2)
  })

  it('with a reading every three minutes of the second half it is served within a degree and a half', () => {
    for (const cook of served) expect(off(cook.byProbeC, cook), `${cook.kind} ${cook.thicknessMm} mm`).toBeLessThan(1.5)
  })

  it('and the same cook is the same cook', () => {
    expect(hiddenCook('pan sear', 8)).toEqual(served[2])
  })
})
