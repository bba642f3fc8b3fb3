/** What the Section shows of a plan at a moment: a steak across its thickness, a joint across its girth. */
import { aspectOf } from '#core/heat/grid'
import type { Piece } from '#core/meat/piece'
import type { Plan } from '#core/plan/plan'

export type ShownSection =
  | {
      readonly kind: 'flat'
      readonly field: { readonly hottest: readonly number[] }
      readonly edgesMm: readonly number[]
      readonly thicknessMm: number
    }
  | {
      readonly kind: 'round'
      readonly hottest: readonly number[]
      readonly radiiMm: readonly number[]
      /** Width over thickness. */
      readonly aspect: number
    }

export function sectionOf({ fields, girth, geometry }: Plan, piece: Piece, moment: number): ShownSection {
  const index = fields.reduce((near, f, i) => (Math.abs(f.time - moment) < Math.abs(fields[near].time - moment) ? i : near), 0)
  const { edgesMm, radiiMm, dimension } = geometry
  return piece.form === 'roast' && girth
    ? { kind: 'round', hottest: girth[index], radiiMm, aspect: aspectOf(dimension) }
    : { kind: 'flat', field: fields[index], edgesMm, thicknessMm: edgesMm[edgesMm.length - 1] }
}
