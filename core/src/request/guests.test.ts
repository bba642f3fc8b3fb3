/** Who eats of a piece, to what, and what the one at risk gets. */
import { describe, expect, it } from 'vitest'
import { FIRST_REQUEST } from './firstRequest'
import { atRiskC, eaters, wantedOf } from './guests'
import type { Guest, PlanRequest } from './request'
import { parseRequest } from './schema'

const guest = (id: string, targetC: number, more: Partial<Guest> = {}): Guest => ({ id, name: id, targetC, ...more })
const table = (named: readonly Guest[], atRisk = false): PlanRequest => ({ ...FIRST_REQUEST, guests: { atRisk, named } })

describe('guests', () => {
  const all = table([guest('Ida', 57), guest('Per', 50), guest('Ada', 54, { noMeat: true }), guest('Quin', 57)])
  it('each doneness counts once, the rarest first, and of who eats no meat none', () => {
    expect(wantedOf(all)).toEqual([50, 57])
    expect(eaters(all.guests).map(g => g.id)).toEqual(['Ida', 'Per', 'Quin'])
    expect(wantedOf(table([]))).toEqual([FIRST_REQUEST.target.coreC])
    expect(wantedOf(table([guest('Ada', 54, { noMeat: true })]))).toEqual([FIRST_REQUEST.target.coreC])
  })
  it('somebody named at risk counts by what is theirs, somebody unknown by the rarest that is served', () => {
    expect(atRiskC(all)).toBeNull()
    expect(atRiskC(table([guest('Ida', 63, { atRisk: true }), guest('Per', 50)]))).toBe(63)
    expect(atRiskC(table([guest('Ida', 63), guest('Per', 50)], true))).toBe(50)
    expect(atRiskC(table([], true))).toBe(FIRST_REQUEST.target.coreC)
    expect(atRiskC(table([guest('Ada', 50, { atRisk: true, noMeat: true })]))).toBeNull()
  })
  it('what is said of each goes through the schema, and only yes or no', () => {
    const said = table([guest('Ida', 63, { atRisk: true }), guest('Ada', 54, { noMeat: true })])
    expect(parseRequest(JSON.parse(JSON.stringify(said)))).toEqual(said)
    expect(() => parseRequest(table([guest('Ida', 63, { atRisk: 'a bit' as unknown as boolean })]))).toThrow()
  })
})
