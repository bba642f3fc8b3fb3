/**
 * The hand test, honestly: what cooks compare the feel of a piece with, how far the schools that teach it disagree, and
 * what the same feel has been, by the engine, in pieces of other thickness. Common practice, no source.
 */
import { feelOf, FEELS, type Feel } from './feel'

/** What is pressed with the other hand: the pad under the thumb, tighter with each finger that the thumb is laid to. */
export const PADS = [
  'hand open',
  'thumb to the first finger',
  'thumb to the second',
  'thumb to the third',
  'thumb to the little finger'
] as const

export interface HandSchool {
  readonly name: string
  /** What each of the pads is taken for, °C at the centre. */
  readonly means: readonly number[]
}
export const HAND_SCHOOLS: readonly HandSchool[] = [
  { name: 'From raw', means: [20, 50, 54, 60, 70] },
  { name: 'From rare', means: [50, 54, 59, 64, 70] },
  { name: 'By threes', means: [46, 46, 54, 54, 68] }
]

/** °C from the least that a pad is taken for to the most. */
export const disagreement = (pad: number): readonly [least: number, most: number] => {
  const means = HAND_SCHOOLS.map(s => s.means[pad])
  return [Math.min(...means), Math.max(...means)]
}

/** A strip of so much, cooked to so much in the pan: how stiff it is as it is carved. */
export interface Felt {
  readonly thicknessMm: number
  readonly coreC: number
  readonly stiffness: number
}
/** What has felt so, from the least done to the most, °C; null where nothing has. */
export function meantBy(feel: Feel, felt: readonly Felt[]): readonly [least: number, most: number] | null {
  const such = felt.filter(f => feelOf(f.stiffness) === feel).map(f => f.coreC)
  return such.length === 0 ? null : [Math.min(...such), Math.max(...such)]
}
export const meantByAll = (felt: readonly Felt[]): { readonly feel: Feel; readonly range: ReturnType<typeof meantBy> }[] =>
  FEELS.map(feel => ({ feel, range: meantBy(feel, felt) }))
