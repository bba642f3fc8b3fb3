/** What suits a piece best can be planned: the bench never opens on a page without a plan. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kitInUse, READY_KITS } from '#core/kit/kit'
import { isTender } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { weightFromSize, type Piece } from '#core/meat/piece'
import { METHOD_KINDS } from '#core/method/methods'
import { by, RequestError, type PlanRequest } from './request'
import { FIRST_REQUEST } from './firstRequest'
import { setupOf } from './setup'
import { suitsBest, WHEN } from './suits'

const anyPiece = fc
  .record({
    cut: fc.constantFrom(...CUTS.filter(isTender)),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
    startC: fc.integer({ min: 1, max: 15 }),
    roast: fc.boolean()
  })
  .map(({ cut, share, startC, roast }): Piece => {
    const between = ([low, high]: readonly [number, number]): number => Math.round(low + share * (high - low))
    const { thicknessMm, lengthMm, widthMm, outline } = cut.shape
    const form = cut.form === 'roast' || (roast && thicknessMm[1] >= 45) ? 'roast' : 'steak'
    const size = {
      thicknessMm: form === 'roast' ? Math.max(45, between(thicknessMm)) : between(thicknessMm),
      lengthMm: between(lengthMm),
      widthMm: outline === 'round' && form === 'steak' ? between(lengthMm) : between(widthMm),
      startC
    }
    return { cutId: cut.id, form, count: 1, surface: 'patted', ...size, weightG: Math.round(weightFromSize(size, cut)) }
  })

function reasonAgainst(request: PlanRequest): string | null {
  try {
    const { method, setup, targetC } = setupOf(request)
    return method.unsuited(setup, targetC)
  } catch (error) {
    if (error instanceof RequestError) return error.message
    throw error
  }
}

describe('what suits a piece best', () => {
  it('is nothing that refuses the piece, for any tender cut in any of the ready kits', () => {
    fc.assert(
      fc.property(anyPiece, fc.constantFrom(...READY_KITS), (piece, { kit: ready }) => {
        const kit = kitInUse(ready, {}, '', '')
        const request = { ...FIRST_REQUEST, piece, kit }
        const kind = suitsBest(request)
        const able = METHOD_KINDS.filter(k => reasonAgainst(by(request, k)) === null)
        // A big joint in a kitchen with one pan: nothing can, and the first that was wanted says why.
        if (able.length === 0) expect(reasonAgainst(by(request, kind))).not.toBeNull()
        else expect(reasonAgainst(by(request, kind)), `${kind} for ${piece.cutId} ${piece.form} ${piece.thicknessMm} mm`).toBeNull()
      }),
      { numRuns: 300, seed: 4 }
    )
  })

  it('is said of every method: when it is the one to take', () => {
    for (const kind of METHOD_KINDS) expect(WHEN[kind].length).toBeGreaterThan(10)
  })
})
