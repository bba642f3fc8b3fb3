/**
 * A fillet seared, cooled, wrapped in a dry mushroom paste and pastry, and baked. The
 * free quantity is the time in the oven, and the pastry has a time of its own that it
 * must meet.
 */
import type { Oven } from '#core/kit/oven'
import type { Piece, PieceCoat } from '#core/meat/piece'
import type { Method, Resting } from './method'
import { inOven, searLump, stageIn, thenRest, type Searing } from './parts'
import { subjectOf, type Setup } from './setup'

export interface Wrapped extends Searing, Resting {
  readonly oven: Oven
  readonly ovenC: number
  readonly pasteMm: number
  readonly pastryMm: number
}

/** Pastry at 200–220 °C, s (common practice, no source). */
const PASTRY_TIME_S = [25 * 60, 35 * 60] as const

export const wrapped: Method<Wrapped> = {
  kind: 'in pastry',
  free: 'time in the oven',
  subject: (setup, fineness) => subjectOf(withWrap(setup), fineness, [searLump(setup)]),
  // Seared ahead and cold again when it is wrapped: what the sear left is a thin crust, and no warmth.
  program: (setup, free) => {
    const { oven, ovenC } = setup.settings
    return thenRest(setup, [stageIn('oven', 'in the oven', free, inOven(setup, oven, ovenC))])
  },
  bounds: () => [5 * 60, 3 * 3600],
  guess: setup => 0.5 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.form === 'roast' && (piece.coats ?? []).length === 0
      ? null
      : 'Pastry goes round a trimmed log of fillet: not a steak, and nothing with a bone or a fat cap.'
}

const withWrap = (setup: Setup<Wrapped>): Setup<Wrapped> => ({ ...setup, piece: wrappedPiece(setup.piece, setup.settings) })

/** Mushroom paste inside, pastry outside, all round and over both ends. */
export function wrappedPiece(piece: Piece, { pasteMm, pastryMm }: Pick<Wrapped, 'pasteMm' | 'pastryMm'>): Piece {
  const on = (where: PieceCoat['on']): PieceCoat[] => [
    { what: 'pastry', on: where, thicknessMm: pastryMm },
    { what: 'mushroom paste', on: where, thicknessMm: pasteMm }
  ]
  return { ...piece, coats: [...on('side'), ...on('first')] }
}

/** What to say where the meat's time and the pastry's do not meet; null where they do. */
export function pastryMisses(ovenS: number): string | null {
  const [least, most] = PASTRY_TIME_S
  const minutes = Math.round(ovenS / 60)
  if (ovenS < least)
    return `The meat is there after ${minutes} min, before the pastry is baked (${least / 60} min at least): wrap it colder, or choose a hotter oven.`
  if (ovenS > most)
    return `The meat needs ${minutes} min, and the pastry is dark after ${most / 60}: a thinner piece, a cooler oven with the pastry covered, or meat that starts less cold.`
  return null
}
