/**
 * How a piece yields under a finger, from how much of its thickness has passed which heat: raw muscle gives, cooked
 * protein stiffens between 50 and 65 °C. Common practice, no source; and no finger is a thermometer.
 */
import type { Field } from '#core/heat/history'
import { axisColumn, type CutGeometry } from '#core/doneness/section'

/** Each part by the hottest it has been, and how much stiffer than raw it is then; estimates. */
const STIFFER: readonly (readonly [below: number, times: number])[] = [
  [45, 1],
  [55, 1.6],
  [65, 3],
  [Infinity, 6]
]
const STIFFEST = 6

/** Shares of the thickness that stayed below 45, 55 and 65 °C and that did not. */
export interface Shares {
  readonly below45: number
  readonly below55: number
  readonly below65: number
  readonly above: number
}

export const sharesOf = (field: Field, geometry: CutGeometry): Shares => sharesIn(axisColumn(field, geometry).hottest, geometry.edgesMm)
/** @param edgesMm of the cells whose hottest is given, from the first face */
export function sharesIn(hottest: readonly number[], edgesMm: readonly number[]): Shares {
  const sums = [0, 0, 0, 0]
  hottest.forEach((T, i) => (sums[STIFFER.findIndex(([below]) => T < below)] += edgesMm[i + 1] - edgesMm[i]))
  const [below45, below55, below65, above] = sums.map(s => s / edgesMm[edgesMm.length - 1])
  return { below45, below55, below65, above }
}

/**
 * 0 as raw, 1 as cooked through. Layers under a finger give one after the other, so that the softest of them counts most.
 */
export function stiffness({ below45, below55, below65, above }: Shares): number {
  const gives = [below45, below55, below65, above].reduce((sum, share, i) => sum + share / STIFFER[i][1], 0)
  return (1 / gives - 1) / (STIFFEST - 1)
}

export const FEELS = [
  'soft as raw',
  'soft, and gives far',
  'gives, and comes back',
  'firm, with a little give',
  'firm all through'
] as const
export type Feel = (typeof FEELS)[number]
const FEEL_FROM: readonly number[] = [0, 0.06, 0.2, 0.4, 0.7]

export const feelOf = (stiff: number): Feel => FEELS[FEEL_FROM.filter(from => stiff >= from).length - 1]
