/** How large a piece of a cut is, as long as nobody has measured it: sizes that a piece of such a weight has. mm, g. */
import type { Cut, Range } from './cut'
import { weightFromSize, type Piece } from './piece'

type Sizes = Pick<Piece, 'thicknessMm' | 'lengthMm' | 'widthMm'>

export interface Known {
  readonly weightG?: number | undefined
  /** As it was ordered, or measured. */
  readonly thicknessMm?: number | null | undefined
  readonly startC: number
}

/**
 * Within what is usual of the cut, as far as its weight can be so. A heavier muscle is larger every way; of a joint it
 * is first the longer end of one; of what is cut to a thickness the larger slice.
 */
export function usualSizes(cut: Cut, { weightG, thicknessMm, startC }: Known): Sizes {
  const { shape } = cut
  const disc = shape.outline === 'round' && cut.form === 'steak'
  /** @param along, across how far up their ranges its length, and the rest, are; past the ends as large as that goes on */
  const sized = (along: number, across: number): Sizes => {
    const lengthMm = at(shape.lengthMm, along)
    return { thicknessMm: thicknessMm ?? at(shape.thicknessMm, across), lengthMm, widthMm: disc ? lengthMm : at(shape.widthMm, across) }
  }
  const rounded = ({ thicknessMm: t, lengthMm, widthMm }: Sizes): Sizes => ({
    thicknessMm: Math.round(t),
    lengthMm: Math.round(lengthMm),
    widthMm: Math.round(widthMm)
  })
  if (weightG === undefined) return rounded(sized(MIDDLE, MIDDLE))
  const weight = (along: number, across: number): number => weightFromSize({ ...sized(along, across), startC }, cut)
  if (cut.form !== 'roast') {
    const up = whereIs(weightG, s => weight(s, s), FURTHEST)
    return rounded(sized(up, up))
  }
  const along = whereIs(weightG, s => weight(s, MIDDLE), [0, 1])
  return rounded(sized(along, along > 0 && along < 1 ? MIDDLE : whereIs(weightG, s => weight(along, s), FURTHEST)))
}

const MIDDLE = 0.5
/** So far past the ends of what is usual sizes go, where the weight does. */
const FURTHEST: Range = [-0.8, 3]
const at = ([low, high]: Range, share: number): number => Math.max(low / 3, low + share * (high - low))

/** Where a rising function is at a value, by halving; the nearer end where it is nowhere. */
function whereIs(value: number, of: (share: number) => number, [low, high]: Range): number {
  if (of(low) >= value) return low
  if (of(high) <= value) return high
  let [from, to] = [low, high]
  for (let i = 0; i < 40; i++) {
    const middle = (from + to) / 2
    if (of(middle) < value) from = middle
    else to = middle
  }
  return to
}
