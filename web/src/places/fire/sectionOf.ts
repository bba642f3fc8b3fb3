/** What the Section shows of a plan at a moment: a steak across its thickness, a joint across its girth. */
import type { Piece } from '#core/meat/piece'
import type { Plan } from '#core/plan/plan'

export interface ShownSection {
  readonly field: { readonly hottest: readonly number[] }
  readonly edgesMm: readonly number[]
  readonly widthMm: number
  readonly thicknessMm: number
  /** A joint is drawn cut along its length. */
  readonly lies: boolean
}

export function sectionOf({ fields, geometry }: Plan, piece: Piece, moment: number): ShownSection {
  const field = fields.reduce((near, f) => (Math.abs(f.time - moment) < Math.abs(near.time - moment) ? f : near), fields[0])
  const lies = piece.form === 'roast'
  const { edgesMm, mirrored } = geometry
  const last = edgesMm[edgesMm.length - 1]
  const edges = mirrored
    ? [
        ...edgesMm,
        ...edgesMm
          .slice(0, -1)
          .reverse()
          .map(e => 2 * last - e)
      ]
    : [...edgesMm]
  const hottest = mirrored ? [...field.hottest, ...[...field.hottest].reverse()] : field.hottest
  return {
    field: { hottest },
    edgesMm: edges,
    widthMm: lies ? piece.thicknessMm : piece.widthMm,
    thicknessMm: edges[edges.length - 1],
    lies
  }
}
