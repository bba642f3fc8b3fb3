/**
 * How a cooked piece is carved: which way the knife goes, how thick, what comes off
 * first, and what each guest gets. Common practice, no source. mm, g.
 */
import { capital } from '#core/quantity/format'
import type { Cut, Grain } from './cut'
import type { Piece } from './piece'

export interface Carving {
  /** Way of the knife as seen from above, degrees from the long side; 90 is straight across it. */
  readonly knifeDegrees: number
  /** Held upright, or leaning, where the grain stands up through the piece. */
  readonly leaning: boolean
  readonly sliceMm: number
  readonly slices: number
  readonly steps: readonly string[]
  /** Cooked and off the bone. */
  readonly cookedG: number
  readonly perGuest: { readonly grams: number; readonly slices: number }
}

/** The knife goes square to the fibres. */
const KNIFE: Record<Grain['runs'], number> = { along: 90, across: 0, slanting: 135, through: 90, fanning: 90, turning: 90 }
/** Of what was not bone when raw; a part of the weight of a bone-in piece that is bone (estimate). */
const BONE_SHARE = 0.2
/** Of a roast, and of a fillet in pastry. */
const JOINT_SLICE_MM = 12

export function carvingOf(piece: Piece, cut: Cut, loss: number, guests: number): Carving {
  const bone = cut.bone || (piece.coats ?? []).some(c => c.what === 'bone')
  const cookedG = piece.weightG * piece.count * (1 - loss) * (bone ? 1 - BONE_SHARE : 1)
  const knifeDegrees = KNIFE[cut.grain.runs]
  const run = knifeDegrees === 0 ? piece.widthMm : piece.lengthMm
  const sliceMm = piece.form === 'roast' ? JOINT_SLICE_MM : cut.slice.mm
  const slices = Math.max(1, Math.round(run / sliceMm)) * piece.count
  return {
    knifeDegrees,
    leaning: cut.grain.runs === 'through' && piece.form !== 'roast',
    sliceMm,
    slices,
    steps: stepsFor(piece, cut, bone),
    cookedG,
    perGuest: { grams: cookedG / guests, slices: Math.max(1, Math.round(slices / guests)) }
  }
}

function stepsFor(piece: Piece, cut: Cut, bone: boolean): string[] {
  const steps: string[] = []
  if (cut.profile === 't-bone') steps.push('Off the bone first: the fillet, then the strip on the other side.')
  else if (bone) steps.push('Off the bone first: run the knife along it and lift the meat away whole.')
  if ((piece.coats ?? []).some(c => c.what === 'pastry')) steps.push('A serrated knife through the pastry, without pressing.')
  if (cut.profile === 'triangle' || cut.grain.runs === 'turning')
    steps.push('The grain turns: cut in two where it does, and turn one half.')
  if (piece.form === 'roast') steps.push('Straight across it from one end. The end slices are done furthest: for whoever likes them so.')
  else steps.push(`${capital(cut.slice.text).replace(/\.$/, '')}.`)
  if (cut.fatEdge) steps.push('Leave each slice its own rim of fat; who does not want it cuts it off.')
  steps.push('Salt the cut faces, and pour the juices of the board back over.')
  return steps
}
