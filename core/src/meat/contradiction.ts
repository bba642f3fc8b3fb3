/**
 * Weight and size say the same thing twice. Where they disagree one of them is
 * wrong, and usually one can tell which.
 */
import type { Cut, Range } from './cut'
import { weightFromSize, type Piece } from './piece'

export type Measure = 'thicknessMm' | 'weightG' | 'lengthMm' | 'widthMm'

export interface Contradiction {
  /** Weight on the scale over the weight the sizes call for. */
  readonly ratio: number
  readonly expectedG: number
  /** The measure most likely wrong. */
  readonly culprit: Measure
  /** The value of it that would fit the others. */
  readonly wouldFit: number
  /** A known slip that explains it, in words; null for plain misjudgement. */
  readonly slip: string | null
}

/** Shapes are never quite what the fill factor says; up to this the two agree. */
const TOLERANCE = 0.25

interface Slip {
  readonly factor: number
  readonly words: string
}
const SIZE_SLIPS: readonly Slip[] = [
  { factor: 25.4, words: 'inches taken for millimetres' },
  { factor: 10, words: 'centimetres taken for millimetres' }
]
const WEIGHT_SLIPS: readonly Slip[] = [
  { factor: 28.35, words: 'ounces taken for grams' },
  { factor: 453.6, words: 'pounds taken for grams' },
  { factor: 2.205, words: 'pounds taken for kilograms' }
]

/** @returns null where weight and sizes agree within a quarter */
export function findContradiction(piece: Piece, cut: Cut): Contradiction | null {
  const expectedG = weightFromSize(piece, cut)
  const ratio = piece.weightG / expectedG
  if (Math.abs(Math.log(ratio)) <= Math.log(1 + TOLERANCE)) return null

  const { shape } = cut
  const round = shape.outline === 'round'
  const linear = round ? Math.sqrt(ratio) : ratio
  const suspects: { measure: Measure; wouldFit: number; usual: Range }[] = [
    { measure: 'thicknessMm', wouldFit: piece.thicknessMm * ratio, usual: shape.thicknessMm },
    { measure: 'weightG', wouldFit: piece.weightG / ratio, usual: shape.weightG },
    { measure: 'lengthMm', wouldFit: piece.lengthMm * linear, usual: shape.lengthMm },
    ...(round ? [] : [{ measure: 'widthMm' as const, wouldFit: piece.widthMm * ratio, usual: shape.widthMm }])
  ]
  const [worst] = suspects
    .map(s => ({ ...s, blame: outside(piece[s.measure], s.usual) - outside(s.wouldFit, s.usual) }))
    .sort((a, b) => b.blame - a.blame)
  return {
    ratio,
    expectedG,
    culprit: worst.measure,
    wouldFit: worst.wouldFit,
    slip: slipOf(worst.wouldFit / piece[worst.measure], worst.measure === 'weightG' ? WEIGHT_SLIPS : SIZE_SLIPS)
  }
}

/** How far a value lies outside its usual range, as a logarithm; a little blame even inside, far from the middle. */
function outside(value: number, [low, high]: Range): number {
  const off = value < low ? Math.log(low / value) : value > high ? Math.log(value / high) : 0
  return off + 0.1 * Math.abs(Math.log(value / Math.sqrt(low * high)))
}

function slipOf(factor: number, slips: readonly Slip[]): string | null {
  const size = Math.max(factor, 1 / factor)
  return slips.find(s => Math.abs(Math.log(size / s.factor)) < 0.12)?.words ?? null
}
