/** A plan that crosses between threads arrives as it left. */
import { describe, expect, it } from 'vitest'
import { by } from '#core/request/request'
import { plan } from '#core/usecase/plan'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { pack, unpack } from './packed'

describe('plans between threads', () => {
  const { piece } = FIRST_REQUEST
  const log = { ...piece, cutId: 'fillet', form: 'roast' as const, thicknessMm: 60, widthMm: 60, lengthMm: 185, weightG: 550 }
  it.each([
    ['pan sear', piece],
    ['roast', log]
  ] as const)('%s: nothing is lost, and its rows go as typed arrays', (kind, of) => {
    const found = plan(by({ ...FIRST_REQUEST, piece: of }, kind))
    const packed = pack(found)
    expect(unpack(structuredClone(packed))).toEqual(found)
    expect(JSON.stringify(unpack(packed))).toBe(JSON.stringify(found))
    const { plan: sent } = packed as { plan: { history: { core: unknown; plate: unknown } } }
    expect(sent.history.core).toBeInstanceOf(Float64Array)
  })

  it('what is not a plain record or a long row of numbers is left as it is', () => {
    const rows = { few: [1, 2, 3], mixed: Array.from({ length: 20 }, (_, i) => (i % 2 ? i : null)), none: null, word: 'rare' }
    expect(pack(rows)).toEqual(rows)
    expect(unpack(pack(rows))).toEqual(rows)
  })
})
